import type { Roast } from '../brew/types';
import { balanceWalk } from './balanceWalk';
import { handLever } from './handLever';
import type { Method } from './Method';
import { oneLever } from './oneLever';
import { openLight } from './openLight';
import { slowSoak } from './slowSoak';
import { smallClassic } from './smallClassic';

/** Every method Olvet ships. A new one is a file and a line here. */
export const METHODS: readonly Method[] = [oneLever, balanceWalk, openLight, smallClassic, slowSoak, handLever];

export const METHOD_IDS = METHODS.map((method) => method.id);

/** The shipped method with this id, or undefined. */
export function findMethod(id: string): Method | undefined {
  return METHODS.find((method) => method.id === id);
}

/** Brewing temperature a method starts from, held inside what the machine can do; null where nothing can be set. */
export function startTemperatureC(
  method: Method,
  roast: Roast,
  machine: { min: number; max: number } | null,
): number | null {
  if (machine === null) return null;
  return Math.min(machine.max, Math.max(machine.min, method.temperatureC[roast]));
}
