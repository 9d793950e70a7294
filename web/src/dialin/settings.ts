import { findMethod, METHODS, roundTo, snap, type Method, type Scale, type Settings } from '@olvet/core';
import type { SheetShotView, SheetView } from '../app/api';

export type Variable = keyof Settings;

/** What a shot was aimed at; what was measured stands in where no plan was kept. */
export function plannedOf(shot: SheetShotView): Settings {
  const { planned } = shot;
  return {
    grind: planned?.grind ?? shot.grind ?? 0,
    doseGrams: planned?.doseGrams ?? shot.doseGrams ?? 0,
    yieldGrams: planned?.yieldGrams ?? shot.yieldGrams ?? 0,
    temperatureC: planned?.temperatureC ?? shot.temperatureC ?? null,
  };
}

/** A hand misses by a little; from so many grams on it is worth seeing what was aimed at. */
const WORTH_SEEING = { doseGrams: 0.3, yieldGrams: 1.5 };

/** Dose or yield was poured well off what was aimed at. */
export function isMissed(shot: SheetShotView, variable: Variable): boolean {
  if (variable !== 'doseGrams' && variable !== 'yieldGrams') return false;
  const poured = shot[variable];
  return poured != null && Math.abs(poured - plannedOf(shot)[variable]) >= WORTH_SEEING[variable];
}

/** What the dial-in's method still calls the wanted cup, points. */
export function toleranceOf({ method, run }: Pick<SheetView, 'method' | 'run'>): Method['tolerance'] {
  return (method ?? findMethod(run.methodId) ?? METHODS[0]!).tolerance;
}

/** The range and step a variable of the next shot may take on this equipment. */
export function scaleOf(sheet: SheetView, variable: Variable): Scale {
  switch (variable) {
    case 'grind': {
      const { min, max, step } = sheet.grinder;
      return { min, max, step };
    }
    case 'doseGrams':
      return { min: sheet.basket.minGrams, max: sheet.basket.maxGrams, step: 0.1 };
    case 'yieldGrams':
      return { min: 5, max: 200, step: 1 };
    case 'temperatureC':
      return sheet.machine.temperatureC ?? { min: 60, max: 100, step: 1 };
  }
}

/** One notch up or down: the equipment's own step, or a sensible one where it has none. */
export function nudge(sheet: SheetView, settings: Settings, variable: Variable, direction: 1 | -1): Settings {
  const scale = scaleOf(sheet, variable);
  const step = scale.step > 0 ? scale.step : roundTo((scale.max - scale.min) / 100, 2);
  const value = (settings[variable] ?? scale.min) + direction * step;
  return {
    ...settings,
    [variable]: snap(roundTo(value, 3), variable === 'yieldGrams' ? { ...scale, step: 0 } : scale),
  };
}

/** −1, 0 or +1 in words of the lever: for grind +1 is coarser, the way the wedge points. */
export function changeDirection(sheet: SheetView, variable: Variable, from: number, to: number): -1 | 0 | 1 {
  if (Math.abs(from - to) < 1e-9) return 0;
  const up = to > from ? 1 : -1;
  return variable === 'grind' && sheet.grinder.finer === 'higher' ? (-up as -1 | 1) : up;
}
