import type { Choice } from '../lookahead/choice';
import { isToFix } from '../shots/cups';
import type { Evidence } from '../shots/evidence';
import { lackOf } from './levers';
import { turnsGrindAlone } from './tasteLevers';
import { endOfScale } from '../lookahead/moves';
import type { Outlook } from '../../belief/particles';
import { GRACE_SECONDS, type Problem } from '../../belief/problem';
import { sideOut, WINDOW_DOUBT } from '../shots/inTime';
import { TASTE_SCALES, tastedMiss, type TasteScale, tastesRight } from '../shots/taste';

/**
 * Taste moves a practised hand would consider: those expected to lead nearer to the wanted cup and to fix what it lacks, or at
 * least what it lacks more. A cup lacks what the tongue says plainly, or else what is believed. Dose with yield in ratio
 * leaves the taste nearly as it is and is no taste move, but where the grinder stands at the end that is wanted.
 *
 * Where no single move leads nearer and these settings are not to be pulled again, the cup is fixed by as little as can be: belief
 * and tongue disagree, or it takes two moves, and the first must lead away.
 *
 * @param mustMove whether another shot at these settings is not worth it, by belief or by what the tongue says
 * @returns the moves, and whether they fix what the cup lacks more; nothing can at the end of every scale
 */
export function sensibleMoves(
  problem: Problem,
  evidence: Evidence,
  still: Choice,
  candidates: readonly Choice[],
  mustMove: boolean,
): { choices: Choice[]; fixes: boolean } {
  const here = still.outlook;
  const possible = withoutLosses(problem, evidence, here, candidates);
  const { fixing, nearer, isHarmless } = menders(problem, evidence, here, possible);
  const staysInside = (choice: Choice): boolean => !isTurnedOut(problem, evidence, here, choice);
  const harmless = nearer.filter(isHarmless);
  if (harmless.length > 0) {
    const inside = harmless.filter(staysInside);
    // Whatever else takes the time out of the window, water above all, comes after what fixes the cup in it.
    const kept = inside.filter(({ outlook }) => problem.method.timeIs === 'outcome' || !leavesWindow(here, outlook));
    return { choices: firstOf(kept, inside, harmless), fixes: true };
  }
  const careful = fixing.filter((choice) => isHarmless(choice) && !choice.move.coupled);
  const leastOf = (...lists: Choice[][]): Choice[] =>
    firstOf(...lists)
      .sort((a, b) => a.outlook.distance - b.outlook.distance)
      .slice(0, 1);
  const least = leastOf(careful.filter(staysInside));
  if (mustMove && least.length > 0) return { choices: least, fixes: true };
  if (nearer.length > 0) return { choices: firstOf(nearer.filter(staysInside), nearer), fixes: true };
  const alone = fixing.filter((choice) => staysInside(choice) && !choice.move.coupled);
  // What keeps the window and makes the fault worse is no way: the window is given up first.
  const anywhere = menders(problem, evidence, here, candidates).fixing.filter(({ move }) => !move.coupled);
  const choices = mustMove ? leastOf(alone, careful, fixing, anywhere) : [];
  return { choices, fixes: fixing.length > 0 || choices.length > 0 };
}

/** The window is not given up for a cup that no word calls off. */
function withoutLosses(
  problem: Problem,
  { sound }: Evidence,
  here: Outlook,
  candidates: readonly Choice[],
): readonly Choice[] {
  if (problem.method.timeIs === 'outcome' || !tastesRight(problem, sound) || isToFix(problem, sound)) return candidates;
  const isKept = ({ outlook }: Choice): boolean => outlook.windowShare >= Math.min(WINDOW_DOUBT, here.windowShare);
  return candidates.filter(isKept);
}

/** True when there is such a move, or nothing lacking. */
export function hasWayOut(problem: Problem, evidence: Evidence, here: Outlook, candidates: readonly Choice[]): boolean {
  const { isLacking } = menders(problem, evidence, here, candidates);
  return !isLacking || waysOut(problem, evidence, here, candidates).length > 0;
}

/** The moves that lead nearer, or if none does, fix what the cup lacks more, and that keep the time. */
export function waysOut(problem: Problem, evidence: Evidence, here: Outlook, candidates: readonly Choice[]): Choice[] {
  const { fixing, nearer } = menders(problem, evidence, here, candidates);
  const ways = nearer.length > 0 ? nearer : fixing.filter(({ move }) => !move.coupled);
  return ways.filter((choice) => !isTurnedOut(problem, evidence, here, choice));
}

/** Those that lead no scale further off that is called off, or believed to be. */
export function harmlessOf(
  problem: Problem,
  evidence: Evidence,
  here: Outlook,
  candidates: readonly Choice[],
): Choice[] {
  return candidates.filter(menders(problem, evidence, here, candidates).isHarmless);
}

interface Menders {
  /** The moves that fix what the cup lacks more. */
  fixing: Choice[];
  /** Those of them that are expected to lead nearer to the wanted cup. */
  nearer: Choice[];
  /** Leads no scale that is beyond its tolerance further off. */
  isHarmless: (choice: Choice) => boolean;
  isLacking: boolean;
}

function menders(problem: Problem, evidence: Evidence, here: Outlook, candidates: readonly Choice[]): Menders {
  const believed = lackOf(problem, here);
  const { sound } = evidence;
  const tasted = (scale: TasteScale): number | null => {
    const miss = tastedMiss(problem, sound, scale);
    return miss === null ? null : miss / problem.method.tolerance[scale];
  };
  const isCalledOff = (scale: TasteScale): boolean => Math.abs(tasted(scale) ?? 0) > 1;
  const isAnyCalledOff = TASTE_SCALES.some(isCalledOff);
  const lack = (scale: TasteScale): number => {
    if (isCalledOff(scale)) return tasted(scale)!;
    // What the tongue calls even is not fixed on a suspicion while it calls the other scale off.
    return isAnyCalledOff && tasted(scale) !== null ? 0 : believed[scale];
  };
  const fixes = ({ outlook }: Choice, scale: TasteScale): boolean =>
    Math.sign(lack(scale)) * (lackOf(problem, outlook)[scale] - believed[scale]) <= 0;
  const lacking = TASTE_SCALES.filter((scale) => Math.abs(lack(scale)) > 1);
  const isBodyWorse = Math.abs(lack('body')) > Math.abs(lack('balance'));
  // Where the grind is all a method turns it is the balance's lever: no cup called sour is made more so for its body.
  const isBalanceFirst = turnsGrindAlone(problem.method) && isCalledOff('balance');
  const worse = isBodyWorse && !isBalanceFirst ? 'body' : 'balance';
  // Heat is no lever for the body alone: what little it does there is no reason to lead the balance further off.
  const isReason = (choice: Choice): boolean => choice.move.lever !== 'temperature' || fixes(choice, 'balance');
  const fixing = candidates.filter((choice) => fixes(choice, worse) && isReason(choice));
  // The grind that the balance asks for is not there: dose with yield in ratio stands in for it.
  const end = lack('balance') < 0 ? 'finest' : 'coarsest';
  const standsIn = lacking.includes('balance') && endOfScale(problem, here.settings.grind) === end;
  return {
    fixing,
    nearer: fixing.filter(({ outlook, move }) => outlook.distance < here.distance && (!move.coupled || standsIn)),
    isHarmless: (choice) => lacking.every((scale) => fixes(choice, scale)),
    isLacking: lacking.length > 0,
  };
}

/**
 * Grind brings the time into the window; for the taste it is not turned so far that the window is doubted again and it would have to
 * be brought back, if anything else will do. Nor out of the range that is tolerated, or further out of it, where time is an outcome.
 * After a shot that ran out of the window nothing is turned that leads the time further out, nor the heat: the time comes first.
 */
function isTurnedOut(problem: Problem, { last }: Evidence, here: Outlook, { move, outlook }: Choice): boolean {
  const side = sideOut(problem, last);
  const isFurtherOut = side * (outlook.medianTimeSeconds - here.medianTimeSeconds) > GRACE_SECONDS;
  if (problem.method.timeIs === 'target' && side !== 0 && (move.lever === 'temperature' || isFurtherOut)) return true;
  return move.lever === 'grind' && (isFurtherOut || leavesWindow(here, outlook));
}

/** Doubts the window, and more than it is doubted here. */
export function leavesWindow(here: Outlook, outlook: Outlook): boolean {
  return outlook.windowShare < WINDOW_DOUBT && outlook.windowShare < here.windowShare;
}

/** The first list that has anything in it. */
function firstOf<T>(...lists: (readonly T[])[]): T[] {
  return [...(lists.find((list) => list.length > 0) ?? [])];
}
