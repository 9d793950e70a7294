import { isSurprising, type Evidence } from './evidence';
import type { Outlook } from './particles';
import type { Pour, Problem } from './problem';

/** `dialled` is a claim: this sure must the belief be, easing with every shot after the third: good enough is enough. */
const CLAIM_AT = 0.9;
const CLAIM_EASE = 0.04;
const CLAIM_AT_LAST = 0.55;
/** What poured and tasted right, and is believed in at least this much, is confirmed before anything is moved. */
const WORTH_CONFIRMING = 0.5;
/** After so many sound shots at the same settings without a claim they stand on an edge: one more would not tell. */
export const PATIENCE = 2;

/**
 * Preparation before anything else: when channels come twice, when the cup is sour and harsh at once, or when a
 * channel alone explains a time outside the window.
 */
export function mustPrepare(evidence: Evidence, here: Outlook): boolean {
  if (evidence.spoilt === null) return false;
  if (evidence.spoilt === 'harsh-and-sour') return !evidence.spoiltBefore;
  if (evidence.spoiltBefore) return true;
  return here.windowShare > 0.25 || isSurprising(evidence);
}

/** Good enough is enough: the longer the run, the less certainty is worth another shot. */
export function claimAt(problem: Problem): number {
  return Math.max(CLAIM_AT_LAST, CLAIM_AT - CLAIM_EASE * Math.max(0, problem.pours.length - 3));
}

/** Evidence for window and taste must both be there, and both from a shot that was not spoilt. */
export function mayClaim(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const sound = evidence.sameSettings.filter((pour) => pour.sound);
  const tasted = sound.some((pour) => pour.taste?.balance != null || pour.taste?.overall != null);
  const timed = problem.method.timeIs === 'outcome' || sound.some((pour) => pour.timeSeconds !== null);
  return tasted && timed && here.goodShare >= claimAt(problem);
}

/** Confirm with one more shot: settings that just poured and tasted right are pulled again, not moved, until they stood twice. */
export function isToConfirm(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const { target } = problem.request;
  const { tolerance, timeIs } = problem.method;
  const { taste, sound } = evidence.last;
  if (!sound || taste?.balance == null || here.goodShare < WORTH_CONFIRMING) return false;
  if (evidence.sameSettings.filter((pour) => pour.sound).length >= PATIENCE) return false;
  const isNear = (value: number, wanted: number, within: number): boolean => Math.abs(value - wanted) <= within + 0.1;
  const tastesRight =
    isNear(taste.balance, target.balance, tolerance.balance) &&
    isNear(taste.body ?? target.body, target.body, tolerance.body);
  return tastesRight && (timeIs === 'outcome' || isInTime(problem, evidence.last));
}

/** Measured in the window, give or take what a barista still calls in it. */
export function isInTime(problem: Problem, { timeSeconds }: Pour, graceSeconds = 0.5): boolean {
  const { min, max } = problem.request.target.timeSeconds;
  return timeSeconds !== null && timeSeconds >= min - graceSeconds && timeSeconds <= max + graceSeconds;
}
