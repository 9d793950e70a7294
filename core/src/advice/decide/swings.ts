import type { Lever } from '../../method/Method';
import { LEVER_OF, type Settings } from '../../contract/answer';
import { changesBetween } from '../../contract/changes';
import { isSame, type Evidence } from '../shots/evidence';
import type { PlanStage } from './plan';
import type { Move } from '../lookahead/moves';
import { isInTime } from '../shots/inTime';
import type { Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';
import { isMixture } from '../../belief/readings';
import { plainMiss, TASTE_SCALES, tastedMiss, tastesRight, type TasteScale } from '../shots/taste';

/**
 * Step, half step, stop: settings that differ from these by one lever alone and were right before are not passed by on the way.
 * Right is in the window while the time is brought back, and in the window and as wanted once it is a matter of taste.
 *
 * @returns the moves that stop short of such settings or at them; all of them where none does
 */
export function withoutSwings<T extends { move: Move }>(
  problem: Problem,
  stage: PlanStage,
  from: Settings,
  choices: readonly T[],
): T[] {
  const known = settingsPoured(problem)
    .filter(([poured]) => !isSame(poured.planned, from))
    .filter((pours) => pouredInTime(problem, pours) && (stage === 'window' || tastesRight(problem, pours)))
    .map(([poured]) => poured.planned);
  const goesBack = wrongTurns(problem, stage, from);
  const near = choices.filter(
    ({ move }) => !known.some((right) => passesBy(from, right, move.settings)) && !goesBack(move.settings),
  );
  return near.length > 0 ? near : [...choices];
}

/**
 * What was tried and was off the other way than the shots here is not gone back to, nor beyond: what is wanted lies between. For the
 * time that is a mean on the other side of the window, or cups called off where those here are as wanted: to bring the time back there would
 * spoil the cup. For taste it is cups off to the other side, taken together, or any mean outside the window.
 *
 * @returns whether a move from here to such settings, or past them, would be such a turn
 */
export function wrongTurns(problem: Problem, stage: PlanStage, from: Settings): (to: Settings) => boolean {
  return leadingTo(problem, from, (here, there) => isOffTheOtherWay(problem, stage, here, there));
}

/**
 * Settings that poured in time, or on the other side of the window, and were called off there: who goes back there, or past them, knows the
 * cup.
 *
 * @returns whether a move from here leads there
 */
export function leadsToWhatWasOff(problem: Problem, from: Settings): (to: Settings) => boolean {
  return leadingTo(
    problem,
    from,
    (here, there) => sideOf(problem, there) !== sideOf(problem, here) && wasCalledOff(problem, there),
  );
}

/** Shots at the nearest turn of the grind that poured in time, and the cup was called off; null where the time here is right, or there is none. */
export function timedButOff(problem: Problem, from: Settings): readonly Pour[] | null {
  const groups = settingsPoured(problem);
  const here = groups.find(([poured]) => isSame(poured.planned, from));
  if (here === undefined || sideOf(problem, here) === 0) return null;
  return nearestByGrind(problem, from, (pours) => sideOf(problem, pours) === 0 && wasCalledOff(problem, pours));
}

function nearestByGrind(
  problem: Problem,
  from: Settings,
  isOfKind: (pours: readonly Pour[]) => boolean,
): readonly Pour[] | null {
  const way = ([{ planned }]: readonly [Pour, ...Pour[]]): number => Math.abs(planned.grind - from.grind);
  const isByGrind = ([{ planned }]: readonly [Pour, ...Pour[]]): boolean =>
    changesBetween(from, planned).every(({ variable }) => variable === 'grind');
  const found = settingsPoured(problem).filter((pours) => isByGrind(pours) && isOfKind(pours));
  return found.sort((a, b) => way(a) - way(b))[0] ?? null;
}

/** The cup here is off the other way than one at settings that differ by this lever alone: what is wanted lies between. */
export function isBracketed(problem: Problem, { last, sound }: Evidence, lever: Lever): boolean {
  return settingsPoured(problem).some((pours) => {
    const [change, ...others] = changesBetween(last.planned, pours[0].planned);
    const isByLever = change !== undefined && others.length === 0 && LEVER_OF[change.variable] === lever;
    return isByLever && tastesOpposite(problem, sound, pours);
  });
}

/**
 * Shots at the nearest turn of the grind that was already out of the window on the side where the cup here would be led, and off the same way
 * all the same: what lies between is no better. Null where there is none, or the balance here is as wanted.
 */
export function offBeyondWindow(problem: Problem, { last, sound }: Evidence): readonly Pour[] | null {
  const fault = Math.sign(plainMiss(problem, sound, 'balance', 0));
  // Sour asks for slower, bitter for faster.
  const isNoHelp = (pours: readonly Pour[]): boolean =>
    fault * sideOf(problem, pours) < 0 && fault * plainMiss(problem, pours, 'balance', 0) > 0;
  return nearestByGrind(problem, last.planned, isNoHelp);
}

/** Whether a move from here leads to settings poured before that are of this kind, or past them; none does where these settings told nothing. */
function leadingTo(
  problem: Problem,
  from: Settings,
  isOfKind: (here: readonly Pour[], there: readonly Pour[]) => boolean,
): (to: Settings) => boolean {
  const groups = settingsPoured(problem);
  const here = groups.find(([poured]) => isSame(poured.planned, from));
  if (here === undefined) return () => false;
  const tried = groups.filter((pours) => pours !== here && isOfKind(here, pours));
  return (to) => tried.some(([{ planned }]) => isSame(planned, to) || passesBy(from, planned, to));
}

function isOffTheOtherWay(problem: Problem, stage: PlanStage, here: readonly Pour[], there: readonly Pour[]): boolean {
  const isTimed = problem.method.timeIs === 'target';
  const [side, otherSide] = [sideOf(problem, here), sideOf(problem, there)];
  if (stage === 'window') {
    const isSpoilt = otherSide !== side && tastesRight(problem, here) && wasCalledOff(problem, there);
    return isTimed && (side * otherSide < 0 || isSpoilt);
  }
  if (isTimed && otherSide !== 0) return true;
  return tastesOpposite(problem, here, there);
}

function wasCalledOff(problem: Problem, pours: readonly Pour[]): boolean {
  return tastedMiss(problem, pours, 'balance') !== null && !tastesRight(problem, pours);
}

/** Sour the one and bitter the others, or thin and heavy, each beyond tolerance: two tongues' noise hardly does that. */
export function tastesOpposite(problem: Problem, here: readonly Pour[], there: readonly Pour[]): boolean {
  return TASTE_SCALES.some((scale) => agreement(problem, here, there, scale) < 0);
}

/** Opposite, and off the same way on neither scale: there is nothing that both of them say. */
export function contradict(problem: Problem, here: readonly Pour[], there: readonly Pour[]): boolean {
  const isAgreed = TASTE_SCALES.some((scale) => agreement(problem, here, there, scale) > 0);
  return !isAgreed && tastesOpposite(problem, here, there);
}

function agreement(problem: Problem, here: readonly Pour[], there: readonly Pour[], scale: TasteScale): number {
  return plainMiss(problem, here, scale, 0) * plainMiss(problem, there, scale, 0);
}

/** −1 where the shots, taken together, poured too fast, +1 where too slow, 0 in the window or as good as. */
function sideOf(problem: Problem, pours: readonly Pour[]): number {
  const { min, max } = problem.request.target.timeSeconds;
  const timeSeconds = pours.reduce((sum, pour) => sum + pour.timeSeconds!, 0) / pours.length;
  return isInTime(problem, { timeSeconds }) ? 0 : Math.sign(timeSeconds - (min + max) / 2);
}

/** The shots that tell of their settings, put together by these. */
export function settingsPoured({ pours }: Problem): [Pour, ...Pour[]][] {
  const groups: [Pour, ...Pour[]][] = [];
  for (const pour of pours) {
    if (!pour.sound || isMixture(pour) || pour.stale || pour.timeSeconds === null) continue;
    const group = groups.find(([first]) => isSame(first.planned, pour.planned));
    if (group) group.push(pour);
    else groups.push([pour]);
  }
  return groups;
}

function pouredInTime(problem: Problem, pours: readonly Pour[]): boolean {
  if (problem.method.timeIs === 'outcome') return true;
  const timeSeconds = pours.reduce((sum, pour) => sum + pour.timeSeconds!, 0) / pours.length;
  return isInTime(problem, { timeSeconds }, 0);
}

/** True when one lever moved from the first settings beyond the second to the third. */
function passesBy(from: Settings, right: Settings, to: Settings): boolean {
  const [there, ...others] = changesBetween(from, right);
  const [way, ...more] = changesBetween(right, to);
  if (!there || !way || others.length + more.length > 0 || there.variable !== way.variable) return false;
  return Math.sign(there.to - there.from) === Math.sign(way.to - way.from);
}
