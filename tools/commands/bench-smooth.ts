import { chromium } from '@playwright/test';
import { browserOptions } from '../../e2e/browser';
import { reportTasks, traced } from '../lib/browserTrace';
import { findChromium, installDebian } from '../lib/debian';
import { withDemoServer } from '../lib/demoServer';
import { orStop, Stop } from '../lib/say';

const SECONDS = 60;

/**
 * `npm run bench:smooth`: a shot of a minute on the lever screen, with weight, pressure and marks, at twenty readings a second; the
 * browser's own trace says how long its main thread was busy at a time and how many frames it drew.
 */
export function run(): Promise<void> {
  return orStop(async () => {
    if (!findChromium()) installDebian('chromium', 'Chromium');
    await withDemoServer('smooth', ({ url }) => measure(url), { devices: true });
  });
}

async function measure(url: string): Promise<void> {
  const browser = await chromium.launch(browserOptions.launchOptions);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    const board = (await (await fetch(`${url}/api/board`)).json()) as {
      stations: { station: Record<string, unknown> }[];
    };
    const { id, shopId: _s, createdAt: _c, updatedAt: _u, changedBy: _b, ...station } = board.stations[0]!.station;
    const put = { method: 'PUT', headers: { 'content-type': 'application/json' } };
    const made = await fetch(`${url}/api/stations/${String(id)}`, {
      ...put,
      body: JSON.stringify({ ...station, methodId: 'hand-lever' }),
    });
    if (!made.ok) throw new Stop(await made.text());
    const { items } = (await (await fetch(`${url}/api/devices`)).json()) as { items: { id: string; kind: string }[] };
    const machine = items.find(({ kind }) => kind === 'machine')!;
    const lever = (value: number) =>
      fetch(`${url}/api/devices/${machine.id}/commands`, {
        ...put,
        method: 'POST',
        body: JSON.stringify({ command: 'lever', value }),
      });
    await page.goto(`${url}/pull/${String(id)}`);
    await page.getByText('Bench scale').waitFor();
    await lever(1.5);
    await page.waitForTimeout(1500);
    const cdp = await page.context().newCDPSession(page);
    const events = await traced(cdp, async () => {
      for (let second = 0; second < SECONDS; second += 1) {
        if (second % 10 === 5) await page.getByRole('button', { name: 'Paling' }).click();
        await lever(second < 8 ? 1.8 : second < 12 ? 4 : 5.2 + 0.3 * Math.sin(second));
        await page.waitForTimeout(1000);
      }
    });
    reportTasks(events);
  } finally {
    await browser.close();
  }
}
