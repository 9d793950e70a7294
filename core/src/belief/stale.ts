import type { Settings } from '../contract/answer';
import { changesBetween } from '../contract/changes';
import type { Pour } from './pour';

/** So far, in ln of the time, must two shots in a row lie from the earlier ones at the same settings to be a shift, not noise. */
const SHIFT = 0.12;

/**
 * Act when a run of shots, not one, leaves what the earlier ones showed: two in a row at the same settings, both clearly faster
 * or both clearly slower than the middle one of two or more before them. Then all before those two count little, also once the
 * settings are changed; unless later shots at these settings came back.
 */
export function markStale(pours: Pour[]): Pour[] {
  const steady: Settings[] = [];
  for (let i = pours.length - 1; i > 0; i -= 1) {
    const { planned } = pours[i]!;
    const isAlike = (pour: Pour): boolean =>
      pour.sound && pour.timeSeconds !== null && changesBetween(pour.planned, planned).length === 0;
    const earlier = pours.slice(0, i - 1).filter(isAlike);
    const isKnownSteady = steady.some((settings) => changesBetween(settings, planned).length === 0);
    if (isKnownSteady || earlier.length < 2 || ![pours[i - 1]!, pours[i]!].every(isAlike)) continue;
    if (isShift(earlier, [pours[i - 1]!, pours[i]!])) {
      return pours.map((pour, k) => ({ ...pour, stale: k < i - 1 }));
    }
    steady.push(planned);
  }
  return pours;
}

function isShift(earlier: readonly Pour[], pair: readonly Pour[]): boolean {
  const times = earlier.map(({ timeSeconds }) => timeSeconds!).sort((a, b) => a - b);
  // Of an even number the middle one nearer to the pair: where one of two shots before was like these, nothing has shifted.
  const lower = times[Math.floor((times.length - 1) / 2)]!;
  const upper = times[Math.floor(times.length / 2)]!;
  const isSlower = pair.every(({ timeSeconds }) => Math.log(timeSeconds! / upper) > SHIFT);
  return isSlower || pair.every(({ timeSeconds }) => Math.log(timeSeconds! / lower) < -SHIFT);
}
