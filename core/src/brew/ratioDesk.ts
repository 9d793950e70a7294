import { requirePositive } from './requirePositive';
import type { SecondsRange } from './types';

export interface RatioParts {
  doseGrams: number | null;
  yieldGrams: number | null;
  ratio: number | null;
}

/**
 * Dose, yield, ratio: any two give the third. With all three given the ratio yields; with fewer than two the answer is
 * null.
 */
export function completeRatio({ doseGrams, yieldGrams, ratio }: RatioParts): Record<keyof RatioParts, number> | null {
  const isGiven = (value: number | null): value is number => value !== null && value > 0 && Number.isFinite(value);
  if (isGiven(doseGrams) && isGiven(yieldGrams)) return { doseGrams, yieldGrams, ratio: yieldGrams / doseGrams };
  if (isGiven(doseGrams) && isGiven(ratio)) return { doseGrams, yieldGrams: doseGrams * ratio, ratio };
  if (isGiven(yieldGrams) && isGiven(ratio)) return { doseGrams: yieldGrams / ratio, yieldGrams, ratio };
  return null;
}

/** Names of ratios as bars use them; the borders are custom, not law. */
export const RATIO_STYLES = [
  { name: 'ristretto', upTo: 1.5 },
  { name: 'normal', upTo: 2.5 },
  { name: 'lungo', upTo: Infinity },
] as const;
export type RatioStyle = (typeof RATIO_STYLES)[number]['name'];

export function ratioStyle(ratio: number): RatioStyle {
  return RATIO_STYLES.find(({ upTo }) => ratio <= upTo)!.name;
}

export interface BasketSize {
  doseGrams: number;
  diameterMm: number;
}

export interface ScaleRecipeInput {
  from: BasketSize;
  to: BasketSize;
  yieldGrams: number;
  windowSeconds: SecondsRange;
  /** Change of ln time for one unit finer on this grinder. */
  logTimePerUnit: number;
  /** Ratio wanted in the new basket; the old one when absent. */
  ratio?: number;
}

export interface ScaledRecipe {
  doseGrams: number;
  yieldGrams: number;
  windowSeconds: SecondsRange;
  /** Units finer to keep the window; negative is coarser. */
  finerUnits: number;
  /** ln time the same grind would pour slower by. */
  logTimeShift: number;
}

/** Time of a shot grows a little slower than its yield, because the puck loosens as it dissolves. */
const YIELD_EXPONENT = 0.92;

/**
 * A recipe carried to another basket. By Darcy the bed resists in proportion to height over area, height to dose over
 * area: so resistance goes with dose/area², and the same grind pours slower by ln of that plus the yield's share. The
 * window stays; the grind has to make up.
 * @throws RangeError on non-positive sizes
 */
export function scaleRecipe(input: ScaleRecipeInput): ScaledRecipe {
  const { from, to, yieldGrams, windowSeconds, logTimePerUnit } = input;
  requirePositive('scaleRecipe', {
    fromDose: from.doseGrams,
    toDose: to.doseGrams,
    fromDiameter: from.diameterMm,
    toDiameter: to.diameterMm,
    yieldGrams,
    logTimePerUnit,
  });
  const ratio = input.ratio ?? yieldGrams / from.doseGrams;
  const scaledYield = to.doseGrams * ratio;
  const resistance = Math.log(to.doseGrams / from.doseGrams) - 4 * Math.log(to.diameterMm / from.diameterMm);
  const logTimeShift = resistance + YIELD_EXPONENT * Math.log(scaledYield / yieldGrams);
  return {
    doseGrams: to.doseGrams,
    yieldGrams: Math.round(scaledYield * 10) / 10,
    windowSeconds,
    finerUnits: logTimeShift === 0 ? 0 : -logTimeShift / logTimePerUnit,
    logTimeShift,
  };
}
