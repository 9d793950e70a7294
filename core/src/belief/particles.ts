import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { createRandom, drawNormal } from '../puck/random';
import type { Expectation, Interval, Settings } from '../contract/answer';
import { drawFrom } from './draws';
import { type Posterior } from './infer';
import { timeSd, withHand } from './readings';
import { beliefOf, geometryOf, predict, type Belief } from './model';
import type { Mixture } from './mixture';
import { GRACE_SECONDS, type Problem } from './problem';

/** Draws from the posterior; more would not change a choice, only its decimals. */
export const PARTICLES = 144;

/** About one shot in twelve finds a channel and runs this much faster: predicting must allow for it. */
const CHANNEL_EVERY = 12;
const CHANNEL_HASTE = 0.85;

export interface Particles {
  beliefs: Belief[];
  /** Standard normal draws for the next shot's own noise, one a particle. */
  noise: Float64Array;
}

/** Draws from both stories by their shares, reproducibly from the seed; the noise of the next shot comes in mirror pairs. */
export function drawParticles({ anywhere, kept, keptShare }: Mixture, seed: string): Particles {
  const random = createRandom(seed);
  const keptCount = Math.round(PARTICLES * keptShare);
  const ofKept = drawFrom(kept, keptCount, random, keptShare);
  const ofAnywhere = drawFrom(anywhere, PARTICLES - keptCount, random, 1 - keptShare);
  const noise = new Float64Array(PARTICLES);
  for (let k = 0; k < PARTICLES; k += 2) {
    noise[k] = drawNormal(random, 0, 1);
    noise[k + 1] = -noise[k]!;
  }
  const beliefs = Array.from({ length: PARTICLES }, (_, k) => {
    // Spread evenly among the others, because the look ahead imagines its outcomes from every n-th particle.
    const isKept = Math.floor(((k + 1) * keptCount) / PARTICLES) > Math.floor((k * keptCount) / PARTICLES);
    const theta = (isKept ? ofKept : ofAnywhere).pop()!;
    return beliefOf(theta, anywhere.frame);
  });
  return { beliefs, noise };
}

/** What every particle says of one setting. */
export interface Outlook {
  settings: Settings;
  timeSeconds: Float64Array;
  timeSdSeconds: Float64Array;
  balance: Float64Array;
  body: Float64Array;
  /** 1 where the noise-free shot is in the window; and where it is also the wanted cup. */
  inWindow: Float64Array;
  good: Float64Array;
  medianTimeSeconds: number;
  windowShare: number;
  tasteShare: number;
  goodShare: number;
  /** Mean distance from the wanted shot: 1 = at the edge of every tolerance. Smooth where the shares are all zero. */
  distance: number;
}

/** Belief that these settings are right; by taste alone where time is an outcome. */
export function rightBy({ method }: Problem, here: Outlook): number {
  return method.timeIs === 'outcome' ? here.tasteShare : here.goodShare;
}

export function isSlower(outlook: Outlook, than: Outlook): boolean {
  return outlook.medianTimeSeconds > than.medianTimeSeconds;
}

export function lookAt(problem: Problem, posterior: Posterior, particles: Particles, settings: Settings): Outlook {
  const n = particles.beliefs.length;
  const outlook: Outlook = {
    settings,
    timeSeconds: new Float64Array(n),
    timeSdSeconds: new Float64Array(n),
    balance: new Float64Array(n),
    body: new Float64Array(n),
    inWindow: new Float64Array(n),
    good: new Float64Array(n),
    medianTimeSeconds: 0,
    windowShare: 0,
    tasteShare: 0,
    goodShare: 0,
    distance: 0,
  };
  const { target } = problem.request;
  const { tolerance } = problem.method;
  const geometry = geometryOf(posterior.frame, settings);
  const { frame, noise } = posterior;
  const { hand } = problem;
  const spreadOf = timeSd;
  const foresee = predict;
  particles.beliefs.forEach((belief, k) => {
    const shot = foresee(belief, frame, geometry);
    const inWindow =
      shot.timeSeconds >= target.timeSeconds.min - GRACE_SECONDS &&
      shot.timeSeconds <= target.timeSeconds.max + GRACE_SECONDS;
    const tasty =
      Math.abs(shot.balance - target.balance) <= tolerance.balance &&
      Math.abs(shot.body - target.body) <= tolerance.body;
    const outside = Math.max(0, target.timeSeconds.min - shot.timeSeconds, shot.timeSeconds - target.timeSeconds.max);
    // Not Math.hypot: with three arguments it is an order slower than the root of a sum.
    const sour = (shot.balance - target.balance) / tolerance.balance;
    const thin = (shot.body - target.body) / tolerance.body;
    const late = problem.method.timeIs === 'target' ? outside / 2 : outside / 5;
    outlook.distance += Math.sqrt(sour * sour + thin * thin + late * late) / n;
    outlook.timeSeconds[k] = shot.timeSeconds;
    outlook.timeSdSeconds[k] = noise.time * withHand(spreadOf(shot.puckSeconds), hand.time * shot.timeSeconds);
    outlook.balance[k] = shot.balance;
    outlook.body[k] = shot.body;
    outlook.inWindow[k] = inWindow ? 1 : 0;
    outlook.good[k] = inWindow && tasty ? 1 : 0;
    outlook.windowShare += (inWindow ? 1 : 0) / n;
    outlook.tasteShare += (tasty ? 1 : 0) / n;
    outlook.goodShare += (inWindow && tasty ? 1 : 0) / n;
  });
  outlook.medianTimeSeconds = Float64Array.from(outlook.timeSeconds).sort()[Math.floor(n / 2)]!;
  return outlook;
}

/**
 * The next shot as it will be measured: the outlook with the shot's own noise. Intervals are those of the draws; for the
 * odds the noise of every draw is integrated out, so that a tenth of a gram does not make them jump.
 */
export function expectationOf(problem: Problem, particles: Particles, outlook: Outlook, tasteSd: number): Expectation {
  const n = outlook.timeSeconds.length;
  const { noise } = particles;
  const sd = withHand(tasteSd, problem.hand.taste);
  const times = outlook.timeSeconds.map((t, k) => {
    const hurried = k % CHANNEL_EVERY === 0 ? CHANNEL_HASTE : 1;
    return Math.max(1, hurried * (t + outlook.timeSdSeconds[k]! * noise[k]!));
  });
  // Other particles' noise for taste, so that time and taste noise are not the same draw.
  const taste = (values: Float64Array, shift: number): Float64Array =>
    values.map((value, k) => Math.min(3, Math.max(-3, value + sd * noise[(k * 7 + shift) % n]!)));
  const { inWindow, asWanted } = oddsOf(problem, outlook);
  return {
    timeSeconds: intervalOf(times, 1),
    balance: intervalOf(taste(outlook.balance, 31), 2),
    body: intervalOf(taste(outlook.body, 67), 2),
    inWindow: round(inWindow, 2),
    asWanted: round(asWanted, 2),
  };
}

/** Of the next shot, its own noise counted: that it runs in the window, and that it is the wanted cup, too. */
export function oddsOf(problem: Problem, outlook: Outlook): { inWindow: number; asWanted: number } {
  const { min, max } = problem.request.target.timeSeconds;
  const n = outlook.timeSeconds.length;
  let inWindow = 0;
  let asWanted = 0;
  const { target } = problem.request;
  const { tolerance } = problem.method;
  for (let k = 0; k < n; k += 1) {
    const probability = chanceBetween(min, max, outlook.timeSeconds[k]!, outlook.timeSdSeconds[k]!);
    inWindow += probability / n;
    const near =
      Math.abs(outlook.balance[k]! - target.balance) <= tolerance.balance &&
      Math.abs(outlook.body[k]! - target.body) <= tolerance.body;
    if (near) asWanted += probability / n;
  }
  return { inWindow, asWanted };
}

/** Of a shot that takes `mean` ± `sd` s, or less where it finds a channel: the probability of a time from `min` to `max`. */
function chanceBetween(min: number, max: number, mean: number, sd: number): number {
  const between = (middle: number): number => normalCdf(max, middle, sd) - normalCdf(min, middle, sd);
  return between(mean) + (between(CHANNEL_HASTE * mean) - between(mean)) / CHANNEL_EVERY;
}

function intervalOf(values: Float64Array, decimals: number): Interval {
  const sorted = Float64Array.from(values).sort();
  const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))]!;
  // Between the tenths only: an exponential law has a tail that would drag the plain mean out of its own interval.
  const middle = sorted.subarray(Math.round(0.1 * (sorted.length - 1)), Math.round(0.9 * (sorted.length - 1)) + 1);
  const mean = meanOf(middle);
  return { mean: round(mean, decimals), p10: round(at(0.1), decimals), p90: round(at(0.9), decimals) };
}

/** Mean over the particles; of an outlook's balance or body it is the cup expected. */
export function meanOf(values: Float64Array): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function round(value: number, decimals: number): number {
  return Number(value.toFixed(decimals));
}
