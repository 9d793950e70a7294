import type { Lever } from '../method/Method';
import type { Settings } from './answer';
import { infer, timeSd } from './infer';
import { changesBetween, directionOf } from './moves';
import { beliefOf, geometryOf, predict } from './model';
import type { Pour, Problem } from './problem';

/** A last shot further than this many standard deviations from what was foreseen is a surprise. */
const SURPRISE_SIGMAS = 2.3;
/** Harsh and sour in one cup: water went round the coffee, not through it. */
const HARSH = 1.5;

export interface Evidence {
  last: Pour;
  /** The last shot says little about its settings: channel or harsh-and-sour. */
  spoilt: 'channels' | 'harsh-and-sour' | null;
  /** Same trouble in the shot before, so that preparation alone has been tried. */
  spoiltBefore: boolean;
  /** The last shot's distance from its own forecast; null when nothing could be foreseen. */
  surprise: { expectedSeconds: number; sigmas: number } | null;
  unpurged: boolean;
  /** Shots at the last settings, the last one included. */
  sameSettings: Pour[];
  /** Levers turned to and fro at least twice. */
  circling: Lever[];
}

/** Reads the run so far the way a practised eye would, before any choice is made. Null before the first shot. */
export function readEvidence(problem: Problem): Evidence | null {
  const { pours } = problem;
  const last = pours.at(-1);
  if (!last) return null;
  const before = pours.at(-2);
  return {
    last,
    spoilt: spoiltBy(problem, last),
    spoiltBefore: before !== undefined && spoiltBy(problem, before) !== null,
    surprise: surpriseOf(problem, last),
    unpurged: !last.purged && last.previousGrind !== last.planned.grind,
    sameSettings: pours.filter((pour) => isSame(pour.planned, last.planned)),
    circling: circlingLevers(problem),
  };
}

export function isSame(a: Settings, b: Settings): boolean {
  return changesBetween(a, b).length === 0;
}

function spoiltBy(problem: Problem, pour: Pour): Evidence['spoilt'] {
  const { taste } = pour;
  const harsh = (taste?.dryness ?? 0) >= HARSH;
  if (harsh && taste?.balance != null && taste.balance - problem.request.target.balance <= -1) {
    return 'harsh-and-sour';
  }
  return pour.channelled ? 'channels' : null;
}

/**
 * How far the last shot fell from what the earlier ones foretold. Judged only when an earlier shot stood within a
 * quarter of log time of the same settings: further away a miss is ignorance, not noise.
 */
function surpriseOf(problem: Problem, last: Pour): Evidence['surprise'] {
  const earlier = problem.pours.slice(0, -1).filter((pour) => pour.timeSeconds !== null);
  if (earlier.length < 2 || last.timeSeconds === null) return null;
  const posterior = infer(problem, earlier);
  const { mean, covariance, frame } = posterior;
  const geometry = geometryOf(frame, last.measured);
  const foresee = (theta: Float64Array) => predict(beliefOf(theta, frame), frame, geometry, last.clock);
  const here = foresee(mean);
  // Linear error propagation of the belief into this shot's time.
  const gradient = Array.from(mean, (_, i) => {
    const nudged = Float64Array.from(mean);
    nudged[i]! += 1e-4;
    return (foresee(nudged).timeSeconds - here.timeSeconds) / 1e-4;
  });
  let variance = (posterior.noise.time * timeSd(here.puckSeconds)) ** 2;
  gradient.forEach((gi, i) => gradient.forEach((gj, j) => (variance += gi * gj * covariance.get(i, j))));
  return {
    expectedSeconds: here.timeSeconds,
    sigmas: (last.timeSeconds - here.timeSeconds) / Math.sqrt(variance),
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
