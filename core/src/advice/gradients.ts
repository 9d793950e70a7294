import type { TimerStart } from '../brew/types';
import {
  LEAD_EXPONENT,
  leadShareOn,
  LOG_PUCK_CEILING,
  P,
  PARAMETERS,
  X_REACH,
  type Belief,
  type Frame,
  type Geometry,
  type Prediction,
} from './model';

/** Constants of this module: imported bindings in the innermost loops cost a look-up each time. */
const N = PARAMETERS;
const AT = P;

/** Derivatives of a prediction by every parameter; same order as the vector. */
export interface PredictionSlopes {
  timeSeconds: Float64Array;
  firstDripSeconds: Float64Array;
  balance: Float64Array;
  body: Float64Array;
}

/**
 * Exact derivatives of `predict` by the parameter vector. A test holds them against finite differences of `predict`
 * itself, because two forms of one formula drift apart otherwise.
 * @param shot what `predict` gave for the same arguments
 */
export function slopesOf(
  belief: Belief,
  frame: Frame,
  geometry: Geometry,
  clock: TimerStart,
  shot: Prediction,
): PredictionSlopes {
  const { finer, logDose, logRatio, heat, effectiveYield } = geometry;
  const logPuck = belief.logPuck + belief.slope * finer + belief.doseExponent * logDose;
  const x = logPuck - belief.logPuckAtMiddle;
  const dLogPuck = new Float64Array(N);
  dLogPuck[AT.logPuck] = 1;
  dLogPuck[AT.logSlope] = belief.slope * finer;
  dLogPuck[AT.doseExponent] = logDose;
  const dX = Float64Array.from(dLogPuck);
  dX[AT.lead] = belief.middleByLead;

  const puckSeconds = effectiveYield * Math.exp(Math.min(LOG_PUCK_CEILING, logPuck));
  const puckFollows = logPuck < LOG_PUCK_CEILING ? puckSeconds : 0;
  const soakFollows = Math.abs(x) < X_REACH ? LEAD_EXPONENT * shot.firstDripSeconds : 0;
  const leadShare = leadShareOn(clock, frame, shot.firstDripSeconds);
  const slopes: PredictionSlopes = {
    timeSeconds: new Float64Array(N),
    firstDripSeconds: new Float64Array(N),
    balance: new Float64Array(N),
    body: new Float64Array(N),
  };
  for (let i = 0; i < AT.balanceAtCentre; i += 1) {
    const soak = soakFollows * dX[i]! + (i === AT.lead ? shot.firstDripSeconds / belief.lead : 0);
    slopes.firstDripSeconds[i] = soak;
    slopes.timeSeconds[i] = leadShare * soak + puckFollows * dLogPuck[i]!;
    slopes.balance[i] = belief.balanceGrind * dX[i]!;
    slopes.body[i] = belief.bodyGrind * dX[i]!;
  }
  slopes.balance[AT.balanceAtCentre] = 1;
  slopes.balance[AT.logBalanceGrind] = belief.balanceGrind * x;
  slopes.balance[AT.logBalanceRatio] = belief.balanceRatio * logRatio;
  slopes.balance[AT.logBalanceHeat] = belief.balanceHeat * heat;
  slopes.body[AT.bodyAtCentre] = 1;
  slopes.body[AT.bodyGrind] = x;
  slopes.body[AT.logBodyRatio] = -belief.bodyRatio * logRatio;
  return slopes;
}
