import { rescueNow, type LeverNow, type Rescue } from '@olvet/core';
import { markAt, type LivePull } from './livePull';
import type { PullHandle } from './usePull';

export function leverNow({ pull, trace, sinceStart }: Pick<PullHandle, 'pull' | 'trace' | 'sinceStart'>): LeverNow {
  return {
    seconds: sinceStart,
    bar: pull.seen.at(-1)?.[2] ?? null,
    firstDripSeconds: markAt(pull, 'first-drip') ?? trace?.firstDripSeconds ?? null,
    coverSeconds: markAt(pull, 'covered'),
    spurtSeconds: pull.marks.findLast(({ kind }) => kind === 'spurt')?.seconds ?? null,
  };
}

/** The rescue that is needed now; of a shot that is over, the first that was needed while it ran. */
export function rescueOf(handle: Pick<PullHandle, 'pull' | 'trace' | 'sinceStart' | 'isOver'>): Rescue | null {
  if (!handle.isOver) return rescueNow(leverNow(handle));
  // What landed in its window asks for no other grind.
  return isLanded(handle) ? null : firstRescue(handle.pull, handle);
}

function isLanded({ pull, trace }: Pick<PullHandle, 'pull' | 'trace'>): boolean {
  const seconds = trace?.summary?.timeSeconds ?? null;
  const { min, max } = pull.plan.timeSeconds;
  return seconds !== null && seconds >= min && seconds <= max;
}

function firstRescue(pull: LivePull, { trace }: Pick<PullHandle, 'trace'>): Rescue | null {
  const { startedAt } = pull;
  if (startedAt === null) return null;
  const end = leverNow({ pull, trace, sinceStart: pull.stoppedSeconds ?? 0 });
  const known = (at: number | null, now: number): number | null => (at !== null && at <= now ? at : null);
  for (let seconds = 1; seconds <= end.seconds; seconds += 1) {
    const bar = pull.seen.findLast(([at]) => at <= startedAt + 1000 * seconds)?.[2] ?? null;
    const found = rescueNow({
      seconds,
      bar,
      firstDripSeconds: known(end.firstDripSeconds, seconds),
      coverSeconds: known(end.coverSeconds, seconds),
      spurtSeconds: known(end.spurtSeconds, seconds),
    });
    if (found) return found;
  }
  return null;
}
