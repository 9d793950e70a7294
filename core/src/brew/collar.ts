import { clamp, roundTo, snap, type Scale } from './snap';

/** A turn that moves the time by less than this is lost in the puck's own stray, ln. */
const TELLS_LOG_TIME = 0.015;
/** However faint its answer, a collar is turned by a twentieth of its scale at least once. */
const SHARE_OF_SCALE = 1 / 20;

/**
 * The smallest change of grind worth making: a step, or on a stepless collar the round figure (1, 2 or 5 of its decade) nearest to
 * 1.5 % of the time.
 *
 * @param slope change of ln time for one unit finer
 */
export function smallestTurn({ min, max, step }: Scale, slope: number): number {
  if (step > 0) return step;
  const exact = TELLS_LOG_TIME / slope;
  const decade = 10 ** Math.floor(Math.log10(exact));
  const round = [1, 2, 5, 10].map((figure) => figure * decade);
  const nearest = round.reduce((a, b) => (Math.abs(b - exact) < Math.abs(a - exact) ? b : a));
  return Math.min(nearest, (max - min) * SHARE_OF_SCALE);
}

/** The nearest setting that a hand finds again: one of the collar's clicks, or a round figure of a stepless one. */
export function findable(grind: number, scale: Scale, slope: number): number {
  if (scale.step > 0) return snap(grind, scale);
  const turn = smallestTurn(scale, slope);
  return clamp(roundTo(Math.round(grind / turn) * turn, 6), scale.min, scale.max);
}
