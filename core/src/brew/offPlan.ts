/** Poured off its plan by more than this share a shot is another recipe, or a slip. */
export const OFF_PLAN = 0.08;

const PLANNED_FIGURES = ['doseGrams', 'yieldGrams'] as const;
export type PlannedFigure = (typeof PLANNED_FIGURES)[number];

export interface OffPlan {
  figure: PlannedFigure;
  said: number;
  planned: number;
}

/** Dose and yield, where they were said, that lie so far off their plan that it is worth asking whether on purpose. */
export function offPlan(
  said: Partial<Record<PlannedFigure, number | null>>,
  planned: Record<PlannedFigure, number>,
): OffPlan[] {
  return PLANNED_FIGURES.flatMap((figure) => {
    const value = said[figure];
    const isOff = value != null && planned[figure] > 0 && Math.abs(value / planned[figure] - 1) > OFF_PLAN;
    return isOff ? [{ figure, said: value, planned: planned[figure] }] : [];
  });
}
