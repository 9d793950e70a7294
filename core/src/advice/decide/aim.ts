import { meanOf } from '../../belief/particles';
import type { Choice } from '../lookahead/choice';
import type { Problem } from '../../belief/problem';

/** What is meant to bring the time back is at least so likely to do so as the surest move. */
const AIM_SHARE = 0.95;

/**
 * Moves that are meant to land in the window by the best single guess, and by the mean that is predicted, where any is. Gambling on a far
 * setting because the slope may turn out small is what beginners do, and so is stopping at the window's edge; if nothing lands, the nearest.
 */
export function aimedAtWindow(problem: Problem, choices: Choice[]): Choice[] {
  const { min, max } = problem.request.target.timeSeconds;
  const isInside = (seconds: number): boolean => seconds >= min && seconds <= max;
  const miss = ({ outlook }: Choice): number =>
    Math.max(0, Math.log(min / outlook.medianTimeSeconds), Math.log(outlook.medianTimeSeconds / max));
  const byMedian = choices.filter((choice) => miss(choice) === 0);
  const byMean = byMedian.filter(({ outlook }) => isInside(meanOf(outlook.timeSeconds)));
  const landing = byMean.length > 0 ? byMean : byMedian;
  if (landing.length === 0) return [...choices].sort((a, b) => miss(a) - miss(b)).slice(0, 1);
  const surest = Math.max(...landing.map(({ outlook }) => outlook.windowShare));
  return landing.filter(({ outlook }) => outlook.windowShare >= AIM_SHARE * surest);
}
