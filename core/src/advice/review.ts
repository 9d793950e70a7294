import type { Cause } from '../brew/types';
import type { Expectation } from '../contract/answer';
import { isSurprising, readEvidence, suspectsOf, type Evidence } from './shots/evidence';
import { slopeOf } from '../belief/infer';
import { TASTE_SD } from '../belief/readings';
import { believe, type Mixture } from '../belief/mixture';
import { drawParticles, expectationOf, lookAt } from '../belief/particles';
import { readProblem, type Problem } from '../belief/problem';
import type { ValidAdviceRequest } from '../contract/request';

/** One poured shot held against what was predicted of it. */
export interface ShotReview {
  /** From the shots before it, at the settings it was planned at. */
  predicted: Expectation;
  /** It fell outside its own prediction, or did not show what was changed, and nobody has said why. */
  surprising: boolean;
  /** How many of its own standard deviations it fell from what was foreseen; null when nothing could be. */
  sigmas: number | null;
  /** What may have gone wrong, the likeliest first. */
  suspects: Cause[];
}

/** ln-free slopes: share of the time that one unit finer adds. */
export interface Believed {
  mean: number;
  sd: number;
}

export interface Review {
  shots: ShotReview[];
  /** The grinder's slope before the first shot and now. */
  slope: { before: Believed; now: Believed };
  /** Belief that the run started from a recipe that was right, before and now. */
  kept: { before: number; now: number };
}

/** The whole run looked back on: what each shot was expected to do, what it did, what that changed. */
export function reviewRun(request: ValidAdviceRequest): Review {
  const problems = Array.from({ length: request.shots.length + 1 }, (_, count) =>
    readProblem({ ...request, start: startOf(request), shots: request.shots.slice(0, count) }),
  );
  const beliefs = problems.map((problem) => believe(problem));
  const first = beliefs[0]!;
  const last = beliefs.at(-1)!;
  return {
    shots: request.shots.map((_, i) =>
      reviewShot(problems[i]!, beliefs[i]!, problems[i + 1]!, beliefs[i + 1]!, `${request.shots.length}/${i}`),
    ),
    slope: { before: slopeOf(first.main), now: slopeOf(last.main) },
    kept: { before: first.keptShare, now: last.keptShare },
  };
}

/** Where the run began, also for the prefix without any shot. */
function startOf(request: ValidAdviceRequest): ValidAdviceRequest['start'] {
  return { grind: request.start?.grind ?? request.shots[0]?.grind ?? null };
}

function reviewShot(before: Problem, then: Mixture, after: Problem, now: Mixture, seed: string): ShotReview {
  const pour = after.pours.at(-1)!;
  const particles = drawParticles(then, seed);
  const outlook = lookAt(before, then.main, particles, pour.planned);
  const evidence = readEvidence(after, now.main)!;
  const predicted = expectationOf(before, particles, outlook, TASTE_SD);
  return {
    predicted,
    surprising: isUnforeseen(evidence, predicted) && pour.sound && !evidence.unpurged,
    sigmas: evidence.surprise?.sigmas ?? null,
    suspects: suspectsOf(pour),
  };
}

/**
 * Far from its own forecast; or outside the range predicted and out of a good series, or without the change of grind to be seen in
 * it. What came as predicted is never marked.
 */
function isUnforeseen(evidence: Evidence, { timeSeconds: { p10, p90 } }: Expectation): boolean {
  if (isSurprising(evidence)) return true;
  const seconds = evidence.last.timeSeconds;
  const isOutside = seconds !== null && (seconds < p10 || seconds > p90);
  return isOutside && (evidence.isOddAfterSeries || evidence.missing !== null);
}
