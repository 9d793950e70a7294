import type { Outlook, Particles } from './particles';

/** Outcomes imagined for each move. */
const OUTCOMES = 16;

export interface LookAheadInput {
  particles: Particles;
  /** The moves to be judged as the next shot. */
  next: readonly Outlook[];
  /** Where one could stand after it: every setting worth claiming. */
  reachable: readonly Outlook[];
  /** Probability at which a setting may be called dialled. */
  claimAt: number;
  tasteSd: number;
}

/**
 * Expected shots still to pull for each next move, this one included: one, plus what is left after it. What is left is
 * nothing when the shot's outcome would let these settings be claimed, and otherwise grows with the doubt that the best
 * reachable setting still carries.
 *
 * Outcomes (time, balance, body) are imagined from evenly spaced particles with their own noise; each reweights all
 * particles by Gaussian likelihood (importance sampling on the posterior draws), so that a move is judged by what it
 * brings and by what it teaches.
 */
export function shotsToGo(input: LookAheadInput): number[] {
  return input.next.map((move) => 1 + meanShotsAfter(input, move));
}

function meanShotsAfter(input: LookAheadInput, move: Outlook): number {
  const { particles, reachable, claimAt, tasteSd } = input;
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
    const here = weightedShare(move.good, weights, total);
    if (here >= claimAt) continue;
    let best = here;
    for (const place of reachable) best = Math.max(best, weightedShare(place.good, weights, total));
    // Another shot at least, and more the less the best setting is believed in.
    sum += 1 + 2.5 * (1 - best);
  }
  return sum / OUTCOMES;
}

function weightedShare(good: Float64Array, weights: Float64Array, total: number): number {
  let sum = 0;
  for (let i = 0; i < good.length; i += 1) sum += good[i]! * weights[i]!;
  return total > 0 ? sum / total : 0;
}
