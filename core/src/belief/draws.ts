import { CholeskyDecomposition } from 'ml-matrix';
import { drawNormal, type Random } from '../puck/random';
import type { Posterior } from './infer';
import { PARAMETERS } from './parameters';

/** A constant of this module: an imported binding in the innermost loops costs a look-up each time. */
const N = PARAMETERS;
/** Vectors proposed for the share of one posterior; about a third of them count after weighing. */
const PROPOSALS = { whole: 1000, least: 200 };
/** Proposals are spread wider than the Gaussian, so that no tail of the true density is out of their reach. */
const WIDENING = 1.1;
/** Fewer effective proposals than this would speak with too few voices: the weights are flattened until there are so many. */
const FEWEST_VOICES = 30;

/**
 * Draws from the posterior itself by importance resampling: proposals in mirror pairs from Laplace's Gaussian, widened,
 * weighed by true density over proposed density, and resampled systematically.
 *
 * The Gaussian alone will not do. Overall and sweetness are greatest at the wanted cup, so their gradient vanishes there and
 * Gauss–Newton learns nothing from a cup that was liked; the density itself knows that a cup liked this much cannot lie far off.
 * @param share of the belief this posterior has, 0–1: a story with little say is asked with fewer proposals
 * @returns `count` vectors in random order
 */
export function drawFrom(posterior: Posterior, count: number, random: Random, share = 1): Float64Array[] {
  if (count === 0) return [];
  const pairs = Math.round(Math.max(PROPOSALS.least, PROPOSALS.whole * share) / 2);
  const { proposals, logWeights } = propose(posterior, pairs, random);
  const chosen = resample(temper(logWeights), count, random);
  return shuffle(chosen, random).map((k) => proposals.slice(k * N, (k + 1) * N));
}

/** Proposals one behind the other in one array: a thousand small ones would be dear to make. */
function propose(
  posterior: Posterior,
  pairs: number,
  random: Random,
): { proposals: Float64Array; logWeights: Float64Array } {
  const root = new CholeskyDecomposition(posterior.covariance).lowerTriangularMatrix.to2DArray();
  const { mean } = posterior;
  const proposals = new Float64Array(2 * pairs * N);
  const logWeights = new Float64Array(2 * pairs);
  const z = new Float64Array(N);
  for (let k = 0; k < 2 * pairs; k += 2) {
    const up = proposals.subarray(k * N, (k + 1) * N);
    const down = proposals.subarray((k + 1) * N, (k + 2) * N);
    let squares = 0;
    for (let i = 0; i < N; i += 1) {
      z[i] = drawNormal(random, 0, 1);
      squares += z[i]! * z[i]!;
    }
    for (let i = 0; i < N; i += 1) {
      const row = root[i]!;
      let shift = 0;
      for (let j = 0; j <= i; j += 1) shift += row[j]! * z[j]!;
      up[i] = mean[i]! + WIDENING * shift;
      down[i] = mean[i]! - WIDENING * shift;
    }
    logWeights[k] = posterior.logDensity(up) + squares / 2;
    logWeights[k + 1] = posterior.logDensity(down) + squares / 2;
  }
  return { proposals, logWeights };
}

/** Weights from their logarithms, raised to the largest power up to 1 that leaves enough effective voices (Kish). */
export function temper(logWeights: Float64Array): Float64Array {
  const top = logWeights.reduce((best, log) => (log > best ? log : best), -Infinity);
  const raised = (power: number): Float64Array => logWeights.map((log) => Math.exp(power * (log - top)));
  const plain = raised(1);
  if (voicesOf(plain) >= FEWEST_VOICES) return plain;
  let low = 0;
  let high = 1;
  for (let i = 0; i < 12; i += 1) {
    const middle = (low + high) / 2;
    if (voicesOf(raised(middle)) >= FEWEST_VOICES) low = middle;
    else high = middle;
  }
  return raised(low);
}

/** Kish's effective sample size: (Σw)² / Σw². */
export function voicesOf(weights: Float64Array): number {
  let sum = 0;
  let squares = 0;
  for (const weight of weights) {
    sum += weight;
    squares += weight * weight;
  }
  return (sum * sum) / squares;
}

/** Systematic resampling: one uniform draw for all, so that none comes more than once too often or too seldom. Gives indices. */
function resample(weights: Float64Array, count: number, random: Random): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const offset = random();
  let reached = weights[0]! / total;
  let at = 0;
  return Array.from({ length: count }, (_, k) => {
    while (reached < (k + offset) / count && at < weights.length - 1) {
      at += 1;
      reached += weights[at]! / total;
    }
    return at;
  });
}

/** Fisher–Yates: twins of one proposal must not stand together, because every n-th particle is asked alone. */
function shuffle<T>(items: T[], random: Random): T[] {
  for (let k = items.length - 1; k > 0; k -= 1) {
    const other = Math.floor(random() * (k + 1));
    [items[k], items[other]] = [items[other]!, items[k]!];
  }
  return items;
}
