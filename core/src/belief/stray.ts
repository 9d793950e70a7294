import type { PredictionSlopes } from './gradients';
import { FLOW_SHARE, type Belief, type Prediction } from './model';
import { P } from './parameters';

/** So much of what a time strays from its prediction is the puck's, the rest the clock's and the hand's. */
const OWN_SHARE = 0.9;
/** Beyond this, in ln of the puck's resistance, a stray is some other fault and says no more of the cup. */
const REACH = 0.15;

/**
 * A puck that held the water back longer than its settings do gave more into the cup, too. What a shot's time strays by is
 * measured, so its cup is read as that puck's, not as the settings': the prediction's balance and body are moved along.
 * Overwrites `shot`.
 */
export function addStray(shot: Prediction, belief: Belief, timeSeconds: number): void {
  const flow = FLOW_SHARE * strayOf(shot, timeSeconds);
  shot.balance += belief.balanceGrind * flow;
  shot.body += belief.bodyGrind * flow;
}

/** The same in the derivatives; that the puck's own seconds change with the parameters is left out, being of second order. */
export function addStraySlopes(slopes: PredictionSlopes, shot: Prediction, belief: Belief, timeSeconds: number): void {
  const stray = strayOf(shot, timeSeconds);
  const follows = (1 - (stray / REACH) ** 2) ** 1.5;
  for (let i = 0; i < slopes.timeSeconds.length; i += 1) {
    const flow = (-FLOW_SHARE * OWN_SHARE * follows * slopes.timeSeconds[i]!) / shot.puckSeconds;
    slopes.balance[i]! += belief.balanceGrind * flow;
    slopes.body[i]! += belief.bodyGrind * flow;
  }
  slopes.balance[P.logBalanceGrind]! += belief.balanceGrind * FLOW_SHARE * stray;
  slopes.body[P.bodyGrind]! += FLOW_SHARE * stray;
}

/** Stray of the puck in ln of its resistance, from the time's; it saturates smoothly. */
function strayOf(shot: Prediction, timeSeconds: number): number {
  const stray = (OWN_SHARE * (timeSeconds - shot.timeSeconds)) / shot.puckSeconds;
  // A root instead of a hyperbolic tangent: this is asked ten thousand times an answer.
  return stray / Math.sqrt(1 + (stray / REACH) ** 2);
}
