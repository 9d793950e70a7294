import { fahrenheitFromCelsius, plainNumber } from '@olvet/core';

export type TemperatureUnit = 'C' | 'F';

/** A brew temperature in the shop's unit, without the sign: 93 or 199.4. */
export function temperatureNumber(celsius: number, unit: TemperatureUnit): string {
  return unit === 'F' ? plainNumber(fahrenheitFromCelsius(celsius), 0) : plainNumber(celsius, 1);
}

/** "18", "18.1": a number or a dash where nothing was measured. */
export function orDash(value: number | null | undefined, decimals = 1): string {
  return value == null ? '–' : plainNumber(value, decimals);
}

export function money(cents: number, currency: string): string {
  return new Intl.NumberFormat(undefined, { style: 'currency', currency }).format(cents / 100);
}

/** "4:10" minutes and seconds, or hours and minutes with an h. */
export function elapsed(fromIso: string, now: number): string {
  const seconds = Math.max(0, Math.floor((now - Date.parse(fromIso)) / 1000));
  if (seconds < 3600) return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  const hours = Math.floor(seconds / 3600);
  return hours < 48 ? `${hours} h ${Math.floor((seconds % 3600) / 60)} min` : `${Math.floor(hours / 24)} days`;
}

export function dayAndTime(iso: string): string {
  return new Date(iso).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
}

export function day(iso: string): string {
  return new Date(iso).toLocaleDateString(undefined, { dateStyle: 'medium' });
}

export const TIMER_WORDS = {
  'pump-on': 'from pump on',
  'first-drip': 'from first drip',
  'total-contact': 'total contact',
} as const;
