import { roundTo } from '../brew/snap';
import type { Roast, SecondsRange, TimerStart } from '../brew/types';
import type { Method } from './Method';
import { startTemperatureC } from './methods';

/** What a method begins with: to be changed by a person before it is set, and by taste after. */
export interface ProposedAim {
  doseGrams: number;
  yieldGrams: number;
  /** null where nothing can be set. */
  temperatureC: number | null;
  timeSeconds: SecondsRange;
  timer: TimerStart;
}

/**
 * Dose, yield, window and heat as a method begins with this coffee on this equipment.
 * @param doseGrams what fills the basket; the method's own where nobody knows
 */
export function proposeAim(
  method: Method,
  on: { doseGrams: number | null; roast: Roast; temperatureScale: { min: number; max: number } | null },
): ProposedAim {
  const doseGrams = on.doseGrams ?? method.start.doseGrams;
  return {
    doseGrams,
    yieldGrams: roundTo(doseGrams * method.start.ratio, 0),
    temperatureC: startTemperatureC(method, on.roast, on.temperatureScale),
    timeSeconds: { ...method.windowSeconds },
    timer: method.timer,
  };
}
