import { infer, inferKept, type Posterior } from './infer';
import type { Problem } from './problem';

/**
 * Belief before any shot that the run starts from a recipe that was right not long ago: on an unknown grinder, and where the
 * grinder has a history, so that somebody dialled in on it before. A setting worked out or guessed is no kept one.
 */
const KEPT_BEFOREHAND = { unknown: 0.25, known: 0.5 };
/** Beyond this the loser has no say; guards the exponential. */
const LOG_ODDS_REACH = 50;

/** Two stories of the run, each with its own posterior, weighed by how well it predicted the shots. */
export interface Mixture {
  anywhere: Posterior;
  kept: Posterior;
  /** Probability of the second story, 0–1. */
  keptShare: number;
  /** The likelier of the two. */
  main: Posterior;
}

/**
 * Believes two things at once: that the right recipe may lie anywhere, and that this is a kept recipe of which at most
 * the time has wandered. Their odds are the prior's times the ratio of the marginal likelihoods (Bayes factor, by
 * Laplace). A first shot close to the target in time and in taste would be a great coincidence in the first story: that
 * is what keeps a hand from fiddling with what is right.
 */
export function believe(problem: Problem): Mixture {
  const anywhere = infer(problem);
  const kept = inferKept(problem, anywhere);
  if (kept === null) return { anywhere, kept: anywhere, keptShare: 0, main: anywhere };
  const logFactor = Math.min(LOG_ODDS_REACH, Math.max(-LOG_ODDS_REACH, kept.logEvidence - anywhere.logEvidence));
  const { grinder, start, shots } = problem.request;
  const isWorkedOut = start?.grindSd != null && start.from !== 'last-shots';
  const isStanding = !isWorkedOut && (start?.grind != null || shots.length > 0);
  const beforehand = KEPT_BEFOREHAND[grinder.logTimePerUnit && isStanding ? 'known' : 'unknown'];
  const odds = (beforehand / (1 - beforehand)) * Math.exp(logFactor);
  const keptShare = odds / (1 + odds);
  return { anywhere, kept, keptShare, main: keptShare > 0.5 ? kept : anywhere };
}
