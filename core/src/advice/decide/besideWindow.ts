import type { Choice } from '../lookahead/choice';
import type { Evidence } from '../shots/evidence';
import type { Posterior } from '../../belief/infer';
import type { Plan } from './plan';
import { movesOf } from '../lookahead/moves';
import { isSlower, type Outlook } from '../../belief/particles';
import { byPromise } from '../lookahead/price';
import { isInTime, shotsDifferBy, sideOut } from '../shots/inTime';
import type { Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';
import { tastedMiss } from '../shots/taste';

export type Side = 'too fast' | 'too slow';

/** Bringing the time back fixes the cup, too: finer where it is sour, coarser where it is bitter. */
export function wouldFix(problem: Problem, pours: readonly Pour[], side: Side): boolean {
  const miss = tastedMiss(problem, pours, 'balance') ?? 0;
  return (side === 'too slow' ? miss : -miss) > problem.method.tolerance.balance;
}

/** Bringing the time back would lead the cup further off. */
export function wouldWorsen(problem: Problem, pours: readonly Pour[], side: Side): boolean {
  return wouldFix(problem, pours, side === 'too slow' ? 'too fast' : 'too slow');
}

/**
 * A cup sour a second or two past the window, or bitter so little short of it, with the same fault at settings that poured in the window:
 * it is not the time's, and bringing that back would only lead there again. What fixes the cup and leaves the time is hotter or cooler water.
 *
 * @returns null where the time is further out than shots of the same settings differ, where the window was not tried, where grind fixes
 * both, or where heat is held, used up or turned to and fro
 */
export function heatBesideWindow(problem: Problem, evidence: Evidence, posterior: Posterior): Plan | null {
  const { last, sound, circling } = evidence;
  const { method, request, pours } = problem;
  const out = sideOut(problem, last);
  if (method.timeIs === 'outcome' || out === 0 || last.timeSeconds === null) return null;
  const { min, max } = request.target.timeSeconds;
  const beyondSeconds = Math.max(min - last.timeSeconds, last.timeSeconds - max);
  const side = out > 0 ? 'too slow' : 'too fast';
  if (beyondSeconds > shotsDifferBy(last.timeSeconds) || !wouldWorsen(problem, sound, side)) return null;
  const isSameFault = (pour: Pour): boolean =>
    pour.sound && !pour.stale && isInTime(problem, pour) && wouldWorsen(problem, [pour], side);
  if (!pours.some((pour) => !sound.includes(pour) && isSameFault(pour))) return null;
  if (!method.balanceOrder.includes('temperature') || circling.includes('temperature')) return null;
  const from = last.planned;
  const isWay = movesOf(problem, posterior, from, 'temperature').some(
    ({ settings }) => out * (settings.temperatureC! - from.temperatureC!) > 0,
  );
  return isWay ? { levers: ['temperature'], stage: 'taste', leavesTime: true, blocked: null } : null;
}

/** Of moves of the grind those that would bring such a time back, most promising first: who would rather have that finds them among the alternatives. */
export function waysBack(problem: Problem, last: Pour, here: Outlook, moves: readonly Choice[]): Choice[] {
  const mustSlow = sideOut(problem, last) < 0;
  return byPromise(moves.filter(({ outlook }) => isSlower(outlook, here) === mustSlow));
}
