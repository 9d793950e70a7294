import type { Verdict } from '../brew/types';
import { faultOf, type Fault } from './fault';
import { roomForSlopes, slopesOf, type PredictionSlopes } from './gradients';
import { OVERALL, SWEETNESS, type LikingScale } from './likingScale';
import {
  geometryOf,
  liking,
  likingSlopes,
  predict,
  type Belief,
  type Frame,
  type Geometry,
  type Prediction,
} from './model';
import type { Pour } from './pour';
import type { Problem } from './problem';
import { addStray, addStraySlopes } from './stray';

/** What one shot measured, with one function that predicts all of it: the pour is brewed once, not once a number. */
export interface Reading {
  values: number[];
  sds: number[];
  /** Degrees of freedom of each Student-t tail: outliers count little. */
  tails: number[];
  /** Seconds, as against points of taste. */
  isTime: boolean[];
  /** What a belief says of every value; the room is the reading's own, good until the next call. */
  predict(belief: Belief): Float64Array;
  /** The same with its derivatives, one row a value; good until the next call. */
  linearise(belief: Belief): { at: Float64Array; slopes: Float64Array[] };
}

/** Puck preparation moves the puck's part of the time by about 5 %; hand and clock add half a second. */
export const PUCK_SD = 0.06;
const CLOCK_SD_SECONDS = 0.5;
/** Without a clock: about so much of the window's beginning where it gushed, of its end where it only dripped, and the spread [assumption]. */
const GUSHED = { mean: 0.65, sd: 0.16 };
const DRIPPED = { mean: 1.5, sd: 0.2 };
/** A tongue reports to ±0.4 in halves, and the puck's own stray of 5 % moves the cup by ±0.2. */
export const TASTE_SD = 0.46;
/** The same where a clock told how far the puck strayed. */
const TIMED_TASTE_SD = 0.44;
const OVERALL_SD = 0.65;
const SWEET_SD = 0.68;
/** "Better" is about a point of overall liking, give or take as much as two tongues' errors together. */
const VERDICT_VALUE: Record<Verdict, number> = { better: 1, same: 0, worse: -1 };
const VERDICT_SD = 0.9;
const TIME_TAIL = 4;
/** A tongue strays hardly further than a Gaussian: with longer tails a cup called far off was believed less than one called off. */
const TASTE_TAIL = 20;

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
export function isMixture(pour: Pour): boolean {
  return !pour.purged && pour.previousGrind !== pour.measured.grind;
}

/** How much wider than usual a shot's time scatters: a mixture of grinds, a channel, a cold group, another hour. */
function doubtOf(pour: Pour): number {
  return (isMixture(pour) ? 1.8 : 1) * faultOf(pour).timeDoubt * (pour.stale ? 3 : 1);
}

/**
 * Spread of a shot's time as measured, s. It scales with the measured time: with the predicted one the fit could buy a
 * small residual with a large spread.
 */
export function measuredTimeSd(pour: Pour): number {
  const seconds = pour.clockSeconds ?? 0;
  return doubtOf(pour) * withHand(timeSd(Math.max(5, 0.75 * seconds)), pour.hand.time * seconds);
}

/** Weight of a time whose residual is r standard deviations, by its Student-t tail. */
export function tailWeight(r: number): number {
  return (TIME_TAIL + 1) / (TIME_TAIL + r * r);
}

function readPour(problem: Problem, frame: Frame, pour: Pour): Reading {
  const { taste } = pour;
  const markFactor = (pour.sound ? 1 : 4) * (pour.stale ? 2 : 1);
  // What a channel, old grounds or another hour did to the time says nothing of this puck.
  const ownSeconds = pour.sound && !pour.stale && !isMixture(pour) ? pour.clockSeconds : null;
  const tongueSd = ownSeconds === null ? TASTE_SD : TIMED_TASTE_SD;
  const fault = faultOf(pour);
  const wordSd = Math.hypot(withHand(tongueSd, pour.hand.taste), fault.tasteSd) * (pour.stale ? 2 : 1);
  const wanted = problem.request.target;
  const reading: Reading = {
    values: [],
    sds: [],
    tails: [],
    isTime: [],
    predict: () => new Float64Array(0),
    linearise: () => ({ at: new Float64Array(0), slopes: [] }),
  };
  const parts: Part[] = [];
  const add = (value: number | null | undefined, sd: number, part: Part): void => {
    if (value == null) return;
    const isTime = part === 'time' || part === 'drip';
    reading.values.push(value);
    reading.sds.push(sd);
    reading.tails.push(isTime ? TIME_TAIL : TASTE_TAIL);
    reading.isTime.push(isTime);
    parts.push(part);
  };
  const glimpsed = pour.clockSeconds === null ? glimpsedTime(problem, pour) : null;
  add(pour.clockSeconds ?? glimpsed?.mean, glimpsed?.sd ?? measuredTimeSd(pour), 'time');
  if (frame.clock !== 'first-drip') add(pour.firstDripSeconds, 1.2 * doubtOf(pour), 'drip');
  add(taste?.balance, wordSd, 'balance');
  add(taste?.body, wordSd, 'body');
  add(taste?.overall, OVERALL_SD * markFactor, 'overall');
  add(taste?.sweetness, SWEET_SD * markFactor, 'sweetness');
  const geometry = geometryOfPour(frame, pour);
  const room = roomForSlopes();
  const at = new Float64Array(parts.length);
  const foresee = (belief: Belief): Prediction => {
    const shot = predict(belief, frame, geometry, pour.clock);
    if (ownSeconds !== null) addStray(shot, belief, ownSeconds);
    for (let n = 0; n < parts.length; n += 1) at[n] = valueOf(parts[n]!, shot, belief, wanted, fault);
    return shot;
  };
  reading.predict = (belief) => {
    foresee(belief);
    return at;
  };
  reading.linearise = (belief) => {
    const shot = foresee(belief);
    const slopes = slopesOf(belief, frame, geometry, pour.clock, shot, room);
    if (ownSeconds !== null) addStraySlopes(slopes, shot, belief, ownSeconds);
    return { at, slopes: parts.map((part) => slopeOf(part, shot, slopes, belief, wanted, fault)) };
  };
  return reading;
}

/** What an eye makes of a shot nobody timed: far too fast where it gushed, far too slow where it only dripped; mean and spread, s. */
function glimpsedTime({ request }: Problem, { seen }: Pour): { mean: number; sd: number } | null {
  const { min, max } = request.target.timeSeconds;
  if (seen.includes('gushing')) return { mean: GUSHED.mean * min, sd: GUSHED.sd * min };
  return seen.includes('dripping') ? { mean: DRIPPED.mean * max, sd: DRIPPED.sd * max } : null;
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
  const foresee = (belief: Belief) =>
    geometries.map((geometry, i) => {
      const shot = predict(belief, frame, geometry, clocks[i]);
      return { shot, slopes: slopesOf(belief, frame, geometry, clocks[i]!, shot) };
    });
  const at = new Float64Array(1);
  return {
    values: isUsable ? [VERDICT_VALUE[pour.versusLast!]] : [],
    sds: [VERDICT_SD],
    tails: [TASTE_TAIL],
    isTime: [false],
    predict: (belief) => {
      const [now, then] = geometries.map((geometry, i) => predict(belief, frame, geometry, clocks[i]));
      at[0] = liking(OVERALL, belief, now!, wanted) - liking(OVERALL, belief, then!, wanted);
      return at;
    },
    linearise: (belief) => {
      const [now, then] = foresee(belief);
      at[0] = liking(OVERALL, belief, now!.shot, wanted) - liking(OVERALL, belief, then!.shot, wanted);
      const earlier = likingGradient(OVERALL, then!.shot, then!.slopes, belief, wanted);
      const later = likingGradient(OVERALL, now!.shot, now!.slopes, belief, wanted);
      return { at, slopes: [later.map((slope, i) => slope - earlier[i]!)] };
    },
  };
}

/** One number of a reading. */
type Part = 'time' | 'drip' | 'balance' | 'body' | 'overall' | 'sweetness';
type Wanted = { balance: number; body: number };

/** What the model says of one number; a switch rather than a closure a number, because this is asked a hundred thousand times. */
function valueOf(part: Part, shot: Prediction, belief: Belief, wanted: Wanted, fault: Fault): number {
  switch (part) {
    case 'time':
      return shot.timeSeconds * fault.speed;
    case 'drip':
      return shot.firstDripSeconds;
    case 'balance':
      return shot.balance + fault.balance;
    case 'body':
      return shot.body + fault.body;
    case 'overall':
      return liking(OVERALL, belief, shot, wanted);
    case 'sweetness':
      return liking(SWEETNESS, belief, shot, wanted);
  }
}

function slopeOf(
  part: Part,
  shot: Prediction,
  slopes: PredictionSlopes,
  belief: Belief,
  wanted: Wanted,
  fault: Fault,
): Float64Array {
  switch (part) {
    case 'time':
      return fault.speed === 1 ? slopes.timeSeconds : slopes.timeSeconds.map((slope) => slope * fault.speed);
    case 'drip':
      return slopes.firstDripSeconds;
    case 'balance':
      return slopes.balance;
    case 'body':
      return slopes.body;
    case 'overall':
      return likingGradient(OVERALL, shot, slopes, belief, wanted);
    case 'sweetness':
      return likingGradient(SWEETNESS, shot, slopes, belief, wanted);
  }
}

/** Overall or sweetness, by the chain rule through balance and body. */
function likingGradient(
  scale: LikingScale,
  shot: Prediction,
  slopes: PredictionSlopes,
  belief: Belief,
  wanted: Wanted,
): Float64Array {
  const { byBalance, byBody, byBest, byLogLoss } = likingSlopes(scale, belief, shot, wanted);
  const gradient = slopes.balance.map((slope, i) => byBalance * slope + byBody * slopes.body[i]!);
  gradient[scale.atBest] = byBest;
  gradient[scale.atLogLoss] = byLogLoss;
  return gradient;
}
