import type { Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';

/** The two scales a cup is wanted on. */
export const TASTE_SCALES = ['balance', 'body'] as const;
export type TasteScale = (typeof TASTE_SCALES)[number];
/** Further beyond tolerance than noise alone puts a right cup, points; of several, by their root less. */
export const PLAINLY = 0.4;
/** A person's own target is not in halves. */
const ROUNDING = 0.1;

/** How far the cups, taken together, were from the wanted one, in points with their sign; null where nobody tasted. */
export function tastedMiss({ request }: Problem, pours: readonly Pour[], scale: TasteScale): number | null {
  const tasted = pours.flatMap(({ taste }) => taste?.[scale] ?? []);
  if (tasted.length === 0) return null;
  return tasted.reduce((sum, value) => sum + value, 0) / tasted.length - request.target[scale];
}

/** The same, but 0 where it is no more than noise alone puts right cups off: less, the more of them there are. */
export function plainMiss(problem: Problem, pours: readonly Pour[], scale: TasteScale, noise = PLAINLY): number {
  const miss = tastedMiss(problem, pours, scale) ?? 0;
  const tasted = pours.filter(({ taste }) => taste?.[scale] != null).length;
  const together = noise / Math.sqrt(Math.max(1, tasted));
  return Math.abs(miss) > problem.method.tolerance[scale] + together ? miss : 0;
}

export function tastesPlainlyOff(problem: Problem, pours: readonly Pour[], noise = PLAINLY): boolean {
  return TASTE_SCALES.some((scale) => plainMiss(problem, pours, scale, noise) !== 0);
}

/** The cups, taken together, were called as wanted: within tolerance, give or take a tenth for a person's own target. */
export function tastesRight(problem: Problem, pours: readonly Pour[]): boolean {
  if (tastedMiss(problem, pours, 'balance') === null) return false;
  return TASTE_SCALES.every((scale) => isWithin(problem, pours, scale));
}

export function isOff(problem: Problem, pours: readonly Pour[], scale: TasteScale): boolean {
  return Math.abs(tastedMiss(problem, pours, scale) ?? 0) > problem.method.tolerance[scale];
}

export function isWithin(
  problem: Problem,
  pours: readonly Pour[],
  scale: TasteScale,
  points = problem.method.tolerance[scale],
): boolean {
  return Math.abs(tastedMiss(problem, pours, scale) ?? 0) <= points + ROUNDING;
}
