import { findable, smallestTurn } from '../brew/collar';
import { snap, type Scale } from '../brew/snap';

/** How a grinder answers: its scale, and the change of ln time for one unit finer. */
export interface AnsweringGrinder {
  scale: Scale;
  finer: 'lower' | 'higher';
  slope: { mean: number; sd: number };
}

/** A setting worked out, and how surely it pours what it was worked out for, in units of the scale. */
export interface CarriedStart {
  grind: number;
  sd: number;
}

/**
 * Where the grinder must stand for its shots to take e^`wanted` times as long as at `from`, by the near-log law. The spread holds
 * `logSd`, that of ln time at `from`, what a step is too coarse for, and how badly the slope is known, over the way that is gone.
 */
export function carry(
  from: number,
  wanted: number,
  logSd: number,
  { scale, finer, slope }: AnsweringGrinder,
): CarriedStart {
  const sign = finer === 'higher' ? 1 : -1;
  const exact = from + (sign * wanted) / slope.mean;
  // Less than half a turn is none: it is left where it stands, round figure or not.
  const isNoTurn = Math.abs(exact - from) < smallestTurn(scale, slope.mean) / 2;
  const grind = isNoTurn ? snap(from, scale) : findable(exact, scale, slope.mean);
  const units = Math.abs(grind - from);
  const left = wanted - sign * slope.mean * (grind - from);
  return { grind, sd: Math.hypot(logSd, left, slope.sd * units) / slope.mean };
}
