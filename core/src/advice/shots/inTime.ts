import { PUCK_STRAYS, type Pour } from '../../belief/pour';
import { GRACE_SECONDS, type Problem } from '../../belief/problem';
import { changesBetween } from '../../contract/changes';

/** Shots of the same settings this near each other in time taste the same (ordinary practice), s. */
const ALIKE_SECONDS = 2;
/** Settings believed in the window less than this are doubted: time comes first. */
export const WINDOW_DOUBT = 0.45;

/** From so many shots on a dial-in is long: what was seen of this coffee counts for more than what a method holds of all coffees. */
const LONG_DIAL_IN_SHOTS = 4;

/** Measured in the window, give or take what a barista still calls in it. */
export function isInTime(
  problem: Problem,
  { timeSeconds }: Pick<Pour, 'timeSeconds'>,
  graceSeconds = GRACE_SECONDS,
): boolean {
  const { min, max } = problem.request.target.timeSeconds;
  return timeSeconds !== null && timeSeconds >= min - graceSeconds && timeSeconds <= max + graceSeconds;
}

/** By so many seconds shots of the same settings differ, of about this time. */
export function shotsDifferBy(timeSeconds: number): number {
  return Math.max(ALIKE_SECONDS, PUCK_STRAYS * timeSeconds);
}

/** −1 where a sound shot ran short of the window, or of what is tolerated, 1 where it ran past it, else 0. */
export function sideOut(problem: Problem, pour: Pour): -1 | 0 | 1 {
  if (!pour.sound || pour.timeSeconds === null || isInTime(problem, pour)) return 0;
  return pour.timeSeconds < problem.request.target.timeSeconds.min ? -1 : 1;
}

/** A search, not a series: shots from before a drift tell nothing any more, and one setting poured often is no search. */
export function isLongDialIn({ pours }: Pick<Problem, 'pours'>, fromShots = LONG_DIAL_IN_SHOTS): boolean {
  const telling = pours.filter(({ stale }) => !stale);
  const isSearch = telling.some(({ planned }) => changesBetween(planned, telling[0]!.planned).length > 0);
  return isSearch && telling.length >= fromShots;
}
