import { CAUSES, type Cause } from '../../brew/types';
import type { Lever } from '../../method/Method';
import { LEVER_OF, type Settings } from '../../contract/answer';
import { slopesOf } from '../../belief/gradients';
import { type Posterior } from '../../belief/infer';
import { isMixture, measuredTimeSd, tailWeight, timeSd, withHand } from '../../belief/readings';
import { changesBetween, directionOf } from '../../contract/changes';
import { beliefOf, geometryOf, predict } from '../../belief/model';
import { slopeKnown } from '../../belief/prior';
import { isInTime } from './inTime';
import type { Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';

/** A last shot further than this many standard deviations from what was foreseen is a surprise. */
const SURPRISE_SIGMAS = 2.3;

/** A grinder's slope is known well with a spread of this share of it or less. */
const KNOWN_WELL = 0.35;
/** A change of grind tells when it should move the time by so many seconds (4, as one rounds); hardly: by less than this share of it. */
const TELLS = { seconds: 3.5, hardly: 0.25 };
/** The same where the grinder's answer is known by rule of thumb only: it may be a slow one, and a tenth is nothing at all. */
const TELLS_BY_RULE = { seconds: 3, hardly: 0.1 };
/** A smaller change tells, too, where the time went the other way and ended so far from where it should. */
const TELLS_BACKWARDS = { seconds: 2, missedBySeconds: 4 };
/** So many shots in the window are a series. */
const SERIES = 2;
/** More than a careful hand misses by, in ln: about 0.8 g of 18, and 4 g of 36. */
const STRAYED = { doseGrams: 0.045, yieldGrams: 0.11 };

export interface Evidence {
  last: Pour;
  /** The last shot says little about its settings: a channel was seen, or tasted. */
  spoilt: 'channels' | 'muddled' | null;
  /** How many shots in a row were spoilt, the last one included. */
  spoiltInARow: number;
  /** The last shot's distance from its own forecast; null when nothing could be foreseen. */
  surprise: { expectedSeconds: number; sigmas: number } | null;
  /** Neither timed nor tasted, here or before at the same settings, and not seen to gush or drip either. */
  isBlank: boolean;
  /** Nobody tasted a sound shot at these settings, nor said which was better. */
  isUntasted: boolean;
  unpurged: boolean;
  /** What a change of grind should have added to the time, and what it did, s, where it did not do its work; else null. */
  missing: { expectedSeconds: number; seenSeconds: number } | null;
  /** The last shot ran out of the window after two or more at the same settings that did not. */
  isOddAfterSeries: boolean;
  /** Coffee or yield of the last shot missed what was aimed at by far: it is another recipe's shot. */
  strayed: 'doseGrams' | 'yieldGrams' | null;
  /** Shots at the last settings, the last one included, that still hold. */
  sameSettings: Pour[];
  /** Those of them that were not spoilt: they tell of the settings. */
  sound: Pour[];
  /** Levers turned to and fro at least twice. */
  circling: Lever[];
}

/** Reads the run so far the way a practised eye would, before any choice is made. Null before the first shot. */
export function readEvidence(problem: Problem, posterior: Posterior): Evidence | null {
  const { pours } = problem;
  const last = pours.at(-1);
  if (!last) return null;
  // Old grounds in it make a shot one of other settings.
  const isHere = (pour: Pour): boolean => !pour.stale && !isMixture(pour) && isSame(pour.planned, last.planned);
  const sameSettings = pours.filter((pour) => pour === last || isHere(pour));
  return {
    last,
    spoilt: spoiltBy(last),
    spoiltInARow: pours.length - 1 - pours.findLastIndex((pour) => spoiltBy(pour) === null),
    surprise: surpriseOf(problem, last, posterior),
    isBlank: sameSettings.every(saysNothing),
    isUntasted: last.sound && !sameSettings.some((pour) => pour.sound && isTasted(pour)),
    unpurged: !last.purged && last.previousGrind !== last.planned.grind,
    missing: missingFrom(problem, last),
    isOddAfterSeries: isOddAfterSeries(problem, last, sameSettings),
    strayed: strayedBy(last),
    sameSettings,
    sound: sameSettings.filter(({ sound }) => sound),
    circling: circlingLevers(problem),
  };
}

export function isSame(a: Settings, b: Settings): boolean {
  return changesBetween(a, b).length === 0;
}

function saysNothing(pour: Pour): boolean {
  const { timeSeconds, seen } = pour;
  return timeSeconds === null && !isTasted(pour) && !seen.includes('gushing') && !seen.includes('dripping');
}

function isTasted({ taste, versusLast }: Pour): boolean {
  const isMarked = taste !== null && [taste.balance, taste.body, taste.overall].some((mark) => mark != null);
  return isMarked || versusLast !== null;
}

function spoiltBy(pour: Pour): Evidence['spoilt'] {
  if (pour.isMuddled) return 'muddled';
  return pour.channelled ? 'channels' : null;
}

/**
 * A change that should have moved the time by about 4 s and hardly did, on a grinder whose answer is known; or one that by rule of thumb should
 * have moved it by 3 s, and did nothing at all; or a smaller one after which it went far the other way.
 */
function missingFrom(problem: Problem, last: Pour): Evidence['missing'] {
  const { request, pours, finerSign } = problem;
  const before = pours.at(-2);
  if (!before?.sound || !last.sound || before.timeSeconds === null || last.timeSeconds === null) return null;
  const isGrindAlone = changesBetween(before.planned, last.planned).every(({ variable }) => variable === 'grind');
  if (!isGrindAlone) return null;
  const learned = request.grinder.logTimePerUnit;
  const isKnownWell = learned != null && learned.sd <= KNOWN_WELL * learned.mean;
  const slope = slopeKnown(problem);
  const finer = finerSign * (last.planned.grind - before.planned.grind);
  const expectedSeconds = before.timeSeconds * Math.expm1(slope * finer);
  const seenSeconds = last.timeSeconds - before.timeSeconds;
  const tells = isKnownWell ? TELLS : TELLS_BY_RULE;
  const isMissing = Math.abs(expectedSeconds) >= tells.seconds && seenSeconds / expectedSeconds < tells.hardly;
  return isMissing || wentFarTheOtherWay(expectedSeconds, seenSeconds) ? { expectedSeconds, seenSeconds } : null;
}

function wentFarTheOtherWay(expectedSeconds: number, seenSeconds: number): boolean {
  if (expectedSeconds * seenSeconds >= 0 || Math.abs(expectedSeconds) < TELLS_BACKWARDS.seconds) return false;
  return Math.abs(expectedSeconds - seenSeconds) >= TELLS_BACKWARDS.missedBySeconds;
}

/** One shot outside the window after a good series is noise until it happens twice. */
function isOddAfterSeries(problem: Problem, last: Pour, sameSettings: readonly Pour[]): boolean {
  if (problem.method.timeIs === 'outcome' || !last.sound || last.timeSeconds === null) return false;
  const series = sameSettings.filter(({ sound, timeSeconds }) => sound && timeSeconds !== null).slice(-1 - SERIES, -1);
  return !isInTime(problem, last) && series.length === SERIES && series.every((pour) => isInTime(problem, pour, 0));
}

function strayedBy({ planned, measured, hand }: Pour, share = 1): Evidence['strayed'] {
  // Struck level and read in a glass: such misses are the measuring's, and its doubt is reckoned with already.
  if (hand.isByEye) return null;
  const isFar = (variable: 'doseGrams' | 'yieldGrams'): boolean =>
    Math.abs(Math.log(measured[variable] / planned[variable])) > share * STRAYED[variable];
  if (isFar('doseGrams')) return 'doseGrams';
  return isFar('yieldGrams') ? 'yieldGrams' : null;
}

/** Half as far off as what is pulled again for it: too far for a claim on this shot alone, and worth a word. */
export function missedRecipe(pour: Pour): Evidence['strayed'] {
  return strayedBy(pour, 0.5);
}

/**
 * How far the last shot fell from what the earlier ones predicted, by leaving it out of the belief in closed form
 * (Sherman–Morrison): with w its precision and h = w·gᵀΣg its leverage, the residual without it is r/(1 − h) and the
 * belief's own variance gᵀΣg/(1 − h). No second inference is needed.
 */
function surpriseOf(problem: Problem, last: Pour, posterior: Posterior): Evidence['surprise'] {
  const earlier = problem.pours.slice(0, -1).filter((pour) => pour.clockSeconds !== null && !pour.stale);
  if (earlier.length === 0 || last.clockSeconds === null) return null;
  const { mean, covariance, frame, noise } = posterior;
  const geometry = geometryOf(frame, last.measured);
  const belief = beliefOf(mean, frame);
  const here = predict(belief, frame, geometry, last.clock);
  const gradient = slopesOf(belief, frame, geometry, last.clock, here).timeSeconds;
  let own = 0;
  gradient.forEach((gi, i) => gradient.forEach((gj, j) => (own += gi * gj * covariance.get(i, j))));
  const residual = last.clockSeconds - here.timeSeconds;
  const sd = noise.time * measuredTimeSd(last);
  const precision = tailWeight(residual / sd) / (sd * sd);
  const left = Math.max(0.02, 1 - precision * own);
  const spread = noise.time * withHand(timeSd(here.puckSeconds), last.hand.time * here.timeSeconds);
  return {
    expectedSeconds: last.clockSeconds - residual / left,
    sigmas: residual / left / Math.sqrt(spread * spread + own / left),
  };
}

export function isSurprising(evidence: Evidence): boolean {
  return evidence.surprise !== null && Math.abs(evidence.surprise.sigmas) > SURPRISE_SIGMAS;
}

/** Levers whose direction was reversed twice or more: turning them again would go round in circles. */
function circlingLevers(problem: Problem): Lever[] {
  const directions: Record<Lever, number[]> = { grind: [], yield: [], dose: [], temperature: [] };
  problem.pours.forEach((pour, i) => {
    const before = problem.pours[i - 1];
    if (!before) return;
    for (const change of changesBetween(before.planned, pour.planned)) {
      directions[LEVER_OF[change.variable]].push(directionOf(problem, change));
    }
  });
  return (Object.keys(directions) as Lever[]).filter((name) => {
    const turns = directions[name];
    return turns.filter((turn, i) => i > 0 && turn !== turns[i - 1]).length >= 2;
  });
}

/** What may be behind an odd shot, in the order of the craft; nobody can forget to purge where the grind was not changed. */
export function suspectsOf(pour: Pour): Cause[] {
  return CAUSES.filter((cause) => cause !== 'not-purged' || pour.previousGrind !== pour.planned.grind);
}
