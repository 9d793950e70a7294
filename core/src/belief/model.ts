import { clamp } from '../brew/snap';
import type { TimerStart } from '../brew/types';
import type { Settings } from '../contract/answer';
import type { LikingScale } from './likingScale';
import { P } from './parameters';
import type { Problem } from './problem';

/** Seconds a gram takes through pump and tubes alone. */
const PUMP_SECONDS_PER_GRAM = 0.12;
/** Time grows a little slower than yield, because the puck loosens as it dissolves. */
const YIELD_EXPONENT = 0.92;
/** The soak takes longer in a tighter puck, by this power of its resistance. */
export const LEAD_EXPONENT = 0.7;
/**
 * What holds the water back without finer grounds, more coffee or a tighter puck, gives so much of what a finer grind
 * gives to the cup for the same time: finer grounds act twice over, by surface and by contact time [half: assumed].
 */
export const FLOW_SHARE = 0.5;
/** Beyond these the soak and the puck answer no further: guards against overflow and zero, far outside any real shot. */
export const X_REACH = 2;
export const LOG_PUCK_CEILING = 6;
export const LOG_PUCK_FLOOR = -12;
/** Pump-on lead assumed for a shot timed on another clock than the target's. */
const PLAIN_LEAD_SECONDS = 6;

export interface Prediction {
  timeSeconds: number;
  /** The part of the time that the puck's own resistance makes, s: what preparation noise acts on. */
  puckSeconds: number;
  /** On the pump-on (or total-contact) clock. */
  firstDripSeconds: number;
  balance: number;
  body: number;
}

/** Everything about the problem that prediction needs, computed once. */
export interface Frame {
  referenceGrind: number;
  finerSign: 1 | -1;
  doseGrams: number;
  yieldGrams: number;
  ratio: number;
  temperatureC: number;
  middleSeconds: number;
  clock: TimerStart;
}

export function frameOf(problem: Problem): Frame {
  const { target } = problem.request;
  return {
    referenceGrind: problem.start.grind,
    finerSign: problem.finerSign,
    doseGrams: target.doseGrams,
    yieldGrams: target.yieldGrams,
    ratio: target.yieldGrams / target.doseGrams,
    temperatureC: problem.start.temperatureC ?? 93,
    middleSeconds: (target.timeSeconds.min + target.timeSeconds.max) / 2,
    clock: target.timer,
  };
}

/** Settings as the model sees them, free of any belief: computed once for all particles. */
export interface Geometry {
  finer: number;
  logDose: number;
  logRatio: number;
  heat: number;
  effectiveYield: number;
}

export function geometryOf(frame: Frame, settings: Settings): Geometry {
  return {
    finer: frame.finerSign * (settings.grind - frame.referenceGrind),
    logDose: Math.log(settings.doseGrams / frame.doseGrams),
    logRatio: Math.log(settings.yieldGrams / settings.doseGrams / frame.ratio),
    heat: (settings.temperatureC ?? frame.temperatureC) - frame.temperatureC,
    effectiveYield: frame.yieldGrams * (settings.yieldGrams / frame.yieldGrams) ** YIELD_EXPONENT,
  };
}

/** A parameter vector with its logarithms taken off: computed once for all settings. */
export interface Belief {
  logPuck: number;
  slope: number;
  lead: number;
  doseExponent: number;
  /** ln puck seconds per gram that would put the target shot in the window's middle. */
  logPuckAtMiddle: number;
  /** Derivative of −logPuckAtMiddle by lead, 1/s. */
  middleByLead: number;
  balanceAtCentre: number;
  bodyAtCentre: number;
  balanceGrind: number;
  balanceRatio: number;
  heatToGrind: number;
  bodyGrind: number;
  bodyRatio: number;
  overallBest: number;
  overallLoss: number;
  sweetBest: number;
  sweetLoss: number;
}

export function beliefOf(theta: ArrayLike<number>, frame: Frame): Belief {
  const lead = theta[P.lead]!;
  const counted = frame.clock === 'first-drip' ? 0 : 1;
  const perGram = (frame.middleSeconds - counted * lead) / frame.yieldGrams - PUMP_SECONDS_PER_GRAM;
  return {
    logPuck: theta[P.logPuck]!,
    slope: Math.exp(theta[P.logSlope]!),
    lead,
    doseExponent: theta[P.doseExponent]!,
    logPuckAtMiddle: Math.log(Math.max(0.05, perGram)),
    middleByLead: perGram > 0.05 ? counted / frame.yieldGrams / perGram : 0,
    balanceAtCentre: theta[P.balanceAtCentre]!,
    bodyAtCentre: theta[P.bodyAtCentre]!,
    balanceGrind: Math.exp(theta[P.logBalanceGrind]!),
    balanceRatio: Math.exp(theta[P.logBalanceGrind]! + theta[P.logRatioToGrind]!),
    heatToGrind: Math.exp(theta[P.logHeatToGrind]!),
    bodyGrind: theta[P.bodyGrind]!,
    bodyRatio: Math.exp(theta[P.logBodyRatio]!),
    overallBest: theta[P.overallBest]!,
    overallLoss: Math.exp(theta[P.logOverallLoss]!),
    sweetBest: theta[P.sweetBest]!,
    sweetLoss: Math.exp(theta[P.logSweetLoss]!),
  };
}

/**
 * The forward model: what settings bring, without noise.
 *
 * time = lead·e^(0.7·x) + Y·(pump + puck), with puck = exp(logPuck + slope·finer + exponent·ln dose), x the log distance
 * of the puck from the window's middle and Y the yield with exponent 0.92.
 * balance and body are linear in what puck and heat give together (`givenBy`) and in log ratio around the middle.
 */
export function predict(belief: Belief, frame: Frame, geometry: Geometry, clock: TimerStart = frame.clock): Prediction {
  const { finer, logDose, logRatio, effectiveYield } = geometry;
  const logPuck = belief.logPuck + belief.slope * finer + belief.doseExponent * logDose;
  const x = logPuck - belief.logPuckAtMiddle;
  const given = givenBy(x, belief, geometry);
  const soakSeconds = belief.lead * Math.exp(LEAD_EXPONENT * clamp(x, -X_REACH, X_REACH));
  const puckSeconds = secondsInPuck(logPuck, effectiveYield);
  return {
    timeSeconds:
      leadShareOn(clock, frame, soakSeconds) * soakSeconds + effectiveYield * PUMP_SECONDS_PER_GRAM + puckSeconds,
    puckSeconds: puckSeconds + (clock === 'first-drip' ? 0 : LEAD_EXPONENT * soakSeconds),
    firstDripSeconds: soakSeconds,
    balance: belief.balanceAtCentre + belief.balanceGrind * given + belief.balanceRatio * logRatio,
    body: belief.bodyAtCentre + belief.bodyGrind * given - belief.bodyRatio * logRatio,
  };
}

/** What is given to the cup by puck and heat together, as a log distance by grind alone. */
export function givenBy(x: number, belief: Belief, { logDose, heat }: Geometry): number {
  return x - (1 - FLOW_SHARE) * belief.doseExponent * logDose + belief.heatToGrind * heat;
}

/** How much of the soak a clock counts, 0–1. */
export function leadShareOn(clock: TimerStart, frame: Frame, soakSeconds: number): number {
  if (clock === 'first-drip') return 0;
  // A target of total contact counts its pre-brew; a shot timed from pump on without a first drip has the usual lead.
  if (clock === 'pump-on' && frame.clock === 'total-contact') return Math.min(1, PLAIN_LEAD_SECONDS / soakSeconds);
  return 1;
}

/** Seconds that the puck alone takes for this yield, within what numbers can bear. */
export function secondsInPuck(logPuck: number, effectiveYield: number): number {
  return effectiveYield * Math.exp(clamp(logPuck, LOG_PUCK_FLOOR, LOG_PUCK_CEILING));
}

/**
 * How much of a change in the puck shows in the whole time, at the window's middle: d ln(time) / d ln(puck). People
 * measure whole times, so slopes kept with a grinder are of the whole time.
 */
export function timeElasticity(leadMeanSeconds: number, frame: Frame): number {
  const lead = frame.clock === 'first-drip' ? 0 : leadMeanSeconds;
  const puck = frame.middleSeconds - lead - PUMP_SECONDS_PER_GRAM * frame.yieldGrams;
  return Math.max(0.2, (puck + LEAD_EXPONENT * lead) / frame.middleSeconds);
}

interface Cup {
  balance: number;
  body: number;
}

/**
 * Overall and sweetness fall with the distance from the wanted cup: best − loss · (√(off² + w·thick² + 0.04) − 0.2). The
 * root is kept smooth near zero so that the fit has a gradient there.
 */
export function liking(scale: LikingScale, belief: Belief, cup: Cup, wanted: Cup): number {
  return belief[scale.best] - belief[scale.loss] * (rootOf(scale, cup, wanted) - 0.2);
}

/** The derivatives of `liking` by balance, body and the scale's own two parameters. */
export function likingSlopes(
  scale: LikingScale,
  belief: Belief,
  cup: Cup,
  wanted: Cup,
): { byBalance: number; byBody: number; byBest: number; byLogLoss: number } {
  const root = rootOf(scale, cup, wanted);
  const loss = belief[scale.loss];
  return {
    byBalance: (-loss * (cup.balance - wanted.balance)) / root,
    byBody: (-loss * scale.bodyWeight * (cup.body - wanted.body)) / root,
    byBest: 1,
    byLogLoss: -loss * (root - 0.2),
  };
}

function rootOf(scale: LikingScale, cup: Cup, wanted: Cup): number {
  const off = cup.balance - wanted.balance;
  const thick = cup.body - wanted.body;
  return Math.sqrt(off * off + scale.bodyWeight * thick * thick + 0.04);
}
