import { roundTo } from '../brew/snap';

/** The time a recipe was found at: its middle, how far single shots lie from it, and how many shots told so. */
export interface FoundTime {
  seconds: number;
  sd: number;
  shots: number;
}

/** What a careful hand's puck adds to the time, as a share of it. */
const USUAL_SHARE = 0.06;
/** The usual spread counts as so many shots beside those that were pulled. */
const USUAL_SHOTS = 3;
/** Off its yield by more than this share a shot's time is that of another recipe. */
const SAME_YIELD = 0.08;

interface TimedShot {
  grind?: number | null;
  yieldGrams?: number | null;
  timeSeconds?: number | null;
  timer: string;
  cause?: string | null;
}

/**
 * Middle and spread of the shots of a dial-in that were pulled at the recipe it kept: at its grind, to its yield, on its clock,
 * without a known fault.
 * @returns null where no shot was
 */
export function foundTime(
  shots: readonly TimedShot[],
  recipe: { grind: number; yieldGrams: number; timer: string },
): FoundTime | null {
  const times = shots.flatMap(({ grind, yieldGrams, timeSeconds, timer, cause }) => {
    const isThis = grind === recipe.grind && timer === recipe.timer && !cause;
    const isFull = yieldGrams == null || Math.abs(yieldGrams / recipe.yieldGrams - 1) <= SAME_YIELD;
    return isThis && isFull && timeSeconds != null ? [timeSeconds] : [];
  });
  if (times.length === 0) return null;
  const seconds = times.reduce((sum, time) => sum + time, 0) / times.length;
  const squares = times.reduce((sum, time) => sum + (time - seconds) ** 2, 0);
  const sd = Math.sqrt((USUAL_SHOTS * (USUAL_SHARE * seconds) ** 2 + squares) / (USUAL_SHOTS + times.length - 1));
  return { seconds: roundTo(seconds, 1), sd: roundTo(sd, 2), shots: times.length };
}

/**
 * The same with what service has shown since: shots there teach the spread and never the middle. From one shot to the next,
 * so that a day's drift does not count as a spread.
 * @param times shots by this recipe in service, oldest first
 */
export function spreadInService(found: FoundTime, times: readonly number[]): FoundTime {
  if (times.length < 2) return found;
  const steps = times.slice(1).map((time, i) => (time - times[i]!) ** 2 / 2);
  const known = found.shots + USUAL_SHOTS - 1;
  const sum = known * found.sd ** 2 + steps.reduce((total, step) => total + step, 0);
  return { ...found, sd: roundTo(Math.sqrt(sum / (known + steps.length)), 2) };
}
