import { LIMITS, millilitresFromGrams, roundTo, type Limit, type ShotLine } from '@olvet/core';
import type { PullSubject } from './subject';

/** What can be entered of a shot beside its time, and taken as planned. */
export type Figure = 'doseGrams' | 'yieldGrams' | 'grindSeconds' | 'valveGrams';

/** Set before the shot rather than measured after it: as planned is no guess. */
const SET_BEFORE = ['grindSeconds', 'valveGrams'] as const satisfies readonly Figure[];
type SetBefore = (typeof SET_BEFORE)[number];
const isMeasured = (figure: Figure): figure is Exclude<Figure, SetBefore> =>
  !SET_BEFORE.some((each) => each === figure);

/** What was entered while it was pulled; null where nobody said. A yield is in ml where the station has no scale. */
export interface PulledFigures extends Record<Figure, number | null> {
  timeSeconds: number | null;
  asPlanned: Figure[];
}

export const NOTHING_SAID: PulledFigures = {
  doseGrams: null,
  yieldGrams: null,
  grindSeconds: null,
  valveGrams: null,
  timeSeconds: null,
  asPlanned: [],
};

/** One figure as it is asked for. */
export interface AskedFigure extends Limit {
  figure: Figure;
  label: string;
  unit: string;
  step: number;
  /** Where + begins. */
  from: number;
  /** null where nothing was planned. */
  planned: number | null;
}

/** Where + begins on a timed grinder or a valve that was never weighed. */
const USUAL: Partial<Record<Figure, number>> = { grindSeconds: 4, valveGrams: 50 };

/** What this station can measure of a shot, with what was planned of it. */
export function askedFigures({ plan, hasScale, ground, preBrew, valveGrams }: PullSubject): AskedFigure[] {
  const { doseGrams, yieldGrams } = plan.settings;
  const glass = roundTo(millilitresFromGrams(yieldGrams), 0);
  const asked = (figure: Figure, label: string, unit: string, step: number, limit: Limit, planned: number | null) => ({
    ...{ figure, label, unit, step, ...limit, planned, from: planned ?? USUAL[figure] ?? limit.min },
  });
  return [
    asked('doseGrams', 'dose', 'g', 0.1, LIMITS.doseGrams, doseGrams),
    hasScale
      ? asked('yieldGrams', 'yield', 'g', 0.5, LIMITS.yieldGrams, yieldGrams)
      : asked('yieldGrams', 'yield', 'ml', 5, LIMITS.yieldMl, glass),
    ...(preBrew === 'valve' ? [asked('valveGrams', 'valve in 30 s', 'g', 5, LIMITS.valveGrams, valveGrams)] : []),
    ...(ground ? [asked('grindSeconds', 'ground', 's', 0.1, LIMITS.grindSeconds, ground.planned)] : []),
  ];
}

/** What a scale and a clock say of the shot; a figure that was entered wins over it. */
export type Measured = Partial<Record<Figure | 'timeSeconds', number>>;

export function withMeasured(figures: PulledFigures, measured: Measured): PulledFigures {
  const filled = { ...figures };
  for (const figure of ['doseGrams', 'yieldGrams', 'grindSeconds', 'valveGrams', 'timeSeconds'] as const) {
    const isPlanned = figure !== 'timeSeconds' && figures.asPlanned.includes(figure);
    if (!isPlanned) filled[figure] ??= measured[figure] ?? null;
  }
  return filled;
}

/** With one figure entered, or taken back. */
export function withValue(figures: PulledFigures, figure: Figure | 'timeSeconds', value: number | null): PulledFigures {
  return { ...figures, [figure]: value, asPlanned: figures.asPlanned.filter((other) => other !== figure) };
}

/** With figures taken as planned that nobody entered. */
export function withAsPlanned(figures: PulledFigures, planned: readonly Figure[]): PulledFigures {
  return { ...figures, asPlanned: [...new Set([...figures.asPlanned, ...planned])] };
}

/** What is neither entered nor taken as planned yet, though it was planned. */
export function leftToPlan(figures: PulledFigures, asked: readonly AskedFigure[]): Figure[] {
  return asked.flatMap(({ figure, planned }) =>
    planned !== null && figures[figure] === null && !figures.asPlanned.includes(figure) ? [figure] : [],
  );
}

export function isAnythingSaid({ asPlanned, ...values }: PulledFigures): boolean {
  return asPlanned.length > 0 || Object.values(values).some((value) => value !== null);
}

/** A figure that is set before the shot, as it stood; null where nobody said. */
export function setBefore(
  { asPlanned, ...values }: PulledFigures,
  asked: readonly AskedFigure[],
  figure: SetBefore,
): number | null {
  const planned = asked.find((each) => each.figure === figure)?.planned ?? null;
  return asPlanned.includes(figure) ? planned : values[figure];
}

/** The same as the line of a shot would say it. */
export function lineOf(figures: PulledFigures, asked: readonly AskedFigure[]): ShotLine {
  const { asPlanned, yieldGrams, valveGrams: _ofWatched, ...others } = figures;
  const ofYield = asked.find(({ figure }) => figure === 'yieldGrams');
  const said = {
    ...others,
    [ofYield?.unit === 'ml' ? 'yieldMl' : 'yieldGrams']: yieldGrams,
    grindSeconds: setBefore(figures, asked, 'grindSeconds'),
  };
  const measured = Object.fromEntries(Object.entries(said).filter(([, value]) => value !== null));
  const assumed = asPlanned.filter(isMeasured);
  return { ...measured, ...(assumed.length > 0 ? { assumed } : {}) };
}
