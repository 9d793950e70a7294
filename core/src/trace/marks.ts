import type { Flow } from './flow';
import type { Reading } from './readings';

/** Above the empty cup by this and by three spreads of the scale it is coffee, g. */
const COFFEE_GRAMS = 0.5;
/** It stays so for this long: a drop that was a knock falls back. */
const STAYS_SECONDS = 0.8;
/** No scale on a bar scatters less, g. */
export const QUIET_SD = 0.05;

/** The empty cup on the scale, and how much single readings scatter around it. */
export interface Empty {
  grams: number;
  sd: number;
}

/**
 * When the first drop fell, read back from the first grams.
 * @returns null while nothing has risen above the empty cup
 */
export function firstDripOf(readings: readonly Reading[], empty: Empty): number | null {
  const level = empty.grams + Math.max(COFFEE_GRAMS, 3 * empty.sd);
  const at = readings.findIndex((reading, i) => {
    if (reading.grams < level) return false;
    const after = readings.slice(i).filter(({ seconds }) => seconds <= reading.seconds + STAYS_SECONDS);
    const isLongEnough = readings.at(-1)!.seconds >= reading.seconds + STAYS_SECONDS;
    return isLongEnough && after.every(({ grams }) => grams >= empty.grams + COFFEE_GRAMS / 2);
  });
  if (at < 0) return null;
  return onsetBefore(readings, readings[at]!.seconds, empty);
}

/** Around the rise above the empty cup: so long before it the first drop may have fallen, and so long after it tells of that. */
const BEFORE_SECONDS = 4;
const AFTER_SECONDS = 3;
const STEP_SECONDS = 0.1;
/** A flow swells to its full strength within so many seconds of the first drop. */
const SWELLS_SECONDS = [0, 0.5, 1, 1.5, 2, 2.5, 3];
/** Usually, and give or take. */
const USUAL_SWELL = { mean: 1.3, sd: 0.8 };

/**
 * The first drop by least squares: nothing before it, a flow that swells evenly, then a steady one. For every onset and swell the flow
 * itself follows in closed form; the swell is held near what is usual as far as the scale's scatter leaves it open.
 */
function onsetBefore(readings: readonly Reading[], riseSeconds: number, empty: Empty): number {
  const near = readings
    .filter(({ seconds }) => seconds >= riseSeconds - BEFORE_SECONDS && seconds <= riseSeconds + AFTER_SECONDS)
    .map(({ seconds, grams }) => ({ seconds, grams: grams - empty.grams }))
    .filter(({ grams }) => grams > -COFFEE_GRAMS - 3 * empty.sd);
  let best = { misfit: Infinity, onset: riseSeconds };
  for (let back = 0; back <= BEFORE_SECONDS; back += STEP_SECONDS) {
    const onset = riseSeconds - back;
    for (const swell of SWELLS_SECONDS) {
      let [along, shape] = [0, 0];
      for (const { seconds, grams } of near) {
        const poured = swelling(seconds - onset, swell);
        along += grams * poured;
        shape += poured * poured;
      }
      const unusual = (swell - USUAL_SWELL.mean) / USUAL_SWELL.sd;
      const misfit = (along > 0 ? -(along * along) / shape : 0) + (unusual * Math.max(empty.sd, QUIET_SD)) ** 2;
      if (misfit < best.misfit) best = { misfit, onset };
    }
  }
  return best.onset;
}

/** Grams of a flow of 1 g/s that swells evenly for so long. */
function swelling(since: number, swell: number): number {
  if (since <= 0) return 0;
  return since < swell ? (since * since) / (2 * swell) : since - swell / 2;
}

/** When the cup first held so much, between two readings; null where it never did. */
export function reachedAt(path: readonly Flow[], grams: number): number | null {
  const at = path.findIndex((point) => point.grams >= grams);
  if (at < 0) return null;
  const [before, after] = [path[at - 1], path[at]!];
  if (!before || after.grams === before.grams) return after.seconds;
  const share = (grams - before.grams) / (after.grams - before.grams);
  return before.seconds + share * (after.seconds - before.seconds);
}
