import type { Lever, Method } from '../../method/Method';
import { SETTING_OF, type Settings } from '../contract/answer';
import { heatBesideWindow, wouldMend, wouldWorsen, type Side } from './besideWindow';
import { isToMend } from '../shots/cups';
import { isSame, type Evidence } from '../shots/evidence';
import { slopeOf, type Posterior } from '../belief/infer';
import { endOfScale, isCoarser, movesOf } from '../lookahead/moves';
import { isSlower, lookAt, meanOf, type Outlook } from '../belief/particles';
import { isTooTight } from './prepare';
import { GRACE_SECONDS, type Problem } from '../belief/problem';
import { isInTime, sideOut, WINDOW_DOUBT } from '../shots/inTime';
import { PUCK_STRAYS, type Pour } from '../belief/pour';
import type { Situation } from '../lookahead/situation';
import { leadsToWhatWasOff, wrongTurns } from './swings';
import { isWithin, plainMiss, tastedMiss, type TasteScale, tastesPlainlyOff, tastesRight } from '../shots/taste';

/** Shots that ran further outside the window than a puck strays by put time first below this belief. */
const CLOCK_BELIEVED = 0.7;

/** From this share of the tolerance on a cup leans to sour or bitter, though it is still called even. */
const LEANING = 0.5;

/** What the method would reach for now. */
export type PlanStage = 'window' | 'tight' | 'taste' | 'stuck';

export interface Plan {
  levers: Lever[];
  stage: PlanStage;
  /** In the window stage: whether the shots must get slower. */
  mustSlow?: boolean;
  /** In the window stage: pulling again is an answer too. */
  mayStay?: boolean;
  /** In matters of taste: the balance is as wanted, so that ratio or dose mends the cup and nothing else. */
  bodyAlone?: boolean;
  /** In matters of taste: the last shot ran a little out of the window, and its time is left there. */
  leavesTime?: boolean;
  blocked: Lever | null;
}

/** Which levers the method would reach for now, first choice first. */
export function leversToTry(now: Situation): Plan {
  const { problem, evidence, mixture, still } = now;
  const { method } = problem;
  const posterior = mixture.main;
  const here = still.outlook;
  const from = evidence.last.planned;
  const usable = (lever: Lever): boolean => isUsableLever(problem, evidence, posterior, lever);
  const loosened = movesOf(problem, posterior, from, 'grind').some(({ settings }) =>
    isCoarser(problem, from, settings),
  );
  if (loosened && isTooTight(problem, evidence)) return { levers: ['grind'], stage: 'tight', blocked: null };
  const stray =
    method.timeIs === 'target' ? straysOut(problem, evidence, here) : gushesOrChokes(problem, evidence, here);
  const besideWindow = stray === null ? null : heatBesideWindow(problem, evidence, posterior);
  if (besideWindow !== null) return besideWindow;
  if (stray !== null) return leversForTime(now, stray);
  const lack = lackOf(problem, here);
  const balanceOff = Math.abs(lack.balance);
  const bodyOff = Math.abs(lack.body);
  const grindMends = method.bodyOrder.includes('grind') && leansOneWay(problem, evidence);
  const isBodyBelieved = bodyOff > 1 && balanceOff < 0.75 && !tastesUnbalanced(problem, evidence);
  const bodyAlone = (isBodyBelieved || tastesOffInBodyAlone(problem, evidence)) && !grindMends;
  const schooled = orderFor(method, lack);
  const wanted = leversForTaste(schooled, bodyOff > balanceOff, bodyAlone).filter((lever) =>
    isTurnOf(problem, evidence, lever, schooled.balanceOrder),
  );
  const isBodyMost = bodyOff > balanceOff && bodyOff > LEANING;
  const isBodyOff = isBodyMost || bodyOff > 1 || !isWithin(problem, evidence.sound, 'body');
  const possible = isBodyOff ? wanted.filter(usable) : withoutBodyLevers(method, wanted.filter(usable));
  // A school that begins with temperature means it: once, before anything else, where the cup is clearly sour.
  const isHeatFirst = possible[0] === 'temperature' && lack.balance < -2 && canHeat(problem, posterior, from);
  const levers: Lever[] = isHeatFirst ? ['temperature'] : possible;
  const blocked = wanted.find((lever) => !usable(lever)) ?? null;
  if (levers.length > 0) return { levers, stage: 'taste', bodyAlone, blocked };
  return lastResort(problem, evidence, posterior, blocked);
}

/**
 * The grind, for a time that left the window. Where it is at its end, was turned to and fro, or leads nowhere but to what was off the other
 * way, yield or dose stands in for it; where it leads only to cups that were called off, or a step jumps over the window, they compete.
 */
function leversForTime({ problem, evidence, mixture, particles, still }: Situation, { side, isSure }: Stray): Plan {
  const posterior = mixture.main;
  const from = evidence.last.planned;
  const mustSlow = side === 'too fast';
  const window = { stage: 'window', mustSlow, mayStay: !isSure } as const;
  const helping = (lever: Lever): Outlook[] =>
    movesOf(problem, posterior, from, lever)
      .map(({ settings }) => lookAt(problem, posterior, particles, settings))
      .filter((outlook) => isSlower(outlook, still.outlook) === mustSlow);
  const ways = helping('grind');
  if (ways.length === 0) {
    return { ...window, levers: [helping('dose').length > 0 ? 'dose' : 'yield'], blocked: 'grind' };
  }
  const goesBack = wrongTurns(problem, 'window', from);
  if (evidence.circling.includes('grind') || ways.every(({ settings }) => goesBack(settings))) {
    return { ...window, levers: ['yield', 'dose'], blocked: 'grind' };
  }
  const wasOff = leadsToWhatWasOff(problem, from);
  const isKnownOff = ways.every(({ settings }) => goesBack(settings) || wasOff(settings));
  const reach = Math.max(...ways.map((outlook) => outlook.windowShare));
  // A step that jumps over the window: only once the grinder's answer is known well enough to say so.
  const jumps = problem.pours.length >= 2 && reach < WINDOW_DOUBT && stepJumpsOver(problem, posterior);
  if (isKnownOff || jumps) return { ...window, levers: ['grind', 'dose', 'yield'], blocked: 'grind' };
  return { ...window, levers: ['grind'], blocked: null };
}

/**
 * What is left where the method's own levers can do no more, whether or not it holds them still: the ratio, or else the dose. At the end
 * of the grinder's scale dose with yield in ratio stands in for it.
 */
export function lastResort(problem: Problem, evidence: Evidence, posterior: Posterior, blocked: Lever | null): Plan {
  const isUsable = (lever: Lever): boolean => isUsableLever(problem, evidence, posterior, lever);
  const levers = (['yield', 'dose'] as const).filter(isUsable);
  const isAtEnd = endOfScale(problem, evidence.last.planned.grind) !== null;
  return { levers: isAtEnd ? levers : levers.slice(0, 1), stage: 'stuck', blocked };
}

function isUsableLever(problem: Problem, { circling, last }: Evidence, posterior: Posterior, lever: Lever): boolean {
  return !circling.includes(lever) && movesOf(problem, posterior, last.planned, lever).length > 0;
}

/** Grind alone, for a shot that ran out of the window, or out of what is tolerated; null for any other. */
export function timeFirst(problem: Problem, { last }: Evidence): Plan | null {
  const side = sideOut(problem, last);
  return side === 0 ? null : { levers: ['grind'], stage: 'window', mustSlow: side < 0, blocked: null };
}

interface Stray {
  side: Side;
  /** More than one shot says so, or the belief does; one alone may as well be pulled again. */
  isSure: boolean;
}

/**
 * Whether the time comes first: two shots in a row ran out of the window on one side, or the window is doubted, or the
 * clock says plainly that these settings miss it and the belief that they do not is faint. One shot plainly outside is
 * noise or not, but in neither case the business of yield or temperature.
 */
function straysOut(problem: Problem, { sameSettings, last }: Evidence, here: Outlook): Stray | null {
  const { min, max } = problem.request.target.timeSeconds;
  const sideOf = (seconds: number): Side => (seconds < (min + max) / 2 ? 'too fast' : 'too slow');
  const outside = (seconds: number): number => Math.max(min - seconds, seconds - max);
  const { timed, mean } = clocked(sameSettings);
  const [before, newest] = timed.slice(-2).map((pour) => pour.timeSeconds!);
  if (before !== undefined && newest !== undefined && outside((before + newest) / 2) > GRACE_SECONDS) {
    const isRun = outside(before) > 0 && outside(newest) > 0 && sideOf(before) === sideOf(newest);
    if (isRun) return { side: sideOf(newest), isSure: true };
  }
  if (here.windowShare < WINDOW_DOUBT) {
    const side = sideOf(here.medianTimeSeconds);
    const isClocked = timed.length > 0 && outside(mean) <= 0;
    // Where the clock itself said "in the window", the doubt is inference: a cup that is off is mended by taste, any other may
    // be pulled again. So is a cup that the grind would lead further off, where the clock said as good as in it.
    if (isClocked && tastesPlainlyOff(problem, timed)) return null;
    if (timed.length > 0 && outside(mean) <= GRACE_SECONDS && wouldWorsen(problem, timed, side)) return null;
    return { side, isSure: !isClocked };
  }
  if (timed.length === 0) return null;
  // A run of shots that drifted off needs no more proof.
  const isShift = problem.pours.some(({ stale }) => stale);
  if (here.windowShare < CLOCK_BELIEVED && outside(mean) > (isShift ? 0 : PUCK_STRAYS * mean)) {
    return { side: sideOf(mean), isSure: true };
  }
  const seconds = last.sound ? last.timeSeconds : null;
  if (seconds === null) return null;
  const side = sideOf(seconds);
  // Beside a cup as wanted the time is all that is lacking, and beside one that is off the same way grind mends both; beside
  // another a second or two are not told from noise.
  const isUntasted = tastedMiss(problem, timed, 'balance') === null;
  const isMended = wouldMend(problem, timed, side);
  const isTimeAll = isUntasted || tastesRight(problem, timed) || isMended;
  if (outside(seconds) <= (isTimeAll ? GRACE_SECONDS : PUCK_STRAYS * seconds)) return null;
  return { side, isSure: isMended };
}

/** The sound shots that were timed, and their mean time, s. */
function clocked(pours: readonly Pour[]): { timed: Pour[]; mean: number } {
  const timed = pours.filter(({ sound, timeSeconds }) => sound && timeSeconds !== null);
  return { timed, mean: timed.reduce((sum, { timeSeconds }) => sum + timeSeconds!, 0) / timed.length };
}

/**
 * Where time is an outcome it has no window to be brought into, only a range that is tolerated: a cup that ran outside it and is plainly
 * off, or off the way that grind mends, gushed or choked. That is the grind's business, unless grind would lead the cup further off.
 */
function gushesOrChokes(problem: Problem, { sameSettings }: Evidence, here: Outlook): Stray | null {
  const { min, max } = problem.request.target.timeSeconds;
  const { timed, mean } = clocked(sameSettings);
  if (timed.length === 0 || here.windowShare >= WINDOW_DOUBT) return null;
  if (mean >= min && mean <= max) return null;
  const side = mean < min ? 'too fast' : 'too slow';
  const isTasted = timed.some(({ taste }) => taste !== null);
  const isFault = tastesPlainlyOff(problem, timed) && !wouldWorsen(problem, timed, side);
  if (isTasted && !isFault && !wouldMend(problem, timed, side)) return null;
  return { side, isSure: true };
}

/**
 * A school that begins with temperature goes hotter, longer, then coarser, to open a coffee that is hard to extract, and takes more of it
 * for the body that costs. A bitter cup is past that: it is answered from the end of the order, coarser first and cooler last. So is a heavy
 * one: longer first, and no coffee out.
 */
function orderFor(method: Method, { balance, body }: Record<TasteScale, number>): Method {
  const { balanceOrder, bodyOrder } = method;
  if (balanceOrder[0] !== 'temperature') return method;
  return {
    ...method,
    balanceOrder: balance > 0 ? [...balanceOrder].reverse() : balanceOrder,
    bodyOrder: body > 0 ? [...bodyOrder].reverse() : bodyOrder,
  };
}

function canHeat(problem: Problem, posterior: Posterior, from: Settings): boolean {
  return movesOf(problem, posterior, from, 'temperature').some(
    ({ settings }) => settings.temperatureC! > from.temperatureC!,
  );
}

/** The method's levers for what the cup lacks more. Body alone is mended by ratio or dose: grind would spoil the balance. */
function leversForTaste({ balanceOrder, bodyOrder }: Method, bodyFirst: boolean, bodyAlone: boolean): Lever[] {
  const withoutGrind = bodyOrder.filter((lever) => lever !== 'grind');
  if (bodyAlone && withoutGrind.length > 0) return withoutGrind;
  return [...new Set(bodyFirst ? [...bodyOrder, ...balanceOrder] : [...balanceOrder, ...bodyOrder])];
}

/** What a school turns for the body alone is left alone while the body is as wanted, if there is anything else. */
function withoutBodyLevers({ balanceOrder }: Method, levers: Lever[]): Lever[] {
  const rest = levers.filter((lever) => balanceOrder.includes(lever));
  return rest.length > 0 ? rest : levers;
}

/** A little sour beside thin, or a little bitter beside heavy: there the grind mends both instead of spoiling the balance. */
function leansOneWay(problem: Problem, { sound }: Evidence): boolean {
  const balance = tastedMiss(problem, sound, 'balance') ?? 0;
  const body = tastedMiss(problem, sound, 'body') ?? 0;
  return Math.sign(balance) === Math.sign(body) && Math.abs(balance) >= LEANING * problem.method.tolerance.balance;
}

/** The tongue says so plainly, whatever roast and origin made one expect of the balance. */
function tastesOffInBodyAlone(problem: Problem, evidence: Evidence): boolean {
  const { sound } = evidence;
  return (
    (plainMiss(problem, sound, 'body') !== 0 || isToMend(problem, sound, ['body'])) && tastesBalanced(problem, evidence)
  );
}

/**
 * Temperature waits: where a school puts it last it comes only once a lever before it was turned, and then at a price
 * (`isEarly`), or not yet where the cup was called balanced; where it comes first, it is moved once.
 */
function isTurnOf(problem: Problem, evidence: Evidence, lever: Lever, balanceOrder: readonly Lever[]): boolean {
  if (lever !== 'temperature') return true;
  if (problem.method.balanceOrder[0] === 'temperature' && wasMoved(problem, 'temperature')) return false;
  const place = balanceOrder.indexOf('temperature');
  if (place === 0) return true;
  if (tastesBalanced(problem, evidence) && !isSettled(problem)) return false;
  return balanceOrder.slice(0, place).some((before) => wasMoved(problem, before));
}

/** Called even by the tongue, taking the cups at these settings together. */
function tastesBalanced(problem: Problem, { sound }: Evidence): boolean {
  return tastedMiss(problem, sound, 'balance') !== null && isWithin(problem, sound, 'balance');
}

/** Called sour or bitter by the tongue, whatever is believed. */
function tastesUnbalanced(problem: Problem, { sound }: Evidence): boolean {
  return !isWithin(problem, sound, 'balance');
}

export function wasMoved(problem: Problem, lever: Lever, isFrom: (pour: Pour) => boolean = () => true): boolean {
  return problem.pours.some((pour, i) => {
    const before = problem.pours[i - 1];
    if (before === undefined || !isFrom(before)) return false;
    return pour.planned[SETTING_OF[lever]] !== before.planned[SETTING_OF[lever]];
  });
}

/** Temperature before its time: those of the usable levers that come before it were not all tried for the taste. */
export function isEarly(problem: Problem, lever: Lever | null, usable: readonly Lever[]): boolean {
  if (lever !== 'temperature') return false;
  const order = problem.method.balanceOrder;
  const before = order.slice(0, order.indexOf(lever)).filter((other) => usable.includes(other));
  return !before.every((other) => wasTriedForTaste(problem, other));
}

/** Turned for the taste already, from settings that poured in the window. */
export function wasTriedForTaste(problem: Problem, lever: Lever): boolean {
  return wasMoved(problem, lever, (from) => from.sound && isInTime(problem, from));
}

/** Two settings poured in the window and were tasted: the time is not what the cup lacks. */
function isSettled(problem: Problem): boolean {
  const inWindow = problem.pours.filter((pour) => pour.sound && pour.taste !== null && isInTime(problem, pour, 0));
  const settled = inWindow.filter(
    (pour, i) => inWindow.findIndex((other) => isSame(other.planned, pour.planned)) === i,
  );
  return settled.length >= 2;
}

/** How far the expected cup lies from the wanted one, in tolerances, with its sign. */
export function lackOf({ request, method }: Problem, outlook: Outlook): Record<TasteScale, number> {
  const lack = (scale: TasteScale): number =>
    (meanOf(outlook[scale]) - request.target[scale]) / method.tolerance[scale];
  return { balance: lack('balance'), body: lack('body') };
}

/** True when one step of the grinder moves the time by more than the window is wide. */
function stepJumpsOver(problem: Problem, posterior: Posterior): boolean {
  const { min, max } = problem.request.target.timeSeconds;
  return problem.grindScale.step * slopeOf(posterior).mean > Math.log(max / min);
}
