import type { TimerStart } from '../brew/types';
import {
  FLOW_SHARE,
  givenBy,
  LEAD_EXPONENT,
  leadShareOn,
  LOG_PUCK_CEILING,
  LOG_PUCK_FLOOR,
  secondsInPuck,
  X_REACH,
  type Belief,
  type Frame,
  type Geometry,
  type Prediction,
} from './model';
import { P, PARAMETERS } from './parameters';

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

/** Room for one reading's derivatives: filled again at every step of a fit, because small typed arrays are dear to make. */
export function roomForSlopes(): PredictionSlopes {
  return {
    timeSeconds: new Float64Array(N),
    firstDripSeconds: new Float64Array(N),
    balance: new Float64Array(N),
    body: new Float64Array(N),
  };
}

/**
 * Exact derivatives of `predict` by the parameter vector. A test holds them against finite differences of `predict`
 * itself, because two forms of one formula drift apart otherwise.
 * @param shot what `predict` gave for the same arguments
 * @param room is overwritten and returned; the same entries are written every time, so it needs no clearing
 */
export function slopesOf(
  belief: Belief,
  frame: Frame,
  geometry: Geometry,
  clock: TimerStart,
  shot: Prediction,
  room: PredictionSlopes = roomForSlopes(),
): PredictionSlopes {
  const { finer, logDose, logRatio, heat, effectiveYield } = geometry;
  const logPuck = belief.logPuck + belief.slope * finer + belief.doseExponent * logDose;
  const x = logPuck - belief.logPuckAtMiddle;
  const puckFollows =
    logPuck < LOG_PUCK_CEILING && logPuck > LOG_PUCK_FLOOR ? secondsInPuck(logPuck, effectiveYield) : 0;
  const soakFollows = Math.abs(x) < X_REACH ? LEAD_EXPONENT * shot.firstDripSeconds : 0;
  const leadShare = leadShareOn(clock, frame, shot.firstDripSeconds);
  /** One parameter that acts through the puck: its derivatives of logPuck, of x, of the soak beside these, and of the cup. */
  const through = (i: number, dLogPuck: number, dX: number, ownSoak: number, dGiven = dX): void => {
    const soak = soakFollows * dX + ownSoak;
    room.firstDripSeconds[i] = soak;
    room.timeSeconds[i] = leadShare * soak + puckFollows * dLogPuck;
    room.balance[i] = belief.balanceGrind * dGiven;
    room.body[i] = belief.bodyGrind * dGiven;
  };
  const bySlope = belief.slope * finer;
  through(AT.logPuck, 1, 1, 0);
  through(AT.logSlope, bySlope, bySlope, 0);
  through(AT.doseExponent, logDose, logDose, 0, FLOW_SHARE * logDose);
  through(AT.lead, 0, belief.middleByLead, shot.firstDripSeconds / belief.lead);
  room.balance[AT.balanceAtCentre] = 1;
  const given = givenBy(x, belief, geometry);
  const byRatio = belief.balanceRatio * logRatio;
  const byHeat = belief.heatToGrind * heat;
  room.balance[AT.logBalanceGrind] = belief.balanceGrind * given + byRatio;
  room.balance[AT.logRatioToGrind] = byRatio;
  room.balance[AT.logHeatToGrind] = belief.balanceGrind * byHeat;
  room.body[AT.logHeatToGrind] = belief.bodyGrind * byHeat;
  room.body[AT.bodyAtCentre] = 1;
  room.body[AT.bodyGrind] = given;
  room.body[AT.logBodyRatio] = -belief.bodyRatio * logRatio;
  return room;
}
