/** Where in the basket something was seen over many shots, the basket viewed from below. */
export interface Rose {
  /** How often at 1, 2 … 12 o’clock. */
  counts: number[];
  total: number;
  /** How closely they lie together, 0 to 1. */
  resultant: number;
  /** How often chance alone would gather them so closely. */
  p: number;
  /** Where they lean, and how many lie there; null where chance would do it, too. */
  lean: { from: number; to: number; count: number } | null;
}

/** Below this chance is a poor excuse (ordinary practice). */
const SIGNIFICANT = 0.05;
/** Fewer say nothing of a habit. */
const FEWEST = 5;
/** The sector that is named: so many hours to either side of the middle. */
const HALF_SECTOR_HOURS = 1;

/**
 * Counts clock hours and asks, by Rayleigh's test, whether they gather on one side.
 * p by Wilkie's approximation, exp(√(1 + 4n + 4(n² − R²)) − (1 + 2n)) with R the length of the summed unit vectors
 * (Wilkie 1983; Zar, Biostatistical Analysis, 27.4).
 * @param hours 1 to 12, one for each thing seen
 */
export function roseOf(hours: readonly number[]): Rose {
  const counts = Array.from({ length: 12 }, (_, i) => hours.filter((hour) => hour === i + 1).length);
  const total = hours.length;
  if (total === 0) return { counts, total, resultant: 0, p: 1, lean: null };
  const angles = hours.map((hour) => (hour / 12) * 2 * Math.PI);
  const [x, y] = [sumOf(angles.map(Math.cos)), sumOf(angles.map(Math.sin))];
  const length = Math.hypot(x, y);
  const p = rayleighP(total, length);
  const middle = Math.round((Math.atan2(y, x) / (2 * Math.PI)) * 12 + 12) % 12 || 12;
  const isHabit = total >= FEWEST && p < SIGNIFICANT;
  return { counts, total, resultant: length / total, p, lean: isHabit ? leanAt(counts, middle) : null };
}

export function rayleighP(n: number, length: number): number {
  return Math.min(1, Math.exp(Math.sqrt(1 + 4 * n + 4 * (n * n - length * length)) - (1 + 2 * n)));
}

function leanAt(counts: readonly number[], middle: number): NonNullable<Rose['lean']> {
  const wrap = (hour: number): number => ((hour + 11) % 12) + 1;
  const hours = Array.from({ length: 2 * HALF_SECTOR_HOURS + 1 }, (_, i) => wrap(middle - HALF_SECTOR_HOURS + i));
  return { from: hours[0]!, to: hours.at(-1)!, count: sumOf(hours.map((hour) => counts[hour - 1]!)) };
}

function sumOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0);
}
