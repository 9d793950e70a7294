import { requirePositive } from './requirePositive';

/**
 * Brew ratio x of 1:x, beverage mass over dry coffee mass.
 * @param doseGrams dry coffee, g, > 0
 * @param yieldGrams beverage, g, > 0
 * @throws RangeError when either is not a positive finite number
 * @example brewRatio(18, 36) // 2
 */
export function brewRatio(doseGrams: number, yieldGrams: number): number {
  requirePositive('brewRatio', { doseGrams, yieldGrams });
  return yieldGrams / doseGrams;
}

/**
 * Extraction yield, % of the dry dose that ended dissolved in the cup: TDS% × yield / dose (mass balance over the
 * beverage; liquid held back in the puck is left out, as is usual for espresso).
 * @param input.tdsPercent total dissolved solids of the beverage, % by mass, 0–100
 * @throws RangeError on non-positive masses or a TDS outside 0–100
 * @example extractionYieldPercent({ tdsPercent: 10, yieldGrams: 36, doseGrams: 18 }) // 20
 */
export function extractionYieldPercent(input: { tdsPercent: number; yieldGrams: number; doseGrams: number }): number {
  const { tdsPercent, yieldGrams, doseGrams } = input;
  requirePositive('extractionYieldPercent', { yieldGrams, doseGrams });
  if (!(tdsPercent >= 0 && tdsPercent <= 100)) {
    throw new RangeError(`extractionYieldPercent: tdsPercent must lie in 0–100, got ${tdsPercent}`);
  }
  return (tdsPercent * yieldGrams) / doseGrams;
}
