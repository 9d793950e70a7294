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
