import type { Assumable, ShotLine } from '@olvet/core';

/** What was entered of a shot while it was pulled; null where nobody said. */
export interface PulledFigures {
  doseGrams: number | null;
  /** In ml where the station has no scale. */
  yieldGrams: number | null;
  timeSeconds: number | null;
  grindSeconds: number | null;
  assumed: Assumable[];
}

export type Figure = Exclude<keyof PulledFigures, 'assumed'>;

export const NOTHING_SAID: PulledFigures = {
  doseGrams: null,
  yieldGrams: null,
  timeSeconds: null,
  grindSeconds: null,
  assumed: [],
};

/** Dose and yield, where they were neither entered nor taken as planned. */
export function plannedFigures({ assumed, ...figures }: PulledFigures): ('doseGrams' | 'yieldGrams')[] {
  return (['doseGrams', 'yieldGrams'] as const).filter(
    (figure) => figures[figure] === null && !assumed.includes(figure),
  );
}

/** The same as the line of a shot would say it. */
export function lineOf({ assumed, ...figures }: PulledFigures, byGlass: boolean): ShotLine {
  const { yieldGrams, ...others } = figures;
  const said = { ...others, [byGlass ? 'yieldMl' : 'yieldGrams']: yieldGrams };
  const measured = Object.fromEntries(Object.entries(said).filter(([, value]) => value !== null));
  return { ...measured, ...(assumed.length > 0 ? { assumed } : {}) };
}
