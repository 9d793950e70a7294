import type { Lever } from '../../method/Method';
import type { Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';
import { SETTING_OF } from '../../contract/answer';
import { isSame } from '../shots/evidence';
import { isInTime } from '../shots/inTime';

/** A lever was turned before, from a shot of this kind. */
export function wasMoved(problem: Problem, lever: Lever, isFrom: (pour: Pour) => boolean = () => true): boolean {
  return problem.pours.some((pour, i) => {
    const before = problem.pours[i - 1];
    if (before === undefined || !isFrom(before)) return false;
    return pour.planned[SETTING_OF[lever]] !== before.planned[SETTING_OF[lever]];
  });
}

/** Turned for the taste already, from settings that poured in the window. */
export function wasTriedForTaste(problem: Problem, lever: Lever): boolean {
  return wasMoved(problem, lever, (from) => from.sound && isInTime(problem, from));
}

/** Temperature before its time: those of the usable levers that come before it were not all tried for the taste. */
export function isEarly(problem: Problem, lever: Lever | null, usable: readonly Lever[]): boolean {
  if (lever !== 'temperature') return false;
  const order = problem.method.balanceOrder;
  const before = order.slice(0, order.indexOf(lever)).filter((other) => usable.includes(other));
  return !before.every((other) => wasTriedForTaste(problem, other));
}

/** Two settings poured in the window and were tasted: the time is not what the cup lacks. */
export function isSettled(problem: Problem): boolean {
  const inWindow = problem.pours.filter((pour) => pour.sound && pour.taste !== null && isInTime(problem, pour, 0));
  const settled = inWindow.filter(
    (pour, i) => inWindow.findIndex((other) => isSame(other.planned, pour.planned)) === i,
  );
  return settled.length >= 2;
}
