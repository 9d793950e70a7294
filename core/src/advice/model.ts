import type { TimerStart } from '../brew/types';
import type { Settings } from './answer';
import type { Problem } from './problem';

/**
 * Parameters of the response model, as one flat vector so that inference is plain linear algebra. Those that must be
 * positive are kept as logarithms. See docs/model.md for the meaning and source of every prior.
 */
export const P = {
  /** ln puck seconds per gram at the reference settings. */
  logPuck: 0,
  /** ln of the change in logPuck for one unit finer. */
  logSlope: 1,
  /** Pump on → first drip at the window's middle, s. */
  lead: 2,
  /** Exponent of dose in the puck's resistance. */
  doseExponent: 3,
  /** Balance and body at the window's middle with target ratio and temperature. */
  balanceAtCentre: 4,
  bodyAtCentre: 5,
  /** ln of balance gained per unit of log time from grind, per unit of log ratio, per °C. */
  logBalanceGrind: 6,
  logBalanceRatio: 7,
  logBalanceHeat: 8,
  /** Body gained per unit of log time from grind; ln of body lost per unit of log ratio. */
  bodyGrind: 9,
  logBodyRatio: 10,
  /** Overall and sweetness of a perfect shot and ln of what a unit of distance costs. */
  overallBest: 11,
  logOverallLoss: 12,
  sweetBest: 13,
  logSweetLoss: 14,
} as const;
export const PARAMETERS = 15;

/** Seconds a gram takes through pump and tubes alone. */
const PUMP_SECONDS_PER_GRAM = 0.12;
/** Time grows a little slower than yield, because the puck loosens as it dissolves. */
const YIELD_EXPONENT = 0.92;
/** The soak takes longer in a tighter puck, by this power of its resistance. */
const LEAD_EXPONENT = 0.3;
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
  balanceAtCentre: number;
  bodyAtCentre: number;
  balanceGrind: number;
  balanceRatio: number;
  balanceHeat: number;
  bodyGrind: number;
  bodyRatio: number;
}

export function beliefOf(theta: ArrayLike<number>, frame: Frame): Belief {
  const lead = theta[P.lead]!;
  const perGram =
    (frame.middleSeconds - (frame.clock === 'first-drip' ? 0 : lead)) / frame.yieldGrams - PUMP_SECONDS_PER_GRAM;
  return {
    logPuck: theta[P.logPuck]!,
    slope: Math.exp(theta[P.logSlope]!),
    lead,
    doseExponent: theta[P.doseExponent]!,
    logPuckAtMiddle: Math.log(Math.max(0.05, perGram)),
    balanceAtCentre: theta[P.balanceAtCentre]!,
    bodyAtCentre: theta[P.bodyAtCentre]!,
    balanceGrind: Math.exp(theta[P.logBalanceGrind]!),
    balanceRatio: Math.exp(theta[P.logBalanceRatio]!),
    balanceHeat: Math.exp(theta[P.logBalanceHeat]!),
    bodyGrind: theta[P.bodyGrind]!,
    bodyRatio: Math.exp(theta[P.logBodyRatio]!),
  };
}

/**
 * The forward model: what settings bring, without noise.
 *
 * time = lead·e^(0.3·x) + Y·(pump + puck), with puck = exp(logPuck + slope·finer + exponent·ln dose), x the log distance
 * of the puck from the window's middle and Y the yield with exponent 0.92.
 * balance and body are linear in x, log ratio and °C around the window's middle.
 */
export function predict(belief: Belief, frame: Frame, geometry: Geometry, clock: TimerStart = frame.clock): Prediction {
  const { finer, logDose, logRatio, heat, effectiveYield } = geometry;
  const logPuck = belief.logPuck + belief.slope * finer + belief.doseExponent * logDose;
  const x = logPuck - belief.logPuckAtMiddle;
  const soakSeconds = belief.lead * Math.exp(LEAD_EXPONENT * clampLog(x));
  const puckSeconds = effectiveYield * Math.exp(Math.min(6, logPuck));
  return {
    timeSeconds: leadOn(clock, frame, soakSeconds) + effectiveYield * PUMP_SECONDS_PER_GRAM + puckSeconds,
    puckSeconds,
    firstDripSeconds: soakSeconds,
    balance:
      belief.balanceAtCentre + belief.balanceGrind * x + belief.balanceRatio * logRatio + belief.balanceHeat * heat,
    body: belief.bodyAtCentre + belief.bodyGrind * x - belief.bodyRatio * logRatio,
  };
}

function leadOn(clock: TimerStart, frame: Frame, soakSeconds: number): number {
  if (clock === 'first-drip') return 0;
  // A target of total contact counts its pre-brew; a shot timed from pump on without a first drip has the usual lead.
  if (clock === 'pump-on' && frame.clock === 'total-contact') return Math.min(soakSeconds, PLAIN_LEAD_SECONDS);
  return soakSeconds;
}

function clampLog(x: number): number {
  return Math.min(2, Math.max(-2, x));
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

/**
 * Overall and sweetness fall with the distance from the wanted cup. The root of a squared distance is kept smooth near
 * zero so that the fit has a gradient there.
 */
export function predictLiking(
  theta: ArrayLike<number>,
  cup: { balance: number; body: number },
  wanted: { balance: number; body: number },
): { overall: number; sweetness: number } {
  const off = cup.balance - wanted.balance;
  const thick = cup.body - wanted.body;
  const away = Math.sqrt(off * off + 0.5 * thick * thick + 0.04) - 0.2;
  const sour = Math.sqrt(off * off + 0.1 * thick * thick + 0.04) - 0.2;
  return {
    overall: theta[P.overallBest]! - Math.exp(theta[P.logOverallLoss]!) * away,
    sweetness: theta[P.sweetBest]! - Math.exp(theta[P.logSweetLoss]!) * sour,
  };
}
