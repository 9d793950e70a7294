import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import alea from 'seedrandom/lib/alea';

/** Uniform draws from [0, 1). Always an argument: the core owns no randomness. */
export type Random = () => number;

/** A reproducible stream of uniform draws (Alea, period about 2^116) from a text seed. */
export function createRandom(seed: string): Random {
  return alea(seed);
}

/** One draw evenly from low to high. */
export function drawBetween(random: Random, low: number, high: number): number {
  return low + random() * (high - low);
}

/** One draw from the normal distribution by inverting its CDF, so that one uniform gives one normal. */
export function drawNormal(random: Random, mean: number, sd: number): number {
  // 0 would give −∞.
  const u = Math.min(1 - 1e-12, Math.max(1e-12, random()));
  return mean + sd * normalQuantile(u, 0, 1);
}
