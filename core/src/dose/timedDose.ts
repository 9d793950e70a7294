import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** One weighed dose of a timed grinder. */
export interface TimedWeighing {
  seconds: number;
  grams: number;
  grind: number;
  /** How old it is, days: hoppers and weather move on. 0 when absent. */
  ageDays?: number;
}

export interface TimedGrinder {
  finer: 'lower' | 'higher';
  /** Change of ln shot time for one unit finer, as far as it is known. */
  logTimePerUnit: number;
}

/** dose = rate · e^(−k·finer) · (seconds − lag). */
export interface DoseLaw {
  /** g/s at `atGrind`. */
  gramsPerSecond: number;
  lagSeconds: number;
  /** How much the rate falls for one unit finer, in ln. */
  logRatePerFiner: number;
  atGrind: number;
  finer: 'lower' | 'higher';
}

/** The law fitted to a grinder's own weighings. */
export interface TimedDoseModel extends DoseLaw {
  weighings: number;
  /** Covariance of (ln rate, lag, k), row by row. */
  covariance: number[];
}

export interface DoseForecast {
  grams: number;
  /** What the model does not know yet, without the grinder's own scatter. */
  sdGrams: number;
}

/** Scatter from dose to dose of a filled timed grinder: an eighth of a gram and half a percent (ordinary practice). */
const DOSE_SD_GRAMS = 0.12;
const DOSE_SD_SHARE = 0.005;
/** A weighing this old counts half as sure. */
const FADING_DAYS = 14;
/**
 * Before any weighing: espresso grinders give 1.5–8 g/s, run up for about a third of a second, and give less the finer
 * they stand, at somewhat under half the rate at which the shot gets longer.
 */
const LOG_RATE = { mean: Math.log(4), sd: 0.8 };
const LAG = { mean: 0.35, sd: 0.15 };
const RATE_PER_SLOPE = { mean: 0.45, share: 0.55 };
const ITERATIONS = 12;
/** Below this the next dose is predicted well enough, g. */
const SURE_GRAMS = 0.2;

/**
 * Fits the dose law by Gauss–Newton on the log-normal prior above; one weighing is enough to start.
 * @returns null without a single weighing
 */
export function fitTimedDose(grinder: TimedGrinder, weighings: readonly TimedWeighing[]): TimedDoseModel | null {
  const usable = weighings.filter(({ seconds, grams }) => seconds > 0 && grams > 0);
  const newest = usable.at(-1);
  if (!newest) return null;
  const sign = grinder.finer === 'higher' ? 1 : -1;
  const k0 = RATE_PER_SLOPE.mean * grinder.logTimePerUnit;
  const prior = { mean: [LOG_RATE.mean, LAG.mean, k0], sd: [LOG_RATE.sd, LAG.sd, RATE_PER_SLOPE.share * k0 + 1e-6] };
  const first = Math.log(newest.grams / Math.max(0.2, newest.seconds - LAG.mean));
  let theta = [first, LAG.mean, k0];
  let precision = new Matrix(3, 3);
  for (let iteration = 0; iteration < ITERATIONS; iteration += 1) {
    precision = Matrix.diag(prior.sd.map((sd) => sd ** -2));
    const pull = prior.mean.map((mean, i) => (mean - theta[i]!) / prior.sd[i]! ** 2);
    for (const weighing of usable) {
      const finer = sign * (weighing.grind - newest.grind);
      const running = Math.max(0.05, weighing.seconds - theta[1]!);
      const rate = Math.exp(theta[0]! - theta[2]! * finer);
      const slopes = [rate * running, -rate, -finer * rate * running];
      const weight = spreadOf(weighing) ** -2;
      const miss = weighing.grams - rate * running;
      for (let i = 0; i < 3; i += 1) {
        pull[i]! += weight * slopes[i]! * miss;
        for (let j = 0; j < 3; j += 1) precision.set(i, j, precision.get(i, j) + weight * slopes[i]! * slopes[j]!);
      }
    }
    const step = new CholeskyDecomposition(symmetric(precision)).solve(Matrix.columnVector(pull)).getColumn(0);
    // A third of the way at most in ln rate: one wild weighing must not throw the fit.
    const damp = Math.min(1, 0.7 / Math.max(1e-9, Math.abs(step[0]!)));
    theta = theta.map((value, i) => value + damp * step[i]!);
    if (Math.max(...step.map(Math.abs)) < 1e-8) break;
  }
  const covariance = new CholeskyDecomposition(symmetric(precision)).solve(Matrix.eye(3));
  return {
    gramsPerSecond: Math.exp(theta[0]!),
    lagSeconds: theta[1]!,
    logRatePerFiner: theta[2]!,
    atGrind: newest.grind,
    finer: grinder.finer,
    weighings: usable.length,
    covariance: covariance.to1DArray(),
  };
}

/** What the grinder will give in these seconds at this setting; without a covariance the doubt is unknown and 0. */
export function predictDose(
  model: DoseLaw & { covariance?: number[] },
  at: { seconds: number; grind: number },
): DoseForecast {
  const finer = finerOf(model, at.grind);
  const rate = model.gramsPerSecond * Math.exp(-model.logRatePerFiner * finer);
  const running = Math.max(0, at.seconds - model.lagSeconds);
  const slopes = [rate * running, -rate, -finer * rate * running];
  let variance = 0;
  const { covariance } = model;
  if (covariance) slopes.forEach((a, i) => slopes.forEach((b, j) => (variance += a * b * covariance[3 * i + j]!)));
  return { grams: rate * running, sdGrams: Math.sqrt(Math.max(0, variance)) };
}

/** How long to grind for a dose at this setting, s. */
export function secondsForDose(model: DoseLaw, wanted: { doseGrams: number; grind: number }): number {
  const rate = model.gramsPerSecond * Math.exp(-model.logRatePerFiner * finerOf(model, wanted.grind));
  return Math.max(0.1, model.lagSeconds + wanted.doseGrams / rate);
}

export interface WeighOnceMore {
  worthIt: boolean;
  /** 19 of 20 doses will lie within this of the wanted one, the grinder's own scatter included, g. */
  withinGrams: number;
}

/** Is another weighing worth its coffee? Yes while the law itself is vaguer than the dose from shot to shot. */
export function weighOnceMore(model: TimedDoseModel, wanted: { doseGrams: number; grind: number }): WeighOnceMore {
  const seconds = secondsForDose(model, wanted);
  const { sdGrams } = predictDose(model, { seconds, grind: wanted.grind });
  const scatter = Math.hypot(DOSE_SD_GRAMS, DOSE_SD_SHARE * wanted.doseGrams);
  return { worthIt: sdGrams > SURE_GRAMS, withinGrams: 1.96 * Math.hypot(sdGrams, scatter) };
}

export type Creep = 'up' | 'down' | null;

/**
 * Whether the dose wanders at an unchanged grind time and setting: the last three doses or more all on one side of what
 * they were, by a quarter of a gram and by more than chance. Up means the grind has in effect gone coarser: correct the
 * grind first, the time second.
 */
export function doseCreep(weighings: readonly TimedWeighing[]): Creep {
  const last = weighings.at(-1);
  if (!last) return null;
  const same = weighings.filter(({ seconds, grind }) => seconds === last.seconds && grind === last.grind);
  if (same.length < 6) return null;
  const recent = same.slice(-3).map(({ grams }) => grams);
  const earlier = same.slice(0, -3).map(({ grams }) => grams);
  const before = meanOf(earlier);
  const shift = meanOf(recent) - before;
  const chance = Math.hypot(DOSE_SD_GRAMS, DOSE_SD_SHARE * before) * Math.sqrt(1 / recent.length + 1 / earlier.length);
  const oneSide = recent.every((grams) => Math.sign(grams - before) === Math.sign(shift));
  if (!oneSide || Math.abs(shift) < Math.max(0.25, 2.5 * chance)) return null;
  return shift > 0 ? 'up' : 'down';
}

function finerOf(model: DoseLaw, grind: number): number {
  return (model.finer === 'higher' ? 1 : -1) * (grind - model.atGrind);
}

function spreadOf({ grams, ageDays = 0 }: TimedWeighing): number {
  return Math.hypot(DOSE_SD_GRAMS, DOSE_SD_SHARE * grams) * (1 + Math.max(0, ageDays) / FADING_DAYS);
}

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Rounding leaves the two halves a bit apart; the Cholesky routine insists on exact symmetry. */
function symmetric(matrix: Matrix): Matrix {
  return Matrix.add(matrix, matrix.transpose()).mul(0.5);
}
