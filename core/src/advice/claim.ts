import type { Roast } from '../brew/types';
import { isSurprising, missedRecipe, type Evidence } from './evidence';
import type { Outlook } from './particles';
import {
  DRY,
  GRACE_SECONDS,
  isInTime,
  PUCK_STRAYS,
  sawChannel,
  WINDOW_DOUBT,
  type Pour,
  type Problem,
} from './problem';

/** The two scales a cup is wanted on. */
export const TASTE_SCALES = ['balance', 'body'] as const;
export type TasteScale = (typeof TASTE_SCALES)[number];

/** What a wrong claim costs, in shots; less with every shot poured, because good enough is enough. */
const FALSE_CLAIM_SHOTS = { atFirst: 13, lessEachShot: 0.9, least: 3 };
/** What is less likely right than wrong is never claimed. */
export const CLAIM_AT_LEAST = 0.5;
/** After the first shot of all, or beside a single cup called off, only what is very likely right: a practised hand would pull another. */
const SURE = 0.8;
/** The same of cups that were served again and again. */
const LIKED_CLAIM_AT_LEAST = 0.2;
/** Believed in this much, what stood twice and read right each time is done, though a move promised a little more. */
const GOOD_ENOUGH = 0.75;
/** Further beyond tolerance than noise alone puts a right cup, points; of several, by their root less. */
const PLAINLY = 0.4;
/** What poured and tasted right, and is believed in at least this much, is confirmed before anything is moved. */
const WORTH_CONFIRMING = 0.6;
/** The same of a cup that nobody would turn: it is not moved on a suspicion, unless a strong one. */
const LEFT_ALONE_WORTH_CONFIRMING = 0.25;
/** Marked this of ten a cup is one to serve. */
const LIKED = 7;
/** Shots of the same settings this near each other in time taste the same (ordinary practice), s. */
const ALIKE_SECONDS = 2;
/** Marked below this of ten a cup lacks something, though no word says what. */
const PASSABLE = 6.5;
/** Two words for the same cup are hardly ever this far apart: 2.4 times the noise of ±0.44 of both, points. */
const FAR_APART = 1.5;
/** The smallest step of a tongue, points. */
const SMALLEST_WORD = 0.5;
/** A person's own target is not in halves. */
const ROUNDING = 0.1;
/** Share of the cups at the same settings that must be ones to serve. */
const MOSTLY = 0.75;
/** The same where two cups read right and one between them was odd. */
const TWO_OF_THREE = 2 / 3;
/** Marked this of ten a cup is gladly served. */
const GLADLY = 8;
/** Marked this of ten it is a delight: the mark outweighs a word that is half a point further off. */
const DELIGHT = { mark: 9, points: 0.5 };
/** Marked this of ten for sweetness, a light roast may be bright. */
const SWEET = 7;
const BRIGHT_ROASTS: ReadonlySet<Roast> = new Set<Roast>(['light', 'medium-light']);
/** After so many sound shots at the same settings one more tells little: it must be worth it. */
export const PATIENCE = 2;
/** A channel makes a shot faster by no more than this share of it: further short of the window it is too coarse besides. */
const CHANNEL_SHARE = 0.3;
/** Spoilt pucks in a row that are put down to preparation; one more where the shots ran short and nothing else is known to be wrong. */
const MOST_PREPARED = { channels: 2, muddled: 1, short: 3 };

/**
 * Preparation before anything else: when channels come twice, when the cup is harsh without being bitter, or when a
 * channel alone may explain a time outside the window. A third spoilt puck is not the hand's fault any more, and a shot that
 * is too slow in spite of a channel is too fine without it.
 */
export function mustPrepare(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const { spoilt, spoiltInARow, last } = evidence;
  const isOutside = here.windowShare <= 0.25;
  if (spoilt === null) return false;
  // Of a shot that ran short nothing else is known to be wrong while its settings are believed to be in the window.
  if (spoiltInARow > mostPrepared(evidence)) {
    const isWorthCare = spoiltInARow <= MOST_PREPARED.short && here.windowShare >= WINDOW_DOUBT;
    return isWorthCare && !isTooTight(problem, evidence);
  }
  if (spoilt === 'muddled') return true;
  const { min, max } = problem.request.target.timeSeconds;
  const seconds = last.timeSeconds ?? 0;
  if (isOutside && seconds > max) return false;
  return spoiltInARow > 1 || !isOutside || isSurprising(evidence) || seconds >= (1 - CHANNEL_SHARE) * min;
}

/**
 * Care did not help: water breaks through a bed that is too tight. Coarser, and never finer after the sourness. A shot that
 * ran short of the window is not too tight.
 */
export function isTooTight(problem: Problem, evidence: Evidence): boolean {
  const { spoilt, spoiltInARow, last } = evidence;
  if (spoilt === null || spoiltInARow <= mostPrepared(evidence)) return false;
  return (last.timeSeconds ?? Infinity) >= problem.request.target.timeSeconds.min;
}

/** A channel somebody saw is prepared for twice, though the cup was harsh besides. */
function mostPrepared({ spoilt, last }: Evidence): number {
  return MOST_PREPARED[spoilt === 'muddled' && !sawChannel(last) ? 'muddled' : 'channels'];
}

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
  if (!tasted || !timed || newest === undefined || isPlainlyOff(problem, newest)) return false;
  // Odd the one way and the other is right on the mean, and yet none of them was a cup to keep.
  if (!sound.some((pour) => isLiked(pour) || readsRight(problem, pour))) return false;
  const isPassable = (newest.marks.overall ?? 0) >= PASSABLE;
  if (!isPassable && isToMend(problem, sound)) return false;
  if (sound.length <= PATIENCE && isCalledOff(problem, newest)) return false;
  // Of a single cup a glad mark outweighs the word only where these settings are very likely right: else another shows which was meant.
  const isWordOff = !tastesRight(problem, [newest]) && !isBright(problem, newest);
  if (sound.length === 1 && isWordOff && rightBy(problem, here) < SURE) return false;
  // Taken together, too, though a bright cup is not held against a light roast.
  const dull = sound.filter((pour) => !isBright(problem, pour));
  if (tastesPlainlyOff(problem, dull)) return false;
  // One shot on a grinder nobody knows is no evidence that the next will be like it; on another it must be as wanted in every word.
  const isFirst = problem.pours.length === 1;
  if (isFirst && !(problem.request.grinder.logTimePerUnit && isSpotless(problem, newest))) return false;
  if (isFirst && rightBy(problem, here) < SURE) return false;
  // Nor is one that was dosed or stopped well off: the recipe itself was never in the cup.
  if (sound.length === 1 && missedRecipe(newest)) return false;
  if (sound.length <= problem.method.confirmShots) return false;
  return rightBy(problem, here) >= claimAtLeast(problem, sound);
}

/** Who calls cups wrong that were served three times, or twice gladly beside one odd cup, doubts the belief and not the cups. */
function claimAtLeast(problem: Problem, sound: readonly Pour[]): number {
  const isKept = isServedAgain(problem, sound) || (isOddOneOut(problem, sound) && isGladlyTwice(problem, sound));
  return isKept ? LIKED_CLAIM_AT_LEAST : CLAIM_AT_LEAST;
}

/**
 * Off by more than tolerance and not gladly served, or marked low, whatever the words: where one or two cups are all there is nobody
 * writes that card, whatever the odds.
 */
function isCalledOff(problem: Problem, pour: Pour): boolean {
  const mark = pour.marks.overall;
  if (mark === null ? isToMend(problem, [pour]) : mark < PASSABLE) return true;
  if ((mark !== null && mark >= GLADLY) || isBright(problem, pour)) return false;
  return !TASTE_SCALES.every((scale) => isWithin(problem, [pour], scale));
}

/**
 * The newest cup is called off by more than tolerance, those before it at the same settings do not take that back, and it was not
 * marked as one to serve: noise or not, who tastes sour turns something.
 */
export function isToMend(problem: Problem, sound: readonly Pour[]): boolean {
  const newest = sound.at(-1);
  if (newest === undefined || isLiked(newest) || tastesBothWays(problem, sound)) return false;
  return TASTE_SCALES.some((scale) => isOff(problem, [newest], scale) && isOff(problem, sound, scale));
}

/** In the window to the second, called off by no more than the smallest word, and one to serve, if it was marked. */
function isSpotless(problem: Problem, pour: Pour): boolean {
  const isOnTime = problem.method.timeIs === 'outcome' || isInTime(problem, pour, 0);
  if (pour.marks.overall !== null && !isLiked(pour)) return false;
  return isOnTime && TASTE_SCALES.every((scale) => isWithin(problem, [pour], scale, SMALLEST_WORD));
}

/** The time is right, the cup was marked low, and nobody said whether sour or bitter, thin or heavy: no lever can be chosen by that. */
export function isUnnamed(problem: Problem, { last, sameSettings }: Evidence): boolean {
  const isNamed = sameSettings.some(({ taste }) => taste?.balance != null || taste?.body != null);
  if (isNamed || last.marks.overall === null || isLiked(last)) return false;
  return problem.method.timeIs === 'outcome' || isInTime(problem, last);
}

/** Belief that these settings are right; by taste alone where time is an outcome. */
export function rightBy({ method }: Problem, here: Outlook): number {
  return method.timeIs === 'outcome' ? here.tasteShare : here.goodShare;
}

/**
 * Settings that stood twice or more, every sound shot as wanted, and that are well believed in; or that read right two times of
 * three, or were liked three times: to turn anything for the last tenths would be fiddling. Good enough is enough.
 */
export function isGoodEnough(problem: Problem, { sound }: Evidence, here: Outlook): boolean {
  if (isServedAgain(problem, sound)) return true;
  if (isOddOneOut(problem, sound) && rightBy(problem, here) >= claimAtLeast(problem, sound)) return true;
  if (sound.length < PATIENCE || !sound.every((pour) => readsRight(problem, pour))) return false;
  if (here.goodShare >= GOOD_ENOUGH) return true;
  return sound.length > PATIENCE && rightBy(problem, here) >= GOOD_ENOUGH;
}

/** Two of three read right, the newest among them and one to serve, if it was marked: what was odd between them was noise. */
function isOddOneOut(problem: Problem, sound: readonly Pour[]): boolean {
  const newest = sound.at(-1);
  if (newest === undefined || sound.length <= PATIENCE || !readsRight(problem, newest)) return false;
  if (newest.marks.overall !== null && !isLiked(newest)) return false;
  const right = sound.filter((pour) => readsRight(problem, pour));
  return right.length >= TWO_OF_THREE * sound.length;
}

/** The newest cup and one before it read right and were gladly served. */
function isGladlyTwice(problem: Problem, sound: readonly Pour[]): boolean {
  const isGlad = (pour: Pour): boolean => (pour.marks.overall ?? 0) >= GLADLY && readsRight(problem, pour);
  return sound.filter(isGlad).length >= 2 && isGlad(sound.at(-1)!);
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
function tastesRightTogether(problem: Problem, pours: readonly Pour[]): boolean {
  const dull = pours.filter((pour) => !isBright(problem, pour));
  return dull.length === 0 || tastesRight(problem, dull);
}

/** A cup one would serve, that no word or clock puts plainly off. */
export function isServed(problem: Problem, pour: Pour): boolean {
  return isLiked(pour) && !isPlainlyOff(problem, pour);
}

/** Nobody believes a claim beside a cup clearly sour or harsh or a shot outside the window, whatever the others said. */
function isPlainlyOff(problem: Problem, pour: Pour, noise = PLAINLY): boolean {
  if (tastesPlainlyOff(problem, [pour], noise) || (pour.taste?.dryness ?? 0) >= DRY) return true;
  return problem.method.timeIs === 'target' && pour.timeSeconds !== null && !isInTime(problem, pour);
}

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
 * Confirm with one more shot: settings that just poured and tasted right are pulled again, not moved, until they stood twice.
 */
export function isToConfirm(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const { last, sound } = evidence;
  if (!last.sound || sound.length >= patienceOf(problem, sound)) return false;
  const mark = last.marks.overall;
  const isLeft = isLeftAlone(problem, last) || isGladlyTwice(problem, sound);
  const enough = isLeft ? LEFT_ALONE_WORTH_CONFIRMING : WORTH_CONFIRMING;
  // A cup one would gladly serve, beside the window by no more than shots of the same settings differ: noise until it happens twice.
  const strays = Math.max(ALIKE_SECONDS, PUCK_STRAYS * (last.timeSeconds ?? 0));
  const grace = mark !== null && mark >= GLADLY ? strays : GRACE_SECONDS;
  const isWorthIt = isServedGladly(problem, last) && !tastesPlainlyOff(problem, sound, forgivenTo(last));
  return rightBy(problem, here) >= enough && (readsRight(problem, last, grace) || isWorthIt);
}

/** Marked like a cup one serves gladly, though a word puts it off by no more than noise: the two disagree, and only another can tell. */
export function isServedGladly(problem: Problem, pour: Pour): boolean {
  return (pour.marks.overall ?? 0) >= GLADLY && !isPlainlyOff(problem, pour, forgivenTo(pour));
}

/** How far beyond tolerance a word is put down to the tongue. */
function forgivenTo({ marks }: Pour): number {
  return PLAINLY + ((marks.overall ?? 0) >= DELIGHT.mark ? DELIGHT.points : 0);
}

/** Served each time, gladly the last time, or liked outside the range a school tolerates where time is an outcome: it takes one more to call it. */
function patienceOf(problem: Problem, sound: readonly Pour[]): number {
  const isOpen = problem.method.timeIs === 'outcome' && !sound.every((pour) => isInTime(problem, pour));
  const newest = sound.at(-1);
  const isGladly = newest !== undefined && isServedGladly(problem, newest) && readsRight(problem, newest);
  const isServedSoFar = isGladly || sound.every((pour) => isServed(problem, pour));
  return isOpen || (isServedSoFar && tastesRightTogether(problem, sound)) ? PATIENCE + 1 : PATIENCE;
}

/**
 * Nobody would turn anything for this cup: called as wanted on both scales, so that no word says which way; even and liked; or off by
 * no more than the smallest word and a delight, or gladly served from a shot that strayed from the window, where noise explains
 * both. One that nobody marked is taken at its words; one that leans and was marked lower may be mended as well as confirmed.
 */
function isLeftAlone(problem: Problem, pour: Pour): boolean {
  if (isBright(problem, pour) || TASTE_SCALES.every((scale) => isWithin(problem, [pour], scale, 0))) return true;
  const mark = pour.marks.overall ?? DELIGHT.mark;
  const outweighsWord = mark >= DELIGHT.mark || (mark >= GLADLY && !isInTime(problem, pour));
  const mayLean = outweighsWord ? SMALLEST_WORD : 0;
  return (
    mark >= LIKED && isWithin(problem, [pour], 'balance', mayLean) && isWithin(problem, [pour], 'body', SMALLEST_WORD)
  );
}

/** A cup one would serve. */
export function isLiked({ marks }: Pour): boolean {
  return (marks.overall ?? 0) >= LIKED;
}

/** Poured and tasted as wanted, give or take what a barista still calls so. */
export function readsRight(problem: Problem, pour: Pour, graceSeconds = GRACE_SECONDS): boolean {
  const isAsWanted = (tastesRight(problem, [pour]) && !isToMend(problem, [pour])) || isBright(problem, pour);
  return isAsWanted && (problem.method.timeIs === 'outcome' || isInTime(problem, pour, graceSeconds));
}

/** The acidity of a light roast is no fault where sweetness balances it: called sour, though not plainly, sweet, and gladly served. */
export function isBright(problem: Problem, pour: Pour): boolean {
  const balance = pour.taste?.balance;
  if (balance == null || balance >= problem.request.target.balance) return false;
  const isSweet = (pour.marks.sweetness ?? 0) >= SWEET && (pour.marks.overall ?? 0) >= GLADLY;
  const isPlain = plainMiss(problem, [pour], 'balance') !== 0;
  return isSweet && !isPlain && isWithin(problem, [pour], 'body') && BRIGHT_ROASTS.has(problem.request.coffee.roast);
}

/** The cups, taken together, were called as wanted: within tolerance, give or take a tenth for a person's own target. */
export function tastesRight(problem: Problem, pours: readonly Pour[]): boolean {
  if (tastedMiss(problem, pours, 'balance') === null) return false;
  return TASTE_SCALES.every((scale) => isWithin(problem, pours, scale));
}

function isOff(problem: Problem, pours: readonly Pour[], scale: TasteScale): boolean {
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
