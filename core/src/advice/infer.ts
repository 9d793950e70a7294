import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import {
  beliefOf,
  frameOf,
  geometryOf,
  P,
  PARAMETERS,
  liking,
  OVERALL,
  predict,
  SWEETNESS,
  timeElasticity,
  type Frame,
  type Geometry,
  type LikingScale,
  type Prediction,
} from './model';
import type { Verdict } from '../brew/types';
import { slopesOf, type PredictionSlopes } from './gradients';
import type { Pour, Problem } from './problem';
import { priorFor, type Origin, type Prior } from './prior';

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
}

/** What one shot measured, with one function that predicts all of it: the pour is brewed once, not once a number. */
interface Reading {
  values: number[];
  sds: number[];
  /** Degrees of freedom of each Student-t tail: outliers count little. */
  tails: number[];
  /** Seconds, as against points of taste. */
  isTime: boolean[];
  predict(theta: Float64Array): number[];
  /** The same with its derivatives, one row a value. */
  linearise(theta: Float64Array): { at: number[]; slopes: Float64Array[] };
}

/** Puck preparation moves the puck's part of the time by about 5 %; hand and clock add half a second. */
export const PUCK_SD = 0.06;
const CLOCK_SD_SECONDS = 0.5;
/** A tongue reports to ±0.4 in halves; the linear taste model adds a little error of its own. */
export const TASTE_SD = 0.44;
const OVERALL_SD = 0.7;
const SWEET_SD = 0.75;
/** "Better" is about a point of overall liking, give or take as much as two tongues' errors together. */
const VERDICT_VALUE: Record<Verdict, number> = { better: 1, same: 0, worse: -1 };
const VERDICT_SD = 0.9;
/** A story whose mode is this much lower in ln has no say left, whatever its width. */
const HOPELESS = 12;
/** A step that lowers the loss by less than this share of it changes no answer. */
const CONVERGED = 1e-4;
const MAX_ITERATIONS = 25;
/** Enough to come near; the second descent does the rest. */
const ROUGH_ITERATIONS = 5;
/** Degrees of freedom at which a Student-t is a normal. */
const NO_TAIL = 1e8;
const TIME_TAIL = 4;
const TASTE_TAIL = 6;

/** Spread of a measured time around its prediction, s. */
export function timeSd(puckSeconds: number): number {
  const puck = PUCK_SD * puckSeconds;
  return Math.sqrt(puck * puck + CLOCK_SD_SECONDS * CLOCK_SD_SECONDS);
}

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
  const rough = descend(Float64Array.from(prior.mean), prior, plain, ROUGH_ITERATIONS);
  return settle(evidence, descend(rough.theta, prior, readings, MAX_ITERATIONS));
}

/**
 * The same under the story of a kept recipe, sought from where the other story ended.
 * @returns null when it explains the shots so much worse than the other that it need not be looked at further
 */
export function inferKept(problem: Problem, anywhere: Posterior): Posterior | null {
  const evidence = gather(problem, 'kept recipe', problem.pours);
  const { prior, readings } = evidence;
  const from = readings.length === 0 ? prior.mean : anywhere.mean;
  const fitted = descend(Float64Array.from(from), prior, readings, MAX_ITERATIONS);
  if (-0.5 * lossAt(fitted.theta, prior, readings) < anywhere.logHeight - HOPELESS) return null;
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
  const readings = pours
    .flatMap((pour, i) => [readPour(problem, frame, pour), readVerdict(problem, frame, pours[i - 1], pour)])
    .filter((reading) => reading.values.length > 0);
  return { frame, origin, prior: priorFor(problem, origin), readings };
}

/** From a mode to a posterior: the noise of this bar, once more with that, and the curvature there. */
function settle({ frame, origin, prior, readings }: Gathered, fitted: Descent): Posterior {
  const noise = noiseOf(fitted.theta, readings);
  const scaled = readings.map((reading) => ({
    ...reading,
    sds: reading.sds.map((sd, n) => sd * (reading.isTime[n] ? noise.time : noise.taste)),
  }));
  const isOrdinary = noise.time < 1.05 && noise.taste < 1.05;
  const final = isOrdinary ? fitted : descend(fitted.theta, prior, scaled, MAX_ITERATIONS);
  const { theta, precision, converged, iterations } = final;
  const inverse = new CholeskyDecomposition(precision).solve(Matrix.eye(N));
  const covariance = Matrix.add(inverse, inverse.transpose()).mul(0.5);
  const logEvidence = logEvidenceAt(theta, precision, prior, readings, origin);
  const logHeight = -0.5 * lossAt(fitted.theta, prior, readings);
  return { mean: theta, covariance, frame, noise, converged, iterations, logEvidence, logHeight };
}

/**
 * Laplace's approximation of the marginal likelihood: the mode's height times the room the posterior has in the prior's.
 * Who claims to know the recipe must explain the times and may not call them outliers.
 */
function logEvidenceAt(
  theta: Float64Array,
  precision: Matrix,
  prior: Prior,
  readings: Reading[],
  origin: Origin,
): number {
  const root = new CholeskyDecomposition(precision).lowerTriangularMatrix;
  const strict = readings.map((reading) => ({
    ...reading,
    tails: reading.tails.map((tail, n) => (reading.isTime[n] && origin === 'kept recipe' ? NO_TAIL : tail)),
  }));
  let log = -0.5 * lossAt(theta, prior, strict);
  for (let i = 0; i < N; i += 1) log -= Math.log(root.get(i, i)) + Math.log(prior.sd[i]!);
  return log;
}

/**
 * How far the residuals outgrow the usual noise: the posterior mean of a scale with a weight of six ordinary readings,
 * never below one. A few wild figures count as nine variances at most: they are the tails' business.
 */
function noiseOf(theta: Float64Array, readings: Reading[]): { time: number; taste: number } {
  const scaleOf = (time: boolean): number => {
    let squares = 0;
    let count = 0;
    for (const { values, sds, isTime, predict: f } of readings) {
      const foreseen = f(theta);
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

function descend(from: Float64Array, prior: Prior, readings: Reading[], most: number): Descent {
  let theta = from;
  let loss = lossAt(theta, prior, readings);
  let system = linearise(theta, prior, readings);
  let damping = 1e-3;
  let converged = readings.length === 0;
  let iterations = 0;
  while (!converged && iterations < most) {
    iterations += 1;
    const damped = system.precision.clone();
    for (let i = 0; i < N; i += 1) damped.set(i, i, damped.get(i, i) * (1 + damping));
    const step = new CholeskyDecomposition(damped).solve(system.gradient).getColumn(0);
    const next = theta.map((value, i) => value + step[i]!);
    const nextLoss = lossAt(next, prior, readings);
    if (Number.isFinite(nextLoss) && nextLoss <= loss) {
      converged = loss - nextLoss < CONVERGED * (1 + loss);
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
  for (let i = 0; i < N; i += 1) loss += ((theta[i]! - prior.mean[i]!) / prior.sd[i]!) ** 2;
  for (const { values, sds, tails, predict: f } of readings) {
    const foreseen = f(theta);
    for (let n = 0; n < values.length; n += 1) {
      const r = (values[n]! - foreseen[n]!) / sds[n]!;
      loss += (tails[n]! + 1) * Math.log1p((r * r) / tails[n]!);
    }
  }
  return loss;
}

function linearise(theta: Float64Array, prior: Prior, readings: Reading[]): { precision: Matrix; gradient: Matrix } {
  // Lower triangle in a flat array; mirrored at the end, because the Cholesky routine insists on exact symmetry.
  const h = new Float64Array(N * N);
  const g = new Float64Array(N);
  for (let i = 0; i < N; i += 1) {
    const weight = prior.sd[i]! ** -2;
    h[i * N + i] = weight;
    g[i] = weight * (prior.mean[i]! - theta[i]!);
  }
  for (const { values, sds, tails, linearise: f } of readings) {
    const { at, slopes } = f(theta);
    for (let n = 0; n < values.length; n += 1) {
      const miss = values[n]! - at[n]!;
      const r = miss / sds[n]!;
      const weight = (tails[n]! + 1) / (tails[n]! + r * r) / (sds[n]! * sds[n]!);
      for (let i = 0; i < N; i += 1) {
        const si = slopes[n]![i]!;
        if (si === 0) continue;
        g[i]! += weight * si * miss;
        for (let j = 0; j <= i; j += 1) h[i * N + j]! += weight * si * slopes[n]![j]!;
      }
    }
  }
  for (let i = 0; i < N; i += 1) for (let j = 0; j < i; j += 1) h[j * N + i] = h[i * N + j]!;
  const precision = new Matrix(Array.from({ length: N }, (_, i) => h.subarray(i * N, i * N + N)));
  return { precision, gradient: Matrix.columnVector(Array.from(g)) };
}

/** Old grounds were left in after a change of grind. */
function isMixture(pour: Pour): boolean {
  return !pour.purged && pour.previousGrind !== pour.measured.grind;
}

/** How much wider than usual a shot's time scatters: a mixture of grinds, a channel, a cold group. */
function doubtOf(pour: Pour): number {
  return (isMixture(pour) ? 1.8 : 1) * (pour.sound ? 1 : 4);
}

/**
 * Spread of a shot's time as measured, s. It scales with the measured time: with the predicted one the fit could buy a
 * small residual with a large spread.
 */
export function measuredTimeSd(pour: Pour): number {
  return doubtOf(pour) * timeSd(Math.max(5, 0.75 * (pour.timeSeconds ?? 0)));
}

/** Weight of a time whose residual is r standard deviations, by its Student-t tail. */
export function tailWeight(r: number): number {
  return (TIME_TAIL + 1) / (TIME_TAIL + r * r);
}

function readPour(problem: Problem, frame: Frame, pour: Pour): Reading {
  const { taste } = pour;
  const tasteFactor = pour.sound ? 1 : 4;
  const wanted = problem.request.target;
  const reading: Reading = {
    values: [],
    sds: [],
    tails: [],
    isTime: [],
    predict: () => [],
    linearise: () => ({ at: [], slopes: [] }),
  };
  const parts: Part[] = [];
  const add = (value: number | null | undefined, sd: number, tail: number, part: Part): void => {
    if (value == null) return;
    reading.values.push(value);
    reading.sds.push(sd);
    reading.tails.push(tail);
    reading.isTime.push(tail === TIME_TAIL);
    parts.push(part);
  };
  const speedUp = pour.channelled ? 0.95 : 1;
  add(pour.timeSeconds, measuredTimeSd(pour), TIME_TAIL, {
    value: (shot) => shot.timeSeconds * speedUp,
    slope: (_, slopes) => (speedUp === 1 ? slopes.timeSeconds : slopes.timeSeconds.map((slope) => slope * speedUp)),
  });
  if (frame.clock !== 'first-drip') {
    add(pour.firstDripSeconds, 1.2 * doubtOf(pour), TIME_TAIL, {
      value: (shot) => shot.firstDripSeconds,
      slope: (_, slopes) => slopes.firstDripSeconds,
    });
  }
  add(taste?.balance, TASTE_SD * tasteFactor, TASTE_TAIL, {
    value: (shot) => shot.balance,
    slope: (_, slopes) => slopes.balance,
  });
  add(taste?.body, TASTE_SD * tasteFactor, TASTE_TAIL, {
    value: (shot) => shot.body,
    slope: (_, slopes) => slopes.body,
  });
  add(taste?.overall, OVERALL_SD * tasteFactor, TASTE_TAIL, likingPart(OVERALL, wanted));
  add(taste?.sweetness, SWEET_SD * tasteFactor, TASTE_TAIL, likingPart(SWEETNESS, wanted));
  const geometry = geometryOfPour(frame, pour);
  reading.predict = (theta) => {
    const shot = predict(beliefOf(theta, frame), frame, geometry, pour.clock);
    return parts.map((part) => part.value(shot, theta));
  };
  reading.linearise = (theta) => {
    const belief = beliefOf(theta, frame);
    const shot = predict(belief, frame, geometry, pour.clock);
    const slopes = slopesOf(belief, frame, geometry, pour.clock, shot);
    return {
      at: parts.map((part) => part.value(shot, theta)),
      slopes: parts.map((part) => part.slope(shot, slopes, theta)),
    };
  };
  return reading;
}

function geometryOfPour(frame: Frame, pour: Pour): Geometry {
  const settings = { ...pour.measured };
  // A mixture of two settings: about a third of what was ground is still the old grind, give or take.
  if (isMixture(pour)) settings.grind = 0.67 * settings.grind + 0.33 * pour.previousGrind;
  return geometryOf(frame, settings);
}

/** Better or worse than the shot before: a rough reading of how much more it was liked overall. */
function readVerdict(problem: Problem, frame: Frame, before: Pour | undefined, pour: Pour): Reading {
  const isUsable = before !== undefined && pour.versusLast !== null && before.sound && pour.sound;
  const wanted = problem.request.target;
  const geometries = isUsable ? [geometryOfPour(frame, pour), geometryOfPour(frame, before)] : [];
  const clocks = [pour.clock, before?.clock ?? pour.clock];
  const foresee = (theta: Float64Array) => {
    const belief = beliefOf(theta, frame);
    return geometries.map((geometry, i) => {
      const shot = predict(belief, frame, geometry, clocks[i]);
      return { shot, slopes: slopesOf(belief, frame, geometry, clocks[i]!, shot) };
    });
  };
  const part = likingPart(OVERALL, wanted);
  return {
    values: isUsable ? [VERDICT_VALUE[pour.versusLast!]] : [],
    sds: [VERDICT_SD],
    tails: [TASTE_TAIL],
    isTime: [false],
    predict: (theta) => {
      const [now, then] = foresee(theta);
      return [part.value(now!.shot, theta) - part.value(then!.shot, theta)];
    },
    linearise: (theta) => {
      const [now, then] = foresee(theta);
      const earlier = part.slope(then!.shot, then!.slopes, theta);
      return {
        at: [part.value(now!.shot, theta) - part.value(then!.shot, theta)],
        slopes: [part.slope(now!.shot, now!.slopes, theta).map((slope, i) => slope - earlier[i]!)],
      };
    },
  };
}

/** One number of a reading, out of what the model says of the shot, with its derivatives. */
interface Part {
  value(shot: Prediction, theta: Float64Array): number;
  slope(shot: Prediction, slopes: PredictionSlopes, theta: Float64Array): Float64Array;
}

/** Overall or sweetness, by the chain rule through balance and body. */
function likingPart(scale: LikingScale, wanted: { balance: number; body: number }): Part {
  return {
    value: (shot, theta) => liking(scale, theta, shot, wanted).value,
    slope: (shot, slopes, theta) => {
      const { byBalance, byBody, byBest, byLogLoss } = liking(scale, theta, shot, wanted);
      const gradient = slopes.balance.map((slope, i) => byBalance * slope + byBody * slopes.body[i]!);
      gradient[scale.best] = byBest;
      gradient[scale.logLoss] = byLogLoss;
      return gradient;
    },
  };
}

/** What the posterior says of the grinder's slope: change of ln time per unit finer, with its spread. */
export function slopeOf(posterior: Posterior): { mean: number; sd: number } {
  const log = posterior.mean[P.logSlope]!;
  const variance = Math.max(0, posterior.covariance.get(P.logSlope, P.logSlope));
  // Mean and spread of the log-normal, from the puck's time to the whole time.
  const mean = Math.exp(log + variance / 2) * timeElasticity(posterior.mean[P.lead]!, posterior.frame);
  return { mean, sd: mean * Math.sqrt(Math.expm1(variance)) };
}
