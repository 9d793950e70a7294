import type { CDPSession } from '@playwright/test';
import { say } from './say';

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

/** What the browser's own trace says of the work. */
export async function traced(cdp: CDPSession, work: () => Promise<void>): Promise<TraceEvent[]> {
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

/** The longest tasks of the main thread, those that were too long, and the frames that were drawn. */
export function reportTasks(events: TraceEvent[]): void {
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
