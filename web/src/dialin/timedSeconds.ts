import { roundTo, secondsForDose } from '@olvet/core';
import type { SheetView } from '../app/api';

/** How long the grinder runs for these settings by its own dose law, to a tenth; null where it has none. */
export function timedSeconds(sheet: SheetView, wanted: { grind: number; doseGrams: number }): number | null {
  if (sheet.grinder.dosing !== 'timed' || !sheet.timedDose) return null;
  return roundTo(secondsForDose(sheet.timedDose, wanted), 1);
}
