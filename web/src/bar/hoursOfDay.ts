import { clockTimeOf, type ShopHours } from '@olvet/core';

const HOUR_MS = 3600_000;
/** A day that has just begun is drawn as long as this; more words than so many run into each other on a phone. */
const LEAST_HOURS = 6;
const MOST_WORDS = 4;

export interface HourScale {
  /** Per cent from the left. */
  x: (at: number) => number;
  hours: { at: number; word: string }[];
}

/** From the full hour before the first of these instants to the one after the last. */
export function hoursOfDay(instants: readonly number[], shop: ShopHours): HourScale {
  const first = Math.floor(Math.min(...instants) / HOUR_MS);
  const last = Math.max(first + LEAST_HOURS, Math.ceil(Math.max(...instants) / HOUR_MS));
  const every = Math.ceil((last - first) / MOST_WORDS);
  const count = Math.floor((last - first) / every) + 1;
  return {
    x: (at) => (100 * (at / HOUR_MS - first)) / (last - first),
    hours: Array.from({ length: count }, (_, i) => (first + i * every) * HOUR_MS).map((at) => ({
      at,
      word: clockTimeOf(new Date(at), shop),
    })),
  };
}
