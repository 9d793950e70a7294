import { celsiusFromFahrenheit, fahrenheitFromCelsius, plainNumber } from '@olvet/core';
import { useGetShopQuery } from '../app/api';
import type { TemperatureUnit } from './format';

const FAHRENHEIT_PER_CELSIUS = 9 / 5;

/** The unit this shop reads temperatures in; °C until it is known. Everything is stored in °C. */
export function useTemperatureUnit(): TemperatureUnit {
  return useGetShopQuery().data?.temperatureUnit ?? 'C';
}

/** °C as a number to be shown or typed, to a tenth. */
export function shownDegrees(celsius: number, unit: TemperatureUnit): number {
  return tenths(unit === 'F' ? fahrenheitFromCelsius(celsius) : celsius);
}

/** What was typed, in °C to a hundredth, so that a whole °F survives being kept. */
export function celsiusOf(shown: number, unit: TemperatureUnit): number {
  return unit === 'F' ? Math.round(100 * celsiusFromFahrenheit(shown)) / 100 : shown;
}

/** A difference of temperatures: 0.5 °C is 0.9 °F. */
export function shownDifference(celsius: number, unit: TemperatureUnit): number {
  return Math.round(100 * celsius * (unit === 'F' ? FAHRENHEIT_PER_CELSIUS : 1)) / 100;
}

export function celsiusApart(shown: number, unit: TemperatureUnit): number {
  return unit === 'F' ? shown / FAHRENHEIT_PER_CELSIUS : shown;
}

/** "93 °C", "93 → 94 °C" and "88–90 °C" of a sentence in the shop's unit; the core speaks °C. */
export function inUnit(text: string, unit: TemperatureUnit): string {
  if (unit === 'C') return text;
  return text.replace(
    /(\d+(?:\.\d+)?)(?:( → |–)(\d+(?:\.\d+)?))? °C/g,
    (_, from: string, between: string | undefined, to: string | undefined) =>
      `${whole(from)}${between && to ? `${between}${whole(to)}` : ''} °F`,
  );
}

function whole(celsius: string): string {
  return plainNumber(fahrenheitFromCelsius(Number(celsius)), 0);
}

function tenths(value: number): number {
  return Math.round(10 * value) / 10;
}
