import { requirePositive } from './requirePositive';

/** Crema makes a fresh double read more than it weighs: ml a gram, and how far that strays (handbook §8). */
export const ML_PER_GRAM = { least: 1.4, usual: 1.5, most: 1.6 };

/** °C to °F, exact: F = C × 9/5 + 32. */
export function fahrenheitFromCelsius(celsius: number): number {
  return (celsius * 9) / 5 + 32;
}

/** °F to °C, exact inverse of {@link fahrenheitFromCelsius}. */
export function celsiusFromFahrenheit(fahrenheit: number): number {
  return ((fahrenheit - 32) * 5) / 9;
}

/**
 * Beverage mass in g from a volume read with its crema.
 * @param millilitres volume, ml, > 0
 * @param mlPerGram how much room one gram takes; falls towards 1 as crema settles
 * @throws RangeError on non-positive input
 */
export function gramsFromMillilitres(millilitres: number, mlPerGram = ML_PER_GRAM.usual): number {
  requirePositive('gramsFromMillilitres', { millilitres, mlPerGram });
  return millilitres / mlPerGram;
}

/** Inverse of {@link gramsFromMillilitres}. */
export function millilitresFromGrams(grams: number, mlPerGram = ML_PER_GRAM.usual): number {
  requirePositive('millilitresFromGrams', { grams, mlPerGram });
  return grams * mlPerGram;
}

/** One US fluid ounce, as glasses are marked, ml (exact: 29.5735295625). */
export const ML_PER_OUNCE = 29.5735295625;
