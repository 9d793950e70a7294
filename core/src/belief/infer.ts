import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { beliefOf, frameOf, timeElasticity, type Frame } from './model';
import { P, PARAMETERS } from './parameters';
import { priorFor, type Origin, type Prior } from './prior';
import type { Pour } from './pour';
import type { Problem } from './problem';
import { readingsOf, type Reading } from './readings';

/** A constant of this module: an imported binding in the innermost loops costs a look-up each time. */
const N = PARAMETERS;

/** Gaussian belief about the parameters after the shots (Laplace's approximation). */
export interface Posterior {
  mean: Float64Array;
  covariance: Matrix;
  frame: Frame;
  /** How much noisier than usual this barista's hand and tongue are, ≥ 1. */
  noise: { time: number; taste: number };
  converged: boolean;
  iterations: number;
  /** ln of the shots' marginal likelihood up to a constant of the shots alone: weighs one prior against another. */
  logEvidence: number;
  /** ln height of the mode up to a constant, before the noise was rescaled. */
  logHeight: number;
  /** ln of the posterior density itself up to a constant, not of its Gaussian: prior, shots, tails and this bar's noise. */
  logDensity(theta: Float64Array): number;
}

/** A story whose mode is this much lower in ln has no say left, whatever its width. */
const HOPELESS = 12;
/** A step that lowers the loss by less than this share of it changes no answer. */
const CONVERGED = 1e-4;
const MAX_ITERATIONS = 25;
/** Enough to come near; the second descent does the rest. */
const ROUGH_ITERATIONS = 5;
/** Degrees of freedom that stand for a normal. */
const NO_TAIL = 1e8;

/**
 * Posterior mode and curvature by damped Gauss–Newton with Student-t reweighting: each step solves
 * (JᵀWJ + Λ)δ = JᵀWr + Λ(μ − θ), Λ the prior precision, W = (ν+1)/(ν+r²) the tail weights.
 * Non-convergence is a result (`converged: false`), never an exception; the prior keeps every system positive definite.
 */
export function infer(problem: Problem, pours: readonly Pour[] = problem.pours): Posterior {
  const evidence = gather(problem, 'anywhere', pours);
  const { prior, readings } = evidence;
  // First as if there were no outliers: from the prior's mean a far but true measurement looks like one, and the tails
  // would let the search settle on disbelieving it. Then with tails, from there.
  const plain = readings.map((reading) => ({ ...reading, tails: reading.tails.map(() => NO_TAIL) }));
  const rough = descend(Float64Array.from(prior.mean), { ...evidence, readings: plain }, ROUGH_ITERATIONS);
  return settle(evidence, descend(rough.theta, evidence, MAX_ITERATIONS));
}

/**
 * The same under the story of a kept recipe, sought from where the other story ended.
 * @returns null when it explains the shots so much worse than the other that it need not be looked at further
 */
export function inferKept(problem: Problem, anywhere: Posterior): Posterior | null {
  const evidence = gather(problem, 'kept recipe', problem.pours);
  const { prior, readings } = evidence;
  const from = readings.length === 0 ? prior.mean : anywhere.mean;
  const fitted = descend(Float64Array.from(from), evidence, MAX_ITERATIONS);
  if (-0.5 * lossAt(fitted.theta, evidence) < anywhere.logHeight - HOPELESS) return null;
  return settle(evidence, fitted);
}

interface Gathered {
  frame: Frame;
  origin: Origin;
  prior: Prior;
  readings: Reading[];
}

function gather(problem: Problem, origin: Origin, pours: readonly Pour[]): Gathered {
  const frame = frameOf(problem);
  return { frame, origin, prior: priorFor(problem, origin), readings: readingsOf(problem, frame, pours) };
}

/** From a mode to a posterior: the noise of this bar, once more with that, and the curvature there. */
function settle(evidence: Gathered, fitted: Descent): Posterior {
  const { frame, readings } = evidence;
  const noise = noiseOf(fitted.theta, evidence);
  const scaled = readings.map((reading) => ({
    ...reading,
    sds: reading.sds.map((sd, n) => sd * (reading.isTime[n] ? noise.time : noise.taste)),
  }));
  const isOrdinary = noise.time < 1.05 && noise.taste < 1.05;
  const rescaled = isOrdinary ? evidence : { ...evidence, readings: scaled };
  const final = isOrdinary ? fitted : descend(fitted.theta, rescaled, MAX_ITERATIONS);
  const { theta, precision, converged, iterations } = final;
  const cholesky = new CholeskyDecomposition(precision);
  const inverse = cholesky.solve(Matrix.eye(N));
  const covariance = Matrix.add(inverse, inverse.transpose()).mul(0.5);
  const logEvidence = logEvidenceAt(theta, cholesky.lowerTriangularMatrix, evidence);
  const logHeight = -0.5 * lossAt(fitted.theta, evidence);
  const logDensity = (at: Float64Array): number => -0.5 * lossAt(at, rescaled);
  return { mean: theta, covariance, frame, noise, converged, iterations, logEvidence, logHeight, logDensity };
}

/**
 * Laplace's approximation of the marginal likelihood: the mode's height times the room the posterior has in the prior's.
 * Who claims to know the recipe must explain the times and may not call them outliers.
 */
function logEvidenceAt(theta: Float64Array, root: Matrix, evidence: Gathered): number {
  const { prior, readings, origin } = evidence;
  const strict = readings.map((reading) => ({
    ...reading,
    tails: reading.tails.map((tail, n) => (reading.isTime[n] && origin === 'kept recipe' ? NO_TAIL : tail)),
  }));
  let log = -0.5 * lossAt(theta, { ...evidence, readings: strict });
  for (let i = 0; i < N; i += 1) log -= Math.log(root.get(i, i)) + Math.log(prior.sd[i]!);
  return log;
}

/**
 * How far the residuals outgrow the usual noise: the posterior mean of a scale with a weight of six ordinary readings,
 * never below one. A few wild figures count as nine variances at most: they are the tails' business.
 */
function noiseOf(theta: Float64Array, { frame, readings }: Gathered): { time: number; taste: number } {
  const belief = beliefOf(theta, frame);
  const scaleOf = (time: boolean): number => {
    let squares = 0;
    let count = 0;
    for (const { values, sds, isTime, predict: f } of readings) {
      const foreseen = f(belief);
      values.forEach((value, n) => {
        if (isTime[n] !== time) return;
        squares += Math.min(9, ((value - foreseen[n]!) / sds[n]!) ** 2);
        count += 1;
      });
    }
    // Two parameters' worth of the misfit has been fitted away.
    return Math.max(1, Math.sqrt((6 + squares) / (6 + Math.max(0, count - 2))));
  };
  return { time: scaleOf(true), taste: scaleOf(false) };
}

interface Descent {
  theta: Float64Array;
  precision: Matrix;
  converged: boolean;
  iterations: number;
}

function descend(from: Float64Array, evidence: Gathered, most: number): Descent {
  let theta = from;
  let loss = lossAt(theta, evidence);
  let system = linearise(theta, evidence);
  let damping = 1e-3;
  let converged = evidence.readings.length === 0;
  let iterations = 0;
  while (!converged && iterations < most) {
    iterations += 1;
    const damped = matrixOf(system.precision, damping);
    const step = new CholeskyDecomposition(damped).solve(Matrix.columnVector(system.gradient)).getColumn(0);
    const next = theta.map((value, i) => value + step[i]!);
    const nextLoss = lossAt(next, evidence);
    if (Number.isFinite(nextLoss) && nextLoss <= loss) {
      converged = loss - nextLoss < CONVERGED * (1 + loss);
      theta = next;
      loss = nextLoss;
      damping = Math.max(1e-9, damping / 5);
      system = linearise(theta, evidence);
    } else {
      damping *= 8;
      // No downhill step left at machine precision: this is the mode.
      if (damping > 1e9) converged = true;
    }
  }
  return { theta, precision: matrixOf(system.precision), converged, iterations };
}

function lossAt(theta: Float64Array, { frame, prior, readings }: Gathered): number {
  const belief = beliefOf(theta, frame);
  let loss = 0;
  for (let i = 0; i < N; i += 1) loss += ((theta[i]! - prior.mean[i]!) / prior.sd[i]!) ** 2;
  for (const { values, sds, tails, predict: f } of readings) {
    const foreseen = f(belief);
    // Logarithms are dear, and a shot's tails are of two kinds only: products first, one logarithm a kind.
    let kind = 0;
    let product = 1;
    for (let n = 0; n < values.length; n += 1) {
      const tail = tails[n]!;
      const r = (values[n]! - foreseen[n]!) / sds[n]!;
      if (tail === NO_TAIL) {
        loss += r * r;
        continue;
      }
      if (tail !== kind) {
        loss += (kind + 1) * Math.log(product);
        kind = tail;
        product = 1;
      }
      product *= 1 + (r * r) / tail;
    }
    loss += (kind + 1) * Math.log(product);
  }
  return loss;
}

/** The normal equations at one point; of the symmetric matrix only the lower triangle is filled, row by row. */
interface System {
  precision: Float64Array;
  gradient: Float64Array;
}

function linearise(theta: Float64Array, { frame, prior, readings }: Gathered): System {
  const belief = beliefOf(theta, frame);
  const h = new Float64Array(N * N);
  const g = new Float64Array(N);
  for (let i = 0; i < N; i += 1) {
    const weight = prior.sd[i]! ** -2;
    h[i * N + i] = weight;
    g[i] = weight * (prior.mean[i]! - theta[i]!);
  }
  for (const { values, sds, tails, linearise: f } of readings) {
    const { at, slopes } = f(belief);
    for (let n = 0; n < values.length; n += 1) {
      const miss = values[n]! - at[n]!;
      const r = miss / sds[n]!;
      const weight = (tails[n]! + 1) / (tails[n]! + r * r) / (sds[n]! * sds[n]!);
      const row = slopes[n]!;
      for (let i = 0; i < N; i += 1) {
        const pull = weight * row[i]!;
        if (pull === 0) continue;
        g[i]! += pull * miss;
        for (let j = 0; j <= i; j += 1) h[i * N + j]! += pull * row[j]!;
      }
    }
  }
  return { precision: h, gradient: g };
}

/** The whole matrix: the Cholesky routine insists on exact symmetry. Damping makes the diagonal heavier (Marquardt). */
function matrixOf(lower: Float64Array, damping = 0): Matrix {
  const matrix = new Matrix(N, N);
  for (let i = 0; i < N; i += 1) {
    for (let j = 0; j < i; j += 1) {
      matrix.set(i, j, lower[i * N + j]!);
      matrix.set(j, i, lower[i * N + j]!);
    }
    matrix.set(i, i, lower[i * N + i]! * (1 + damping));
  }
  return matrix;
}

/** What the posterior says of the grinder's slope: change of ln time per unit finer, with its spread. */
export function slopeOf(posterior: Posterior): { mean: number; sd: number } {
  const log = posterior.mean[P.logSlope]!;
  const variance = Math.max(0, posterior.covariance.get(P.logSlope, P.logSlope));
  // Mean and spread of the log-normal, from the puck's time to the whole time.
  const mean = Math.exp(log + variance / 2) * timeElasticity(posterior.mean[P.lead]!, posterior.frame);
  return { mean, sd: mean * Math.sqrt(Math.expm1(variance)) };
}
