export const DOUBTED_FIGURES = ['grind', 'doseGrams', 'yieldGrams', 'timeSeconds'] as const;
export type DoubtedFigure = (typeof DOUBTED_FIGURES)[number];

/** A figure that is possible but hardly meant. */
export interface Doubt {
  figure: DoubtedFigure;
  said: number;
  /** With the point where it usually is; null where only the basket speaks against it. */
  likely: number | null;
}

/** A lost or doubled decimal point: ten times too much or too little, */
const SLIP = 10;
/** while the figure so corrected lies this near to what was aimed at. */
const NEAR = 1.5;
/** Scales read to this, and struck doses round to it. */
const BASKET_TOLERANCE_GRAMS = 0.25;

/**
 * What is worth asking about once, before it is stored: 135 where 13.5 was aimed at, a dose the basket does not take.
 * Figures not said, and aims of zero or less, raise no doubt.
 */
export function doubtsOf(
  said: Partial<Record<DoubtedFigure, number | null>>,
  aim: Record<DoubtedFigure, number>,
  basket: { minGrams: number; maxGrams: number },
): Doubt[] {
  return DOUBTED_FIGURES.flatMap((figure): Doubt[] => {
    const value = said[figure];
    if (value == null) return [];
    const likely = [value / SLIP, value * SLIP].find((meant) => isNear(meant, aim[figure]));
    if (likely !== undefined) return [{ figure, said: value, likely }];
    const { minGrams, maxGrams } = basket;
    const fits = value >= minGrams - BASKET_TOLERANCE_GRAMS && value <= maxGrams + BASKET_TOLERANCE_GRAMS;
    return figure === 'doseGrams' && !fits ? [{ figure, said: value, likely: null }] : [];
  });
}

function isNear(value: number, aim: number): boolean {
  return value > 0 && aim > 0 && Math.abs(Math.log(value / aim)) < Math.log(NEAR);
}
