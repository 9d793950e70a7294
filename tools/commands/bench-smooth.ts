import { chromium, type CDPSession } from '@playwright/test';
import { browserOptions } from '../../e2e/browser';
import { findChromium, installDebian } from '../lib/debian';
import { withDemoServer } from '../lib/demoServer';
import { orStop, say, Stop } from '../lib/say';

const SECONDS = 60;
const LONG_TASK_MS = 50;

interface TraceEvent {
  name: string;
  ph: string;
  ts: number;
  dur?: number;
  /** What the thread itself worked of it; the rest it waited for a core. */
  tdur?: number;
  pid: number;
  tid: number;
  args: { name?: string; data?: { isMainFrame?: boolean; url?: string } };
}

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
    report(events);
  } finally {
    await browser.close();
  }
}

async function traced(cdp: CDPSession, work: () => Promise<void>): Promise<TraceEvent[]> {
  const events: TraceEvent[] = [];
  cdp.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  const categories = 'toplevel,devtools.timeline,disabled-by-default-devtools.timeline.frame,viz,benchmark';
  await cdp.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: categories.split(',') },
  });
  await work();
  const complete = new Promise((done) => cdp.once('Tracing.tracingComplete', done));
  await cdp.send('Tracing.end');
  await complete;
  return events;
}

function report(events: TraceEvent[]): void {
  const mains = new Set(
    events
      .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const tasks = events
    .filter(({ name, ph, pid, tid }) => ph === 'X' && name.endsWith('RunTask') && mains.has(`${pid} ${tid}`))
    .sort((one, other) => (other.dur ?? 0) - (one.dur ?? 0));
  const began = Math.min(...tasks.map(({ ts }) => ts));
  const frames = events
    .filter(({ name, pid }) => name === 'DrawFrame' && [...mains].some((main) => main.startsWith(`${pid} `)))
    .map(({ ts }) => ts)
    .sort((a, b) => a - b);
  const span = (frames.at(-1)! - frames[0]!) / 1e6;
  say(`tasks of the main thread: ${tasks.length}, the longest ${tasks.slice(0, 5).map(inMs).join(', ')} ms`);
  const long = tasks.filter(({ dur = 0 }) => dur > 1000 * LONG_TASK_MS);
  say(`over ${LONG_TASK_MS} ms: ${long.length}`);
  for (const task of long) {
    say(
      `  ${inMs(task)} ms, of which ${((task.tdur ?? 0) / 1000).toFixed(1)} worked, after ${((task.ts - began) / 1e6).toFixed(1)} s: ${partsOf(task, events)}`,
    );
  }
  say(`frames drawn: ${frames.length} in ${span.toFixed(1)} s, ${(frames.length / span).toFixed(1)} a second`);
}

function inMs({ dur = 0 }: TraceEvent): string {
  return (dur / 1000).toFixed(1);
}

/** What the browser did in a long task: its largest parts. */
function partsOf({ pid, tid, ts, dur = 0 }: TraceEvent, events: readonly TraceEvent[]): string {
  const within = events.filter(
    (each) => each.pid === pid && each.tid === tid && each.ph === 'X' && each.ts >= ts && each.ts < ts + dur,
  );
  const parts = within.filter(({ name }) => !name.endsWith('RunTask')).sort((a, b) => (b.dur ?? 0) - (a.dur ?? 0));
  return parts
    .slice(0, 4)
    .map((part) => `${part.name} ${part.args.data?.url ?? ''} ${inMs(part)}`)
    .join(', ');
}
