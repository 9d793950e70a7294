import type { Lever, Method } from '../../method/Method';
import type { Posterior } from '../../belief/infer';
import type { Problem } from '../../belief/problem';
import type { Settings } from '../../contract/answer';
import { movesOf } from '../lookahead/moves';
import { isToFix } from '../shots/cups';
import type { Evidence } from '../shots/evidence';
import { isWithin, plainMiss, tastedMiss, type TasteScale } from '../shots/taste';
import { isSettled, wasMoved } from './tried';

/** From this share of the tolerance on a cup leans to sour or bitter, though it is still called even. */
export const LEANING = 0.5;

/**
 * A method that begins with temperature goes hotter, to more yield, then coarser, to open a coffee that is hard to extract, and takes more of it
 * for the body that costs. A bitter cup is past that: it is answered from the end of the order, coarser first and cooler last. So is a heavy
 * one: more yield first, and no coffee out.
 */
export function orderFor(method: Method, { balance, body }: Record<TasteScale, number>): Method {
  const { balanceOrder, bodyOrder } = method;
  if (balanceOrder[0] !== 'temperature') return method;
  return {
    ...method,
    balanceOrder: balance > 0 ? [...balanceOrder].reverse() : balanceOrder,
    bodyOrder: body > 0 ? [...bodyOrder].reverse() : bodyOrder,
  };
}

/** A method with one lever for everything. */
export function turnsGrindAlone({ balanceOrder, bodyOrder }: Method): boolean {
  return [...balanceOrder, ...bodyOrder].every((lever) => lever === 'grind');
}

/** The machine can still be set hotter than it is. */
export function canHeat(problem: Problem, posterior: Posterior, from: Settings): boolean {
  return movesOf(problem, posterior, from, 'temperature').some(
    ({ settings }) => settings.temperatureC! > from.temperatureC!,
  );
}

/** The method's levers for what the cup lacks more. Body alone is fixed by ratio or dose: grind would spoil the balance. */
export function leversForTaste({ balanceOrder, bodyOrder }: Method, bodyFirst: boolean, bodyAlone: boolean): Lever[] {
  const withoutGrind = bodyOrder.filter((lever) => lever !== 'grind');
  if (bodyAlone && withoutGrind.length > 0) return withoutGrind;
  return [...new Set(bodyFirst ? [...bodyOrder, ...balanceOrder] : [...balanceOrder, ...bodyOrder])];
}

/** What a method turns for the body alone is left alone while the body is as wanted, if there is anything else. */
export function withoutBodyLevers({ balanceOrder }: Method, levers: Lever[]): Lever[] {
  const rest = levers.filter((lever) => balanceOrder.includes(lever));
  return rest.length > 0 ? rest : levers;
}

/** A little sour beside thin, or a little bitter beside heavy: there the grind fixes both instead of spoiling the balance. */
export function leansOneWay(problem: Problem, { sound }: Evidence): boolean {
  const balance = tastedMiss(problem, sound, 'balance') ?? 0;
  const body = tastedMiss(problem, sound, 'body') ?? 0;
  return Math.sign(balance) === Math.sign(body) && Math.abs(balance) >= LEANING * problem.method.tolerance.balance;
}

/** The tongue says so plainly, whatever roast and origin made one expect of the balance. */
export function tastesOffInBodyAlone(problem: Problem, evidence: Evidence): boolean {
  const { sound } = evidence;
  return (
    (plainMiss(problem, sound, 'body') !== 0 || isToFix(problem, sound, ['body'])) && tastesBalanced(problem, evidence)
  );
}

/**
 * Temperature waits: where a method puts it last it comes only once a lever before it was turned, and then at a price
 * (`isEarly`), or not yet where the cup was called balanced; where it comes first, it is moved once.
 */
export function isTurnOf(problem: Problem, evidence: Evidence, lever: Lever, balanceOrder: readonly Lever[]): boolean {
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
export function tastesUnbalanced(problem: Problem, { sound }: Evidence): boolean {
  return !isWithin(problem, sound, 'balance');
}
