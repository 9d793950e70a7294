import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import {
  beliefOf,
  frameOf,
  geometryOf,
  P,
  PARAMETERS,
  predict,
  predictLiking,
  timeElasticity,
  type Frame,
  type Prediction,
} from './model';
import type { Pour, Problem } from './problem';
import { priorFor, type Prior } from './prior';

/** Gaussian belief about the parameters after the shots (Laplace's approximation). */
export interface Posterior {
  mean: Float64Array;
  covariance: Matrix;
  frame: Frame;
  converged: boolean;
  iterations: number;
}

/** What one shot measured, with one function that predicts all of it: the pour is brewed once, not once a number. */
interface Reading {
  values: number[];
  sds: number[];
  /** Degrees of freedom of each Student-t tail: outliers count little. */
  tails: number[];
  predict(theta: Float64Array): number[];
}

/** Puck preparation moves the puck's part of the time by about 5 %; hand and clock add half a second. */
export const PUCK_SD = 0.055;
const CLOCK_SD_SECONDS = 0.5;
/** A tongue reports to ±0.4 in halves; the linear taste model adds a little error of its own. */
export const TASTE_SD = 0.47;
const OVERALL_SD = 0.9;
const SWEET_SD = 1;
const MAX_ITERATIONS = 25;
/** Degrees of freedom at which a Student-t is a normal. */
const NO_TAIL = 1e8;

/** Spread of a measured time around its prediction, s. */
export function timeSd(puckSeconds: number): number {
  return Math.hypot(PUCK_SD * puckSeconds, CLOCK_SD_SECONDS);
}

/**
 * Posterior mode and curvature by damped Gauss–Newton with Student-t reweighting: each step solves
 * (JᵀWJ + Λ)δ = JᵀWr + Λ(μ − θ), Λ the prior precision, W = (ν+1)/(ν+r²) the tail weights.
 * Non-convergence is a result (`converged: false`), never an exception; the prior keeps every system positive definite.
 */
export function infer(problem: Problem, pours: readonly Pour[] = problem.pours): Posterior {
  const frame = frameOf(problem);
  const prior = priorFor(problem);
  const readings = pours.map((pour) => readPour(problem, frame, pour)).filter((r) => r.values.length > 0);
  // First as if there were no outliers: from the prior's mean a far but true measurement looks like one, and the tails
  // would let the search settle on disbelieving it. Then with tails, from there.
  const plain = readings.map((reading) => ({ ...reading, tails: reading.tails.map(() => NO_TAIL) }));
  const rough = descend(Float64Array.from(prior.mean), prior, plain);
  const { theta, precision, converged, iterations } = descend(rough.theta, prior, readings);
  const inverse = new CholeskyDecomposition(precision).solve(Matrix.eye(PARAMETERS));
  const covariance = Matrix.add(inverse, inverse.transpose()).mul(0.5);
  return { mean: theta, covariance, frame, converged, iterations };
}

interface Descent {
  theta: Float64Array;
  precision: Matrix;
  converged: boolean;
  iterations: number;
}

function descend(from: Float64Array, prior: Prior, readings: Reading[]): Descent {
  let theta = from;
  let loss = lossAt(theta, prior, readings);
  let system = linearise(theta, prior, readings);
  let damping = 1e-3;
  let converged = readings.length === 0;
  let iterations = 0;
  while (!converged && iterations < MAX_ITERATIONS) {
    iterations += 1;
    const damped = system.precision.clone();
    for (let i = 0; i < PARAMETERS; i += 1) damped.set(i, i, damped.get(i, i) * (1 + damping));
    const step = new CholeskyDecomposition(damped).solve(system.gradient).getColumn(0);
    const next = theta.map((value, i) => value + step[i]!);
    const nextLoss = lossAt(next, prior, readings);
    if (Number.isFinite(nextLoss) && nextLoss <= loss) {
      converged = loss - nextLoss < 1e-6 * (1 + loss);
      theta = next;
      loss = nextLoss;
      damping = Math.max(1e-9, damping / 5);
      system = linearise(theta, prior, readings);
    } else {
      damping *= 8;
      // No downhill step left at machine precision: this is the mode.
      if (damping > 1e9) converged = true;
    }
  }
  return { theta, precision: system.precision, converged, iterations };
}

function lossAt(theta: Float64Array, prior: Prior, readings: Reading[]): number {
  let loss = 0;
  for (let i = 0; i < PARAMETERS; i += 1) loss += ((theta[i]! - prior.mean[i]!) / prior.sd[i]!) ** 2;
  for (const { values, sds, tails, predict: f } of readings) {
    const foreseen = f(theta);
    for (let n = 0; n < values.length; n += 1) {
      const r = (values[n]! - foreseen[n]!) / sds[n]!;
      loss += (tails[n]! + 1) * Math.log1p((r * r) / tails[n]!);
    }
  }
  return loss;
}

const NUDGE = 1e-5;

function linearise(theta: Float64Array, prior: Prior, readings: Reading[]): { precision: Matrix; gradient: Matrix } {
  // Lower triangle in a flat array; mirrored at the end, because the Cholesky routine insists on exact symmetry.
  const h = new Float64Array(PARAMETERS * PARAMETERS);
  const g = new Float64Array(PARAMETERS);
  for (let i = 0; i < PARAMETERS; i += 1) {
    const weight = prior.sd[i]! ** -2;
    h[i * PARAMETERS + i] = weight;
    g[i] = weight * (prior.mean[i]! - theta[i]!);
  }
  for (const { values, sds, tails, predict: f } of readings) {
    const at = f(theta);
    const slopes: number[][] = [];
    for (let i = 0; i < PARAMETERS; i += 1) {
      const here = theta[i]!;
      theta[i] = here + NUDGE;
      const nudged = f(theta);
      theta[i] = here;
      slopes.push(nudged.map((value, n) => (value - at[n]!) / NUDGE));
    }
    for (let n = 0; n < values.length; n += 1) {
      const miss = values[n]! - at[n]!;
      const r = miss / sds[n]!;
      const weight = (tails[n]! + 1) / (tails[n]! + r * r) / (sds[n]! * sds[n]!);
      for (let i = 0; i < PARAMETERS; i += 1) {
        const si = slopes[i]![n]!;
        if (si === 0) continue;
        g[i]! += weight * si * miss;
        for (let j = 0; j <= i; j += 1) h[i * PARAMETERS + j]! += weight * si * slopes[j]![n]!;
      }
    }
  }
  const precision = Matrix.zeros(PARAMETERS, PARAMETERS);
  for (let i = 0; i < PARAMETERS; i += 1) {
    for (let j = 0; j <= i; j += 1) {
      precision.set(i, j, h[i * PARAMETERS + j]!);
      precision.set(j, i, h[i * PARAMETERS + j]!);
    }
  }
  return { precision, gradient: Matrix.columnVector(Array.from(g)) };
}

function readPour(problem: Problem, frame: Frame, pour: Pour): Reading {
  const { taste } = pour;
  const settings = { ...pour.measured };
  let timeFactor = 1;
  if (!pour.purged && pour.previousGrind !== settings.grind) {
    // A mixture of two settings: about a third of what was ground is still the old grind, give or take.
    settings.grind = 0.67 * settings.grind + 0.33 * pour.previousGrind;
    timeFactor = 1.8;
  }
  if (pour.channelled) timeFactor *= 2.5;
  const tasteFactor = pour.channelled ? 2 : 1;
  const wanted = problem.request.target;
  const reading: Reading = { values: [], sds: [], tails: [], predict: () => [] };
  const parts: ((shot: Prediction, theta: Float64Array) => number)[] = [];
  const add = (value: number | null | undefined, sd: number, tail: number, part: (typeof parts)[number]): void => {
    if (value == null) return;
    reading.values.push(value);
    reading.sds.push(sd);
    reading.tails.push(tail);
    parts.push(part);
  };
  // The noise scales with the measured time: with the predicted one the fit could buy a small residual with a large
  // spread.
  const puckSeconds = Math.max(5, 0.75 * (pour.timeSeconds ?? 0));
  const speedUp = pour.channelled ? 0.95 : 1;
  add(pour.timeSeconds, timeFactor * timeSd(puckSeconds), 4, (shot) => shot.timeSeconds * speedUp);
  if (frame.clock !== 'first-drip') {
    add(pour.firstDripSeconds, 1.2 * timeFactor, 4, (shot) => shot.firstDripSeconds);
  }
  add(taste?.balance, TASTE_SD * tasteFactor, 6, (shot) => shot.balance);
  add(taste?.body, TASTE_SD * tasteFactor, 6, (shot) => shot.body);
  add(taste?.overall, OVERALL_SD * tasteFactor, 6, (shot, theta) => predictLiking(theta, shot, wanted).overall);
  add(taste?.sweetness, SWEET_SD * tasteFactor, 6, (shot, theta) => predictLiking(theta, shot, wanted).sweetness);
  const geometry = geometryOf(frame, settings);
  reading.predict = (theta) => {
    const shot = predict(beliefOf(theta, frame), frame, geometry, pour.clock);
    return parts.map((part) => part(shot, theta));
  };
  return reading;
}

/** What the posterior says of the grinder's slope: change of ln time per unit finer, with its spread. */
export function slopeOf(posterior: Posterior): { mean: number; sd: number } {
  const log = posterior.mean[P.logSlope]!;
  const variance = Math.max(0, posterior.covariance.get(P.logSlope, P.logSlope));
  // Mean and spread of the log-normal, from the puck's time to the whole time.
  const mean = Math.exp(log + variance / 2) * timeElasticity(posterior.mean[P.lead]!, posterior.frame);
  return { mean, sd: mean * Math.sqrt(Math.expm1(variance)) };
}
