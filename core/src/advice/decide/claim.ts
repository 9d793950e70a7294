import {
  HAPPILY,
  isBright,
  isCalledOff,
  isHappilyTwice,
  isLiked,
  hasStoodTwice,
  isPlainlyOff,
  isServedAgain,
  isSpotless,
  isToFix,
  leansAlike,
  PASSABLE,
  PATIENCE,
  readsRight,
} from '../shots/cups';
import { missedRecipe, type Evidence } from '../shots/evidence';
import { rightBy, type Outlook } from '../../belief/particles';
import { isLongDialIn, shotsDifferBy } from '../shots/inTime';
import { DRY, type Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';
import { tastesPlainlyOff } from '../shots/taste';

/** What a wrong claim costs, in shots; less with every shot poured, because good enough is enough. */
const FALSE_CLAIM_SHOTS = { atFirst: 13, lessEachShot: 0.9, least: 3 };
/** What is less likely right than wrong is never claimed. */
export const CLAIM_AT_LEAST = 0.5;
/** One cup alone may be luck: two in three. */
const ONE_CUP_CLAIM_AT_LEAST = 0.65;
/** The first shot that tells anything, only where that is very likely right: a practised hand would pull another. */
const SURE = 0.8;
/** What was served again and again is believed rather than the odds. */
const KEPT_CLAIM_AT_LEAST = 0.2;
/** Believed in this much, what stood twice and read right each time is done, though a move promised a little more. */
const GOOD_ENOUGH = 0.75;

/** What calling these settings dialled now would cost, in shots: the doubt times the price of being wrong. */
export function costOfClaim({ pours }: Problem, here: Outlook): number {
  const { atFirst, lessEachShot, least } = FALSE_CLAIM_SHOTS;
  return Math.max(least, atFirst - lessEachShot * pours.length) * (1 - here.goodShare);
}

/** Evidence for window and taste must both be there, and both from a shot that was not spoilt. */
export function mayClaim(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const { sound } = evidence;
  // One mark of ten alone does not say what of: it takes a second, or a word of the balance.
  const marked = sound.filter(({ marks }) => marks.overall !== null);
  const tasted = marked.length > 1 || sound.some(({ taste }) => taste?.balance != null);
  const timed = problem.method.timeIs === 'outcome' || sound.some((pour) => pour.timeSeconds !== null);
  const newest = sound.at(-1);
  if (!tasted || !timed || newest === undefined || isOut(problem, newest)) return false;
  // Odd the one way and the other is right on the mean, and yet none of them was a cup to keep.
  if (!sound.some((pour) => isLiked(pour) || readsRight(problem, pour))) return false;
  const mark = newest.marks.overall;
  const isPassable = (mark ?? 0) >= PASSABLE;
  if (!isPassable && isToFix(problem, sound)) return false;
  // Late, a word is outweighed by what led here and by another cup, though not a low mark.
  const isHeard = !isLongDialIn(problem) || sound.length === 1 || (mark !== null && !isPassable);
  if (isHeard && sound.length <= PATIENCE && isCalledOff(problem, newest)) return false;
  // Taken together, too, though a bright cup is not held against a light roast.
  const dull = sound.filter((pour) => !isBright(problem, pour));
  if (tastesPlainlyOff(problem, dull)) return false;
  // One shot on a grinder nobody knows is no evidence that the next will be like it.
  const isFirst = isFirstToTell(problem);
  if (isFirst && problem.request.grinder.logTimePerUnit == null) return false;
  // Who has one cup and something to say of it pulls another; late only where nothing else was ever in the cup.
  const isAlone = isFirst || (sound.length === 1 && !isLongDialIn(problem));
  if (isAlone && !isSpotless(problem, newest)) return false;
  // Nor is one that was dosed or stopped well off: the recipe itself was never in the cup.
  if (sound.length === 1 && missedRecipe(newest) !== null) return false;
  if (sound.length <= problem.method.confirmShots) return false;
  return rightBy(problem, here) >= claimAtLeast(problem, sound);
}

/**
 * Nobody writes a card beside a cup that is plainly off, or out of the window; but in a long dial-in a clock that is off by no more than shots of
 * the same settings differ holds up none that is happily served and right in every word: good enough is enough.
 */
function isOut(problem: Problem, pour: Pour): boolean {
  if (!isPlainlyOff(problem, pour)) return false;
  const isGlad = (pour.marks.overall ?? 0) >= HAPPILY && (pour.taste?.dryness ?? 0) < DRY;
  const isAlike = isGlad && readsRight(problem, pour, shotsDifferBy(pour.timeSeconds ?? 0));
  return !(isAlike && isLongDialIn(problem));
}

/**
 * How likely right a card must be, for the evidence there is. Who calls cups wrong that were served three times, or two of three happily,
 * doubts the belief and not the cups. In a long dial-in one cup is as good as two: good enough is enough.
 */
function claimAtLeast(problem: Problem, sound: readonly Pour[]): number {
  const isGlad = sound.length > PATIENCE && hasStoodTwice(problem, sound) && isHappilyTwice(problem, sound);
  if (isGlad || isServedAgain(problem, sound)) return KEPT_CLAIM_AT_LEAST;
  if (sound.length > 1 || isLongDialIn(problem)) return CLAIM_AT_LEAST;
  return isFirstToTell(problem) ? SURE : ONE_CUP_CLAIM_AT_LEAST;
}

/** All before it were spoilt: nothing led to it. */
export function isFirstToTell({ pours }: Problem): boolean {
  return pours.filter(({ sound }) => sound).length === 1;
}

/**
 * Confirmed, and not believed wrong; or right every time, though marked lower or leaning to one side, and well believed in; or served three
 * times: to turn anything for the last tenths would be fiddling. Good enough is enough.
 */
export function isGoodEnough(problem: Problem, { sound }: Evidence, here: Outlook): boolean {
  if (isServedAgain(problem, sound)) return true;
  const isConfirmed = hasStoodTwice(problem, sound) && !leansAlike(problem, sound);
  if (isConfirmed && rightBy(problem, here) >= claimAtLeast(problem, sound)) return true;
  if (sound.length < PATIENCE || !sound.every((pour) => readsRight(problem, pour))) return false;
  if (here.goodShare >= GOOD_ENOUGH) return true;
  return sound.length > PATIENCE && rightBy(problem, here) >= GOOD_ENOUGH;
}
