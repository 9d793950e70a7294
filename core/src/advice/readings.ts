import type { Verdict } from '../brew/types';
import { roomForSlopes, slopesOf, type PredictionSlopes } from './gradients';
import {
  beliefOf,
  geometryOf,
  liking,
  OVERALL,
  predict,
  SWEETNESS,
  type Frame,
  type Geometry,
  type LikingScale,
  type Prediction,
} from './model';
import type { Pour, Problem } from './problem';

/** What one shot measured, with one function that predicts all of it: the pour is brewed once, not once a number. */
export interface Reading {
  values: number[];
  sds: number[];
  /** Degrees of freedom of each Student-t tail: outliers count little. */
  tails: number[];
  /** Seconds, as against points of taste. */
  isTime: boolean[];
  predict(theta: Float64Array): number[];
  /** The same with its derivatives, one row a value; good until the next call. */
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
const TIME_TAIL = 4;
const TASTE_TAIL = 6;

/** Everything the shots measured, shot by shot; those that measured nothing are left out. */
export function readingsOf(problem: Problem, frame: Frame, pours: readonly Pour[]): Reading[] {
  return pours
    .flatMap((pour, i) => [readPour(problem, frame, pour), readVerdict(problem, frame, pours[i - 1], pour)])
    .filter((reading) => reading.values.length > 0);
}

/** Spread of a measured time around its prediction, s. */
export function timeSd(puckSeconds: number): number {
  const puck = PUCK_SD * puckSeconds;
  return Math.sqrt(puck * puck + CLOCK_SD_SECONDS * CLOCK_SD_SECONDS);
}

/** A spread with what measuring by eye adds to it. */
export function withHand(sd: number, handSd: number): number {
  return handSd === 0 ? sd : Math.sqrt(sd * sd + handSd * handSd);
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
  const seconds = pour.timeSeconds ?? 0;
  return doubtOf(pour) * withHand(timeSd(Math.max(5, 0.75 * seconds)), pour.hand.time * seconds);
}

/** Weight of a time whose residual is r standard deviations, by its Student-t tail. */
export function tailWeight(r: number): number {
  return (TIME_TAIL + 1) / (TIME_TAIL + r * r);
}

function readPour(problem: Problem, frame: Frame, pour: Pour): Reading {
  const { taste } = pour;
  const tasteFactor = pour.sound ? 1 : 4;
  const tasteSd = withHand(TASTE_SD, pour.hand.taste) * tasteFactor;
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
  add(taste?.balance, tasteSd, TASTE_TAIL, {
    value: (shot) => shot.balance,
    slope: (_, slopes) => slopes.balance,
  });
  add(taste?.body, tasteSd, TASTE_TAIL, {
    value: (shot) => shot.body,
    slope: (_, slopes) => slopes.body,
  });
  add(taste?.overall, OVERALL_SD * tasteFactor, TASTE_TAIL, likingPart(OVERALL, wanted));
  add(taste?.sweetness, SWEET_SD * tasteFactor, TASTE_TAIL, likingPart(SWEETNESS, wanted));
  const geometry = geometryOfPour(frame, pour);
  const room = roomForSlopes();
  reading.predict = (theta) => {
    const shot = predict(beliefOf(theta, frame), frame, geometry, pour.clock);
    return parts.map((part) => part.value(shot, theta));
  };
  reading.linearise = (theta) => {
    const belief = beliefOf(theta, frame);
    const shot = predict(belief, frame, geometry, pour.clock);
    const slopes = slopesOf(belief, frame, geometry, pour.clock, shot, room);
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
