import { celsiusFromFahrenheit, fahrenheitFromCelsius, ML_PER_OUNCE, roundTo } from '@olvet/core';
import type { TemperatureUnit } from './format';

const DEGREES = /^([-\d.,]+)\s*°?\s*([cf])$/i;
const OUNCES = /^([\d.,]+)\s*(fl\s*)?oz$/i;
const MILLILITRES = /^([\d.,]+)\s*ml$/i;

/** What was typed, with a decimal point; the text itself where it is no number yet. */
function plain(text: string): string {
  return text.trim().replace(',', '.');
}

/** "200 f" in a field of °C is 93.3, and "93 c" in one of °F 199.4; without a sign it is the field's own unit. */
export function readDegrees(text: string, unit: TemperatureUnit): string {
  const said = DEGREES.exec(text.trim());
  if (!said) return plain(text);
  const value = Number(plain(said[1]!));
  const from = said[2]!.toUpperCase();
  if (from === unit) return String(value);
  return String(roundTo(from === 'F' ? celsiusFromFahrenheit(value) : fahrenheitFromCelsius(value), 2));
}

/** Ounces on a glass in a field of millilitres. */
export function readMillilitres(text: string): string {
  const ounces = OUNCES.exec(text.trim());
  if (ounces) return String(roundTo(ML_PER_OUNCE * Number(plain(ounces[1]!)), 1));
  return plain(MILLILITRES.exec(text.trim())?.[1] ?? text);
}
