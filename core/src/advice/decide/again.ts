import type { Choice } from '../lookahead/choice';
import { CLAIM_AT_LEAST, isFirstToTell } from './claim';
import {
  forgivenTo,
  HAPPILY,
  isBright,
  isGladEachTime,
  isHappilyTwice,
  isLiked,
  isServed,
  isServedAgain,
  isServedHappily,
  isUnnamed,
  LIKED,
  PASSABLE,
  PATIENCE,
  readsRight,
  SMALLEST_WORD,
  tastesBothWays,
  tastesRightTogether,
} from '../shots/cups';
import { isSurprising, type Evidence } from '../shots/evidence';
import { isForTaste, type PlanStage } from './plan';
import { meanOf, rightBy, type Outlook } from '../../belief/particles';
import { GRACE_SECONDS, type Problem } from '../../belief/problem';
import { isInTime, shotsDifferBy, WINDOW_DOUBT } from '../shots/inTime';
import type { Pour } from '../../belief/pour';
import { isWithin, TASTE_SCALES, tastedMiss, tastesPlainlyOff } from '../shots/taste';

/** A cup that read right is left only for settings believed in by so much more. */
const WORTH_LEAVING = 0.1;
/** A shot that was odd, or whose dose or yield strayed far, is pulled again while its settings are in the window by this much. */
const WORTH_ANOTHER = 0.15;
/** Settings believed in less than this are changed, not pulled again for certainty. */
const WORTH_REPEATING = 0.3;
/** Settings that stood often enough may be pulled once more, rather than fiddled with, when believed in at least this much. */
const WORTH_STAYING = 0.6;
/** What poured and tasted right, and is believed in at least this much, is confirmed before anything is moved. */
const WORTH_CONFIRMING = 0.6;
/** The same of a cup that nobody would turn: it is not moved on a suspicion, unless a strong one. */
const LEFT_ALONE_WORTH_CONFIRMING = 0.25;

/**
 * A cup that leans to one side of the balance is fixed instead of confirmed for settings believed in by so much more: whether it is right
 * nobody knows yet, and the next shot tells that as well from where it is likelier so.
 */
const WORTH_MENDING = { happily: 0.3, otherwise: 0.1 };

/** Why a shot says too little to move anything by it. */
export type TooLittle =
  'unpurged' | 'blank' | 'unnamed' | 'excused' | 'strayed' | 'no-effect' | 'surprise' | 'untasted';

/**
 * Before any move is thought of: the last shot tells nothing of its settings, or not what they were at fault in, or may be noise.
 *
 * @param isTight water broke through a bed too tight: what is odd about that shot is explained
 */
export function saysTooLittle(problem: Problem, evidence: Evidence, here: Outlook, isTight: boolean): TooLittle | null {
  const { last } = evidence;
  if (evidence.unpurged) return 'unpurged';
  if (evidence.isBlank) return 'blank';
  if (isUnnamed(problem, evidence)) return 'unnamed';
  if (!last.sound && !last.channelled) return 'excused';
  if (evidence.strayed !== null && here.windowShare >= WORTH_ANOTHER) return 'strayed';
  if (isTight) return null;
  if (evidence.missing !== null) return 'no-effect';
  if (!last.channelled && isOdd(problem, evidence, here)) return 'surprise';
  return evidence.isUntasted && isInTime(problem, last) && here.windowShare >= WINDOW_DOUBT ? 'untasted' : null;
}

/** The last shot is not what the ones before predicted: noise until it happens twice, unless it is one more cup to serve. */
function isOdd(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  if (evidence.isOddAfterSeries) return true;
  if (isServedAgain(problem, evidence.sound)) return false;
  const atLeast = evidence.sameSettings.length < 2 ? WORTH_ANOTHER : WINDOW_DOUBT;
  return isSurprising(evidence) && here.windowShare >= atLeast;
}

/** Of two cups at these settings one was odd, and they are as likely right as not: neither cup is acted on before a third. */
export function isContradicted(problem: Problem, { sound, last }: Evidence, here: Outlook, stage: PlanStage): boolean {
  if (!isForTaste(stage) || !last.sound || sound.length !== PATIENCE) return false;
  return rightBy(problem, here) >= CLAIM_AT_LEAST && tastesBothWays(problem, sound);
}

/** A cup that read right is not left for settings that promise hardly more than these do; one that was liked, not the third time either. */
export function promisesMost(problem: Problem, { sound, last }: Evidence, still: Choice, ranked: Choice[]): boolean {
  if (!last.sound || !readsRight(problem, last) || (sound.length >= PATIENCE && !isLiked(last))) return false;
  return ranked.every(({ outlook }) => outlook.goodShare <= still.outlook.goodShare + WORTH_LEAVING);
}

/**
 * A cup that read right leans to one side, and what would be turned leads it further there: on the word of other cups nobody does that
 * before this one was tasted twice.
 */
export function turnsAgainstWord(
  problem: Problem,
  { sound, last }: Evidence,
  still: Choice,
  chosen: Choice,
  stage: PlanStage,
): boolean {
  if (!isForTaste(stage) || sound.length >= PATIENCE || !last.sound || !readsRight(problem, last)) return false;
  return rightBy(problem, still.outlook) >= LEFT_ALONE_WORTH_CONFIRMING && leadsOn(problem, last, still, chosen) > 0;
}

/** Points of balance by which what would be turned leads a cup on the way it leans: below zero it leads back; zero where nothing leans. */
function leadsOn(problem: Problem, pour: Pour, still: Choice, chosen: Choice): number {
  const miss = tastedMiss(problem, [pour], 'balance') ?? 0;
  if (Math.abs(miss) < SMALLEST_WORD) return 0;
  return Math.sign(miss) * (meanOf(chosen.outlook.balance) - meanOf(still.outlook.balance));
}

/** Among taste moves pulling again competes with them; at settings believed wrong, or with a cup plainly wrong, it is never the answer. */
export function isWorthRepeating(problem: Problem, { last, sound }: Evidence, here: Outlook): boolean {
  if (last.taste?.balance == null && last.taste?.overall == null) return true;
  if (tastesPlainlyOff(problem, sound)) return false;
  const isOpen = sound.length < PATIENCE || tastesBothWays(problem, sound);
  return here.goodShare >= (isOpen ? WORTH_REPEATING : WORTH_STAYING);
}

/**
 * Confirm with one more shot: settings that just poured and tasted right are pulled again, not moved, until they stood twice.
 */
export function isToConfirm(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const { last, sound } = evidence;
  if (!last.sound || sound.length >= patienceOf(problem, sound)) return false;
  if (isGladEachTime(problem, sound)) return true;
  const mark = last.marks.overall;
  const isLeft = isLeftAlone(problem, last) || isHappilyTwice(problem, sound);
  const enough = isLeft ? LEFT_ALONE_WORTH_CONFIRMING : WORTH_CONFIRMING;
  // A cup one would happily serve, beside the window by no more than shots of the same settings differ: noise until it happens twice.
  const grace = mark !== null && mark >= HAPPILY ? shotsDifferBy(last.timeSeconds ?? 0) : GRACE_SECONDS;
  const isWorthIt = isServedHappily(problem, last) && !tastesPlainlyOff(problem, sound, forgivenTo(last));
  return rightBy(problem, here) >= enough && (readsRight(problem, last, grace) || isWorthIt);
}

/**
 * Leaning, and what would be turned leads it back to settings believed in by much more: who still tastes a hint of sour grinds a touch finer
 * and confirms there. Not so the first shot that tells anything, a cup that nobody marked, a bright one, and what was happily served twice.
 */
export function isWorthFixing(problem: Problem, { sound }: Evidence, still: Choice, chosen: Choice): boolean {
  const newest = sound.at(-1);
  const mark = newest?.marks.overall ?? null;
  if (newest === undefined || mark === null || isFirstToTell(problem) || isBright(problem, newest)) return false;
  if (sound.length > 1 && sound.every((pour) => isServedHappily(problem, pour))) return false;
  if (leadsOn(problem, newest, still, chosen) >= 0) return false;
  const more = mark >= HAPPILY && sound.length === 1 ? WORTH_MENDING.happily : WORTH_MENDING.otherwise;
  return chosen.outlook.goodShare >= still.outlook.goodShare + more;
}

/**
 * Served each time, happily the last time or every time, or liked outside the range a method tolerates where time is an outcome: it takes
 * one more to call it.
 */
function patienceOf(problem: Problem, sound: readonly Pour[]): number {
  const isOpen = problem.method.timeIs === 'outcome' && !sound.every((pour) => isInTime(problem, pour));
  const newest = sound.at(-1);
  const isHappily = newest !== undefined && isServedHappily(problem, newest) && readsRight(problem, newest);
  const isServedSoFar = isHappily || sound.every((pour) => isServed(problem, pour));
  const isWorthOneMore = isServedSoFar && tastesRightTogether(problem, sound);
  return isOpen || isWorthOneMore || isGladEachTime(problem, sound) ? PATIENCE + 1 : PATIENCE;
}

/**
 * Nobody would turn anything for this cup: called as wanted on both scales, so that no word says which way; even and passable; or off by
 * no more than the smallest word and happily served, or the first that tells anything and one to serve, where noise explains the word, and
 * the window it strayed from, if it did. One that nobody marked is taken at its words; a later one that leans and was marked lower may be
 * fixed as well as confirmed.
 */
function isLeftAlone(problem: Problem, pour: Pour): boolean {
  if (isBright(problem, pour) || TASTE_SCALES.every((scale) => isWithin(problem, [pour], scale, 0))) return true;
  const mark = pour.marks.overall ?? HAPPILY;
  const mayLean = mark >= (isFirstToTell(problem) ? LIKED : HAPPILY) ? SMALLEST_WORD : 0;
  return (
    mark >= PASSABLE &&
    isWithin(problem, [pour], 'balance', mayLean) &&
    isWithin(problem, [pour], 'body', SMALLEST_WORD)
  );
}
