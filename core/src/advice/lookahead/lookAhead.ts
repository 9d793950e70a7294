import type { Settings } from '../../contract/answer';
import type { Outlook, Particles } from '../../belief/particles';

/** Outcomes imagined for each move. */
const OUTCOMES = 12;
/** Shots that a wrong setting costs, on average, to be found out and fixed. */
const MENDING_SHOTS = 10;
/** What a wrong claim costs, in shots, seen from a shot or two before it: the trust, and beginning again. */
const FALSE_CLAIM_SHOTS = 13;

export interface LookAheadInput {
  particles: Particles;
  /** The moves to be judged as the next shot. */
  next: readonly Outlook[];
  /** Where one could end: settings one, two or three single moves away. */
  goals: readonly Outlook[];
  tasteSd: number;
}

/**
 * Expected shots still to pull for each next move, this one included. After a move and its outcome one does what is
 * cheapest: call these settings dialled (doubt × what a wrong claim costs), or walk, one variable a shot, to the goal
 * with the least of (moves to get there + doubt that it is right × shots a wrong goal costs). There is no level of
 * certainty to be reached: a claim is made when nothing that could still be pulled is worth its shot (optimal
 * stopping). A fixed level made the advice pull for certainty that the next shot could not give.
 *
 * Outcomes (time, balance, body) are imagined from evenly spaced particles with their own noise; each reweights all
 * particles by Gaussian likelihood (importance sampling on the posterior draws), so that a move is judged by what it
 * brings and by what it teaches. Counting the moves to a goal is what looks further than one shot ahead: at a limit or
 * with coarse steps the cup that is wanted is two levers away, and a plan that sees one move only plays for ever.
 */
export function shotsToGo(input: LookAheadInput): number[] {
  return input.next.map((move) => {
    const steps = input.goals.map((goal) => Math.max(1, movesBetween(move.settings, goal.settings)));
    return 1 + meanShotsAfter(input, move, steps);
  });
}

/** Single moves from one setting to another; dose and yield changed in ratio count as one. */
function movesBetween(from: Settings, to: Settings): number {
  const dosed = differs(from.doseGrams, to.doseGrams);
  const poured = differs(from.yieldGrams, to.yieldGrams);
  const inRatio =
    dosed && poured && Math.abs(to.yieldGrams / to.doseGrams / (from.yieldGrams / from.doseGrams) - 1) < 0.01;
  const hotter = from.temperatureC !== null && to.temperatureC !== null && differs(from.temperatureC, to.temperatureC);
  return Number(differs(from.grind, to.grind)) + Number(dosed) + Number(poured && !inRatio) + Number(hotter);
}

function differs(a: number, b: number): boolean {
  return Math.abs(a - b) >= 1e-9;
}

function meanShotsAfter(input: LookAheadInput, move: Outlook, steps: number[]): number {
  const { particles, goals, tasteSd } = input;
  const n = particles.beliefs.length;
  const weights = new Float64Array(n);
  const stride = n / OUTCOMES;
  let sum = 0;
  for (let outcome = 0; outcome < OUTCOMES; outcome += 1) {
    const k = Math.floor(outcome * stride);
    const time = move.timeSeconds[k]! + move.timeSdSeconds[k]! * particles.noise[k]!;
    const balance = move.balance[k]! + tasteSd * particles.noise[(k + 5) % n]!;
    const body = move.body[k]! + tasteSd * particles.noise[(k + 11) % n]!;
    let total = 0;
    for (let i = 0; i < n; i += 1) {
      const a = (time - move.timeSeconds[i]!) / move.timeSdSeconds[i]!;
      const b = (balance - move.balance[i]!) / tasteSd;
      const c = (body - move.body[i]!) / tasteSd;
      const distance = 0.5 * (a * a + b * b + c * c);
      // Below e^-25 a particle has no say; kept, its subnormal weight would slow every sum tenfold.
      const weight = distance > 25 ? 0 : Math.exp(-distance) / move.timeSdSeconds[i]!;
      weights[i] = weight;
      total += weight;
    }
    let least = FALSE_CLAIM_SHOTS * (1 - weightedShare(move.good, weights, total));
    for (let g = 0; g < goals.length; g += 1) {
      // A goal no nearer than the best so far cannot win, however sure.
      if (steps[g]! >= least) continue;
      const doubt = 1 - weightedShare(goals[g]!.good, weights, total);
      least = Math.min(least, steps[g]! + MENDING_SHOTS * doubt);
    }
    sum += least;
  }
  return sum / OUTCOMES;
}

function weightedShare(good: Float64Array, weights: Float64Array, total: number): number {
  let sum = 0;
  for (let i = 0; i < good.length; i += 1) sum += good[i]! * weights[i]!;
  return total > 0 ? sum / total : 0;
}
