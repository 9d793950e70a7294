/** No collar and no thermostat has finer marks; counting finer ones would run out of digits. */
export const SMALLEST_STEP = 0.001;

export interface Scale {
  min: number;
  max: number;
  /** Smallest usable change, `SMALLEST_STEP` or more; 0 = stepless. */
  step: number;
}

/**
 * The nearest value the scale can really be set to. Steps are counted from `min` — a collar's clicks start at its
 * end stop, not at zero. A value that lies off the clicks because `max` does is never returned.
 */
export function snap(value: number, scale: Scale): number {
  const { min, max, step } = scale;
  const clamped = clamp(value, min, max);
  if (step <= 0) return clamp(roundTo(clamped, 3), min, max);
  const last = Math.floor((max - min) / step + 1e-9);
  const clicks = Math.min(last, Math.max(0, Math.round((clamped - min) / step)));
  // An end of more decimals than anybody reads would be left by rounding.
  return clamp(roundTo(min + clicks * step, 6), min, max);
}

/** The nearest value from low to high. */
export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}

/** Rounds away the binary dust of decimal steps. */
export function roundTo(value: number, decimals: number): number {
  const factor = 10 ** decimals;
  return Math.round(value * factor) / factor;
}
