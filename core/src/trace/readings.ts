import type { ValidTraceRequest } from './contract';

/** One reading of the scale. */
export interface Reading {
  seconds: number;
  grams: number;
}

/**
 * The scale's readings in the order of its clock, gaps and missing figures left out. A clock that runs backwards is believed where it
 * goes on: what came before in the list and lies after in time was a glitch.
 */
export function readingsOf({ columns, rows }: Pick<ValidTraceRequest, 'columns' | 'rows'>): Reading[] {
  const [at, of] = [columns.indexOf('seconds'), columns.indexOf('grams')];
  if (of < 0) return [];
  const readings: Reading[] = [];
  for (const row of rows) {
    const [seconds, grams] = [row[at], row[of]];
    if (seconds == null || grams == null) continue;
    while (readings.length > 0 && readings.at(-1)!.seconds >= seconds) readings.pop();
    readings.push({ seconds, grams });
  }
  return readings;
}

/** The time of the last row, whatever it measured; null where there is none. */
export function nowOf({ columns, rows }: Pick<ValidTraceRequest, 'columns' | 'rows'>): number | null {
  const at = columns.indexOf('seconds');
  const last = rows.findLast((row) => row[at] != null);
  return last?.[at] ?? null;
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** From a normal's median absolute deviation to its standard deviation. */
const MAD_TO_SD = 1.4826;

/** So many of the newest readings tell how the scale scatters now. */
const NEWEST = 120;

/**
 * Scatter of single readings, robust against a bump and free of what flows: from second differences, whose variance is six times a
 * reading's. null below six readings.
 */
export function scatterOf(readings: readonly Reading[]): number | null {
  const newest = readings.slice(-NEWEST);
  const bends = newest.slice(2).map(({ grams }, i) => Math.abs(grams - 2 * newest[i + 1]!.grams + newest[i]!.grams));
  return bends.length < 4 ? null : (MAD_TO_SD * median(bends)) / Math.sqrt(6);
}
