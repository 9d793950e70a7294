import type { Lever } from '../method/Method';
import type { Settings } from './answer';
import { slopesOf } from './gradients';
import { type Posterior } from './infer';
import { measuredTimeSd, tailWeight, timeSd } from './readings';
import { changesBetween, directionOf } from './moves';
import { beliefOf, geometryOf, predict } from './model';
import type { Pour, Problem } from './problem';

/** A last shot further than this many standard deviations from what was foreseen is a surprise. */
const SURPRISE_SIGMAS = 2.3;

export interface Evidence {
  last: Pour;
  /** The last shot says little about its settings: channel or harsh-and-sour. */
  spoilt: 'channels' | 'harsh-and-sour' | null;
  /** How many shots in a row were spoilt, the last one included. */
  spoiltInARow: number;
  /** The last shot's distance from its own forecast; null when nothing could be foreseen. */
  surprise: { expectedSeconds: number; sigmas: number } | null;
  unpurged: boolean;
  /** Shots at the last settings, the last one included. */
  sameSettings: Pour[];
  /** Levers turned to and fro at least twice. */
  circling: Lever[];
}

/** Reads the run so far the way a practised eye would, before any choice is made. Null before the first shot. */
export function readEvidence(problem: Problem, posterior: Posterior): Evidence | null {
  const { pours } = problem;
  const last = pours.at(-1);
  if (!last) return null;
  return {
    last,
    spoilt: spoiltBy(last),
    spoiltInARow: pours.length - 1 - pours.findLastIndex((pour) => spoiltBy(pour) === null),
    surprise: surpriseOf(problem, last, posterior),
    unpurged: !last.purged && last.previousGrind !== last.planned.grind,
    sameSettings: pours.filter((pour) => isSame(pour.planned, last.planned)),
    circling: circlingLevers(problem),
  };
}

export function isSame(a: Settings, b: Settings): boolean {
  return changesBetween(a, b).length === 0;
}

function spoiltBy(pour: Pour): Evidence['spoilt'] {
  if (pour.isHarshAndSour) return 'harsh-and-sour';
  return pour.channelled ? 'channels' : null;
}

/**
 * How far the last shot fell from what the earlier ones foretold, by leaving it out of the belief in closed form
 * (Sherman–Morrison): with w its precision and h = w·gᵀΣg its leverage, the residual without it is r/(1 − h) and the
 * belief's own variance gᵀΣg/(1 − h). No second inference is needed.
 */
function surpriseOf(problem: Problem, last: Pour, posterior: Posterior): Evidence['surprise'] {
  const earlier = problem.pours.slice(0, -1).filter((pour) => pour.timeSeconds !== null);
  if (earlier.length < 2 || last.timeSeconds === null) return null;
  const { mean, covariance, frame, noise } = posterior;
  const geometry = geometryOf(frame, last.measured);
  const belief = beliefOf(mean, frame);
  const here = predict(belief, frame, geometry, last.clock);
  const gradient = slopesOf(belief, frame, geometry, last.clock, here).timeSeconds;
  let own = 0;
  gradient.forEach((gi, i) => gradient.forEach((gj, j) => (own += gi * gj * covariance.get(i, j))));
  const residual = last.timeSeconds - here.timeSeconds;
  const sd = noise.time * measuredTimeSd(last);
  const precision = tailWeight(residual / sd) / (sd * sd);
  const left = Math.max(0.02, 1 - precision * own);
  const spread = noise.time * timeSd(here.puckSeconds);
  return {
    expectedSeconds: last.timeSeconds - residual / left,
    sigmas: residual / left / Math.sqrt(spread * spread + own / left),
  };
}

export function isSurprising(evidence: Evidence): boolean {
  return evidence.surprise !== null && Math.abs(evidence.surprise.sigmas) > SURPRISE_SIGMAS;
}

/** Levers whose direction was reversed twice or more: turning them again would go round in circles. */
function circlingLevers(problem: Problem): Lever[] {
  const directions: Record<Lever, number[]> = { grind: [], yield: [], dose: [], temperature: [] };
  const lever: Record<string, Lever> = {
    grind: 'grind',
    doseGrams: 'dose',
    yieldGrams: 'yield',
    temperatureC: 'temperature',
  };
  problem.pours.forEach((pour, i) => {
    const before = problem.pours[i - 1];
    if (!before) return;
    for (const change of changesBetween(before.planned, pour.planned)) {
      directions[lever[change.variable]!].push(directionOf(problem, change));
    }
  });
  return (Object.keys(directions) as Lever[]).filter((name) => {
    const turns = directions[name];
    return turns.filter((turn, i) => i > 0 && turn !== turns[i - 1]).length >= 2;
  });
}
