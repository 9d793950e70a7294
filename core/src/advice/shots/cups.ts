import type { Roast } from '../../brew/types';
import type { Evidence } from './evidence';
import { DRY, type Pour } from '../../belief/pour';
import { GRACE_SECONDS, type Problem } from '../../belief/problem';
import { isInTime } from './inTime';
import {
  isOff,
  isWithin,
  PLAINLY,
  plainMiss,
  TASTE_SCALES,
  tastedMiss,
  type TasteScale,
  tastesPlainlyOff,
  tastesRight,
} from './taste';

/** Marked this of ten a cup is one to serve. */
export const LIKED = 7;
/** Marked this of ten a cup is happily served. */
export const HAPPILY = 8;
/** Marked this of ten it is a delight: the mark outweighs a word that is half a point further off. */
export const DELIGHT = { mark: 9, points: 0.5 };
/** Marked below this of ten a cup lacks something, though no word says what. */
export const PASSABLE = 6.5;
/** Marked this of ten for sweetness, a light roast may be bright. */
const SWEET = 7;
const BRIGHT_ROASTS: ReadonlySet<Roast> = new Set<Roast>(['light', 'medium-light']);
/** The smallest step of a tongue, points. */
export const SMALLEST_WORD = 0.5;
/** Two words for the same cup are hardly ever this far apart: 2.4 times the noise of ±0.44 of both, points. */
const FAR_APART = 1.5;
/** After so many sound shots at the same settings one more tells little: it must be worth it. */
export const PATIENCE = 2;
/** Share of the cups at the same settings that must be ones to serve. */
const MOSTLY = 0.75;
/** The same where two cups read right and one between them was odd. */
const TWO_OF_THREE = 2 / 3;

/** A cup one would serve. */
export function isLiked({ marks }: Pour): boolean {
  return (marks.overall ?? 0) >= LIKED;
}

/** Poured and tasted as wanted, give or take what a barista still calls so. */
export function readsRight(problem: Problem, pour: Pour, graceSeconds = GRACE_SECONDS): boolean {
  const isAsWanted = (tastesRight(problem, [pour]) && !isToFix(problem, [pour])) || isBright(problem, pour);
  return isAsWanted && (problem.method.timeIs === 'outcome' || isInTime(problem, pour, graceSeconds));
}

/** The acidity of a light roast is no fault where sweetness balances it: called sour, though not plainly, sweet, and happily served. */
export function isBright(problem: Problem, pour: Pour): boolean {
  const balance = pour.taste?.balance;
  if (balance == null || balance >= problem.request.target.balance) return false;
  const isSweet = (pour.marks.sweetness ?? 0) >= SWEET && (pour.marks.overall ?? 0) >= HAPPILY;
  const isPlain = plainMiss(problem, [pour], 'balance') !== 0;
  return isSweet && !isPlain && isWithin(problem, [pour], 'body') && BRIGHT_ROASTS.has(problem.request.coffee.roast);
}

/** A cup one would serve, that no word or clock puts plainly off. */
export function isServed(problem: Problem, pour: Pour): boolean {
  return isLiked(pour) && !isPlainlyOff(problem, pour);
}

/** Marked like a cup one serves happily, though a word puts it off by no more than noise: the two disagree, and only another can tell. */
export function isServedHappily(problem: Problem, pour: Pour): boolean {
  return (pour.marks.overall ?? 0) >= HAPPILY && !isPlainlyOff(problem, pour, forgivenTo(pour));
}

/** How far beyond tolerance a word is put down to the tongue. */
export function forgivenTo({ marks }: Pour): number {
  return PLAINLY + ((marks.overall ?? 0) >= DELIGHT.mark ? DELIGHT.points : 0);
}

/** Nobody believes a claim beside a cup clearly sour or harsh or a shot outside the window, whatever the others said. */
export function isPlainlyOff(problem: Problem, pour: Pour, noise = PLAINLY): boolean {
  if (tastesPlainlyOff(problem, [pour], noise) || (pour.taste?.dryness ?? 0) >= DRY) return true;
  return problem.method.timeIs === 'target' && pour.timeSeconds !== null && !isInTime(problem, pour);
}

/**
 * Off by more than tolerance and not happily served, or marked low, whatever the words: where one or two cups are all there is nobody
 * writes that card, whatever the odds.
 */
export function isCalledOff(problem: Problem, pour: Pour): boolean {
  const mark = pour.marks.overall;
  if (mark === null ? isToFix(problem, [pour]) : mark < PASSABLE) return true;
  if ((mark !== null && mark >= HAPPILY) || isBright(problem, pour)) return false;
  return !TASTE_SCALES.every((scale) => isWithin(problem, [pour], scale));
}

/**
 * The newest cup is called off by more than tolerance, those before it at the same settings do not take that back, and it was not
 * marked as one to serve: noise or not, who tastes sour turns something.
 */
export function isToFix(
  problem: Problem,
  sound: readonly Pour[],
  scales: readonly TasteScale[] = TASTE_SCALES,
): boolean {
  const newest = sound.at(-1);
  if (newest === undefined || isLiked(newest) || tastesBothWays(problem, sound)) return false;
  return scales.some((scale) => isOff(problem, [newest], scale) && isOff(problem, sound, scale));
}

/** In the window to the second, called off by no more than the smallest word, and one to serve, if it was marked. */
export function isSpotless(problem: Problem, pour: Pour): boolean {
  const isOnTime = problem.method.timeIs === 'outcome' || isInTime(problem, pour, 0);
  if (pour.marks.overall !== null && !isLiked(pour)) return false;
  return isOnTime && TASTE_SCALES.every((scale) => isWithin(problem, [pour], scale, SMALLEST_WORD));
}

/** Happily served each time, and spotless the last time: whatever is believed of these settings, nobody turns anything for such a cup. */
export function isGladEachTime(problem: Problem, sound: readonly Pour[]): boolean {
  const newest = sound.at(-1);
  return newest !== undefined && isSpotless(problem, newest) && sound.every((pour) => isServedHappily(problem, pour));
}

/** The time is right, the cup was marked low, and nobody said whether sour or bitter, thin or heavy: no lever can be chosen by that. */
export function isUnnamed(problem: Problem, { last, sameSettings }: Evidence): boolean {
  const isNamed = sameSettings.some(({ taste }) => taste?.balance != null || taste?.body != null);
  if (isNamed || last.marks.overall === null || isLiked(last)) return false;
  return problem.method.timeIs === 'outcome' || isInTime(problem, last);
}

/**
 * The two last cups at the same settings contradict each other: one plainly sour and the other plainly bitter, or thin and heavy; or,
 * where there are no others, one as wanted and the other further from it than noise puts two cups apart. Only another can tell.
 */
export function tastesBothWays(problem: Problem, pours: readonly Pour[]): boolean {
  return TASTE_SCALES.some((scale) => {
    const sides = pours.slice(-2).map((pour) => Math.sign(plainMiss(problem, [pour], scale)));
    return (sides.includes(1) && sides.includes(-1)) || isOneOfTwoOdd(problem, pours, scale);
  });
}

function isOneOfTwoOdd(problem: Problem, pours: readonly Pour[], scale: TasteScale): boolean {
  const [one, other, ...more] = pours.flatMap((pour) => tastedMiss(problem, [pour], scale) ?? []);
  if (one === undefined || other === undefined || more.length > 0) return false;
  return Math.abs(one - other) >= FAR_APART && Math.min(Math.abs(one), Math.abs(other)) <= SMALLEST_WORD;
}

/**
 * Confirmed: two or more cups read right, the newest among them and one to serve, if it was marked. One odd cup in three between them was
 * noise. It takes a third where the acidity of a light roast was called sour, or outside the range that a method tolerates.
 */
export function hasStoodTwice(problem: Problem, sound: readonly Pour[]): boolean {
  const newest = sound.at(-1);
  if (newest === undefined || !readsRight(problem, newest)) return false;
  if (newest.marks.overall !== null && !isLiked(newest)) return false;
  const right = sound.filter((pour) => readsRight(problem, pour));
  const isInside = (pour: Pour): boolean => pour.timeSeconds === null || isInTime(problem, pour);
  const isPlain = right.every((pour) => isInside(pour) && tastesRight(problem, [pour]));
  return sound.length >= (isPlain ? 2 : 3) && right.length >= Math.max(2, TWO_OF_THREE * sound.length);
}

/** The newest cup and one before it read right and were happily served. */
export function isHappilyTwice(problem: Problem, sound: readonly Pour[]): boolean {
  const isGlad = (pour: Pour): boolean => (pour.marks.overall ?? 0) >= HAPPILY && readsRight(problem, pour);
  return sound.filter(isGlad).length >= 2 && isGlad(sound.at(-1)!);
}

/** Right, but called off to the same side of the balance every time, and not happily served: that is hardly the tongue. */
export function leansAlike(problem: Problem, sound: readonly Pour[]): boolean {
  const right = sound.filter((pour) => readsRight(problem, pour) && !isBright(problem, pour));
  const isUnmarked = right.at(-1)?.marks.overall == null;
  if (right.length < 2 || isUnmarked || isHappilyTwice(problem, sound)) return false;
  const misses = right.map((pour) => tastedMiss(problem, [pour], 'balance') ?? 0);
  return misses.every((miss) => miss >= SMALLEST_WORD) || misses.every((miss) => miss <= -SMALLEST_WORD);
}

/**
 * More often than patience asks for a cup one would serve: right together and the last time, and never plainly off but for one
 * in four. A tongue of ±0.4 may well put one of three right cups a point off.
 */
export function isServedAgain(problem: Problem, sound: readonly Pour[]): boolean {
  const newest = sound.at(-1);
  if (newest === undefined || !isLiked(newest) || !readsRight(problem, newest)) return false;
  const served = sound.filter((pour) => isServed(problem, pour));
  return served.length > PATIENCE && served.length >= MOSTLY * sound.length && tastesRightTogether(problem, served);
}

/** A bright cup is not held against a light roast. */
export function tastesRightTogether(problem: Problem, pours: readonly Pour[]): boolean {
  const dull = pours.filter((pour) => !isBright(problem, pour));
  return dull.length === 0 || tastesRight(problem, dull);
}
