import { ofThisCup, type TraceAnswer } from '@olvet/core';
import { markAt, type LivePull, type PullPlan, type Seen } from './livePull';

/** Grams to either side of the target, as a share of it, that are on target [assumption: 1.1 g of 36 g]. */
const YIELD_TOLERANCE = 0.03;
/** Before the first drop is seen, this is when it falls. */
const USUAL_DRIP_SECONDS = 7;

export interface BoxScale {
  width: number;
  height: number;
  mostSeconds: number;
  mostGrams: number;
  x: (seconds: number) => number;
  y: (grams: number) => number;
}

/** Margins that hold the figures of the axes. */
const LEFT = 46;
const BOTTOM = 34;
const TOP = 14;
const RIGHT = 18;

/** A picture of this size that holds the target, and the shot as far as it has come. */
export function boxScale(
  { width, height }: { width: number; height: number },
  { settings, timeSeconds }: PullPlan,
  reached: { seconds: number; grams: number },
): BoxScale {
  const mostSeconds = 5 * Math.ceil(Math.max(timeSeconds.max * 1.25, reached.seconds + 4) / 5);
  const mostGrams = 10 * Math.ceil(Math.max(settings.yieldGrams * 1.15, reached.grams + 2) / 10);
  return {
    ...{ width, height, mostSeconds, mostGrams },
    x: (seconds) => LEFT + ((width - LEFT - RIGHT) * seconds) / mostSeconds,
    y: (grams) => height - BOTTOM - ((height - BOTTOM - TOP) * grams) / mostGrams,
  };
}

/** The target from the start, whichever timer counts: seconds and grams. */
export function targetOf(pull: LivePull, trace: TraceAnswer | null) {
  const { settings, timeSeconds, timer } = pull.plan;
  const shift = timer === 'first-drip' ? dripOf(pull, trace) : 0;
  const tolerance = settings.yieldGrams * YIELD_TOLERANCE;
  return {
    seconds: { min: timeSeconds.min + shift, max: timeSeconds.max + shift },
    grams: { min: settings.yieldGrams - tolerance, max: settings.yieldGrams + tolerance },
    shift,
  };
}

export function dripOf(pull: LivePull, trace: TraceAnswer | null): number {
  return markAt(pull, 'first-drip') ?? trace?.firstDripSeconds ?? USUAL_DRIP_SECONDS;
}

/** More points nobody sees. */
const MOST_POINTS = 240;

/** The path of the shot, from the start, above the empty cup. */
export function pathOf({ startedAt, seen }: LivePull): { seconds: number; grams: number }[] {
  if (startedAt === null) return [];
  const all = seen.flatMap(([at, grams]) => (grams === null ? [] : [{ seconds: (at - startedAt) / 1000, grams }]));
  const { empty, readings } = ofThisCup(all, 0);
  const since = readings.filter(({ seconds }) => seconds >= 0);
  const every = Math.max(1, Math.ceil(since.length / MOST_POINTS));
  return since
    .filter((_, i) => i % every === 0 || i === since.length - 1)
    .map(({ seconds, grams }) => ({ seconds, grams: grams - empty.grams }));
}

/** Pressure from the start. */
export function pressureOf({ startedAt, seen }: LivePull): { seconds: number; bar: number }[] {
  if (startedAt === null) return [];
  const since = seen.filter((each): each is [number, number | null, number, number | null] =>
    isPressed(each, startedAt),
  );
  const every = Math.max(1, Math.ceil(since.length / MOST_POINTS));
  return since.filter((_, i) => i % every === 0).map(([at, , bar]) => ({ seconds: (at - startedAt) / 1000, bar }));
}

function isPressed([at, , bar]: Seen, startedAt: number): boolean {
  return at >= startedAt && bar !== null;
}

export function polyline(points: readonly (readonly [number, number])[]): string {
  return points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
}

/** For words that stand beside each other, each in the lowest row where it covers no other; they come from left to right. */
export function rowsOf(words: readonly { from: number; width: number }[]): number[] {
  const ends: number[] = [];
  return words.map(({ from, width }) => {
    const free = ends.findIndex((end) => end <= from);
    const row = free < 0 ? ends.length : free;
    ends[row] = from + width;
    return row;
  });
}
