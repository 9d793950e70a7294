import { chromium } from '@playwright/test';
import { v7 } from 'uuid';
import { browserOptions } from '../../e2e/browser';
import { reportTasks, traced } from '../lib/browserTrace';
import { findChromium, installDebian } from '../lib/debian';
import { withDemoServer } from '../lib/demoServer';
import { orStop, Stop } from '../lib/say';

const SECONDS = 60;

interface Standing {
  station: { id: string; name: string; grind: number | null };
  day: { foundSeconds: number } | null;
  cards: { versionId: string }[];
}

/**
 * `npm run bench:bar`: the Bar for a minute with three live stations, of which one pours every second: each shot is told through the
 * stream and judged again. The browser's own trace says how long its main thread was busy at a time.
 */
export function run(): Promise<void> {
  return orStop(async () => {
    if (!findChromium()) installDebian('chromium', 'Chromium');
    await withDemoServer('bar', ({ url }) => measure(url), { devices: true });
  });
}

async function measure(url: string): Promise<void> {
  const { stations } = (await (await fetch(`${url}/api/board`)).json()) as { stations: Standing[] };
  const browser = await chromium.launch(browserOptions.launchOptions);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(url);
    await page.getByRole('heading', { level: 1 }).waitFor();
    // What a page does while it loads is another matter.
    await page.waitForTimeout(4000);
    const cdp = await page.context().newCDPSession(page);
    const events = await traced(cdp, async () => {
      for (let second = 0; second < SECONDS; second += 1) {
        const standing = stations[second % stations.length]!;
        await pour(url, standing, second);
        if (second % 20 === 10) await page.getByRole('button', { name: `Shot at ${standing.station.name}` }).click();
        if (second % 20 === 14) await page.keyboard.press('Escape');
        await page.waitForTimeout(1000);
      }
    });
    reportTasks(events);
  } finally {
    await browser.close();
  }
}

async function pour(url: string, { station, day, cards }: Standing, turn: number): Promise<void> {
  const shot = {
    ...{ stationId: station.id, kind: 'service', cardVersionId: cards[0]?.versionId ?? null, grind: station.grind },
    ...{
      timeSeconds: (day?.foundSeconds ?? 28) + Math.sin(turn),
      timer: 'pump-on',
      pulledAt: new Date().toISOString(),
      seen: [],
      purged: true,
    },
  };
  const answer = await fetch(`${url}/api/shots/${v7()}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(shot),
  });
  if (!answer.ok) throw new Stop(await answer.text());
}
