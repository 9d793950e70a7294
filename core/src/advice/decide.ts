import type { Lever } from '../method/Method';
import {
  costOfClaim,
  isGoodEnough,
  isLiked,
  isTooTight,
  isToConfirm,
  isUnnamed,
  mayClaim,
  mustPrepare,
  PATIENCE,
  readsRight,
  tastesBothWays,
  tastesPlainlyOff,
} from './claim';
import type { Action, Settings } from './answer';
import { isSame, isSurprising, readEvidence, type Evidence } from './evidence';
import type { Posterior } from './infer';
import { isEarly, isSlower, lastResort, leversToTry, WINDOW_DOUBT, type Plan } from './levers';
import { shotsToGo } from './lookAhead';
import { beliefOf, geometryOf, predict, type Prediction } from './model';
import { believe, type Mixture } from './mixture';
import { isCoarser, movesOf, standStill, type Move } from './moves';
import { drawParticles, lookAt, type Outlook, type Particles } from './particles';
import type { Problem } from './problem';
import { hasWayOut, sensibleMoves } from './sensible';
import { withoutSwings } from './swings';

const SHORTLIST = 6;
/** Prices in shots: of 18 g of coffee, of each place down the method's order, of a tolerance's distance from the cup. */
const COFFEE_PRICE = 0.08;
const ORDER_PRICE = 0.06;
/** The same where a school begins with temperature and leaves the grind to the end: longer before finer, while the time is tolerated. */
const STRICT_ORDER_PRICE = 2;
const DISTANCE_PRICE = 0.3;
/** Price of the last lever before the others were given a chance. */
const EARLY_PRICE = 0.6;
/** What a cup tells of balance and body when its overall and sweetness are counted in: as if tasted by this sharp a tongue. */
const WHOLE_CUP_SD = 0.35;
/** Price of leaving settings, times the belief that they are right: do not fiddle; and as much more as they are believed a kept recipe. */
const INERTIA_PRICE = { any: 0.2, kept: 0.8 };
/** A cup that read right is left only for settings believed in by so much more. */
const WORTH_LEAVING = 0.1;
/** What is meant to bring the time back is at least so likely to do so as the surest move. */
const AIM_SHARE = 0.9;
/** Settings believed in less than this are changed, not pulled again for certainty. */
const WORTH_REPEATING = 0.3;
/** Settings whose only shot was dosed or stopped far off are pulled again, weighed, while they are in the window by this much. */
const WORTH_WEIGHING = 0.15;
/** Settings that stood often enough may be pulled once more, rather than fiddled with, when believed in at least this much. */
const WORTH_STAYING = 0.6;

export type Stage =
  | 'start'
  | 'limits'
  | 'window'
  | 'taste'
  | 'spoilt'
  | 'tight'
  | 'surprise'
  | 'blank'
  | 'unnamed'
  | 'unpurged'
  | 'excused'
  | 'strayed'
  | 'no-effect'
  | 'confirm'
  | 'dialled'
  | 'stuck';

export interface Choice {
  move: Move;
  outlook: Outlook;
  /** Expected shots to go. */
  shots: number;
  /** The same with the price of coffee, of leaving these settings and of leaving the method's order. */
  cost: number;
}

export interface Decision {
  action: Action;
  stage: Stage;
  chosen: Choice;
  /** Next best, of other levers first. */
  others: Choice[];
  here: Outlook;
  evidence: Evidence | null;
  /** The likelier story. */
  posterior: Posterior;
  mixture: Mixture;
  particles: Particles;
  /** A lever the method wanted and could not have: at its limit, locked, or turned to and fro. */
  blocked: Lever | null;
}

/** The policy: what to do next, from evidence and belief. Words are added elsewhere. */
export function decide(problem: Problem, seed: string): Decision {
  const mixture = believe(problem);
  const posterior = mixture.main;
  const particles = drawParticles(mixture, seed);
  const evidence = readEvidence(problem, posterior);
  const look = (move: Move): Choice => ({
    move,
    outlook: lookAt(problem, posterior, particles, move.settings),
    shots: 1,
    cost: 1,
  });
  const still = look(standStill(problem, evidence?.last.planned ?? problem.start));
  const from = still.move.settings;
  const base = { here: still.outlook, evidence, posterior, mixture, particles, blocked: null };
  if (evidence === null) {
    return { ...base, action: 'start', stage: 'start', chosen: firstMove(problem, posterior, still, look), others: [] };
  }
  const stay = (action: Action, stage: Stage, others: Choice[] = []): Decision => ({
    ...base,
    action,
    stage,
    chosen: still,
    others,
  });
  // A hand that strayed outside grinder, basket or machine is first of all brought back.
  if (!isSame(evidence.last.planned, from)) return stay('change', 'limits');
  if (mustPrepare(problem, evidence, still.outlook)) return stay('prepare', 'spoilt');
  if (evidence.unpurged) return stay('repeat', 'unpurged');
  if (evidence.isBlank) return stay('repeat', 'blank');
  if (isUnnamed(problem, evidence)) return stay('repeat', 'unnamed');
  if (!evidence.last.sound && !evidence.last.channelled) return stay('repeat', 'excused');
  if (evidence.strayed !== null && still.outlook.windowShare >= WORTH_WEIGHING) return stay('repeat', 'strayed');
  const isTight = isTooTight(problem, evidence);
  if (!isTight && evidence.missing !== null) return stay('repeat', 'no-effect');
  if (!isTight && !evidence.last.channelled && isOdd(evidence, still.outlook)) return stay('repeat', 'surprise');
  const open = (plan: Plan): Choice[] => {
    const legal = plan.levers.flatMap((lever) => movesOf(problem, posterior, from, lever)).map(look);
    const sound = legal.filter((choice) => isSound(problem, still, choice, plan));
    const near = withoutSwings(problem, plan.stage, from, sound);
    return plan.stage === 'window' ? aimedAtWindow(problem, near) : near;
  };
  let plan = leversToTry(problem, evidence, posterior, particles, still.outlook);
  let candidates = open(plan);
  // A school with one lever, and that lever can do no more.
  if (plan.stage === 'taste' && plan.levers.length === 1 && !hasWayOut(problem, evidence, still.outlook, candidates)) {
    const resort = lastResort(problem, evidence, posterior, plan.levers[0]!);
    const ways = open(resort);
    if (hasWayOut(problem, evidence, still.outlook, ways)) [plan, candidates] = [resort, ways];
  }
  const { stage, blocked } = plan;
  const ranked = rank(problem, evidence, mixture, particles, still, candidates, plan);
  const fewest = Math.min(...ranked.map(({ shots }) => shots));
  const isDone = costOfClaim(problem, still.outlook) <= fewest || isGoodEnough(problem, evidence, still.outlook);
  if (!isTight && isDone && mayClaim(problem, evidence, still.outlook)) return stay('dialled', 'dialled');
  const isKept = isToConfirm(problem, evidence, still.outlook) || promisesMost(problem, evidence, still, ranked);
  const chosen = isKept ? still : ranked[0]!;
  const others = pickOthers(chosen, ranked);
  if (chosen === still) return { ...base, blocked, action: 'repeat', stage: 'confirm', chosen, others };
  return { ...base, blocked, action: 'change', stage, chosen, others };
}

/** The last shot is not what the ones before foretold: noise until it happens twice. */
function isOdd(evidence: Evidence, here: Outlook): boolean {
  if (evidence.isOddAfterSeries) return true;
  return isSurprising(evidence) && (evidence.sameSettings.length < 2 || here.windowShare > WINDOW_DOUBT);
}

/**
 * Dose stands in for grind only together with yield, so that the ratio stays; what brings the time back must move it the right
 * way; a bed that is too tight is only loosened.
 */
function isSound(problem: Problem, still: Choice, { move, outlook }: Choice, plan: Plan): boolean {
  const { stage, blocked, mustSlow } = plan;
  if (stage === 'tight') return isCoarser(problem, still.move.settings, move.settings);
  if (stage !== 'window') return true;
  if (isSlower(outlook, still.outlook) !== mustSlow) return false;
  return !(blocked === 'grind' && move.lever === 'dose' && !move.coupled);
}

/** Fingers that found the grind far off move it before a shot is wasted; otherwise the first shot tells. */
function firstMove(problem: Problem, posterior: Posterior, still: Choice, look: (move: Move) => Choice): Choice {
  const felt = problem.request.start?.handCheck ?? 'near';
  if (felt === 'near') return still;
  const moves = movesOf(problem, posterior, still.move.settings, 'grind').map(look);
  const aimed = aimedAtWindow(problem, moves);
  return aimed.reduce((best, next) => (next.outlook.windowShare > best.outlook.windowShare ? next : best), still);
}

/**
 * Moves that are meant to land in the window by the best single guess. Gambling on a far setting because the slope may
 * turn out small is what beginners do, and so is stopping at the window's edge; if nothing lands, the nearest.
 */
function aimedAtWindow(problem: Problem, choices: Choice[]): Choice[] {
  const { min, max } = problem.request.target.timeSeconds;
  const miss = ({ outlook }: Choice): number =>
    Math.max(0, Math.log(min / outlook.medianTimeSeconds), Math.log(outlook.medianTimeSeconds / max));
  const landing = choices.filter((choice) => miss(choice) === 0);
  if (landing.length === 0) return [...choices].sort((a, b) => miss(a) - miss(b)).slice(0, 1);
  const surest = Math.max(...landing.map(({ outlook }) => outlook.windowShare));
  return landing.filter(({ outlook }) => outlook.windowShare >= AIM_SHARE * surest);
}

/** A cup that read right is not left for settings that promise hardly more than these do; one that was liked, not the third time either. */
function promisesMost(problem: Problem, { sameSettings, last }: Evidence, still: Choice, ranked: Choice[]): boolean {
  const sound = sameSettings.filter((pour) => pour.sound);
  if (!last.sound || !readsRight(problem, last) || (sound.length >= PATIENCE && !isLiked(last))) return false;
  return ranked.every(({ outlook }) => outlook.goodShare <= still.outlook.goodShare + WORTH_LEAVING);
}

/** Best first. Standing still competes on the same terms, so "pull again" is chosen when it is worth most. */
function rank(
  problem: Problem,
  evidence: Evidence,
  mixture: Mixture,
  particles: Particles,
  still: Choice,
  candidates: Choice[],
  plan: Plan,
): Choice[] {
  const { levers, stage } = plan;
  const fiddling = (INERTIA_PRICE.any + INERTIA_PRICE.kept * mixture.keptShare) * still.outlook.goodShare;
  const isTasteMove = stage === 'taste' || stage === 'stuck';
  const worthIt = isWorthRepeating(problem, evidence, still.outlook);
  const sensible = isTasteMove ? sensibleMoves(problem, evidence, still, candidates, worthIt) : candidates;
  const promise = ({ outlook }: Choice): number => outlook.goodShare - 0.1 * outlook.distance;
  const shortlist = [...sensible].sort((a, b) => promise(b) - promise(a)).slice(0, SHORTLIST);
  const next = [still, ...shortlist];
  const costs = shotsToGo({
    particles,
    next: next.map((choice) => choice.outlook),
    goals: goalsOf(problem, mixture.main, particles, still, candidates),
    tasteSd: WHOLE_CUP_SD,
  });
  const coffee = (choice: Choice): number => {
    const purge = choice.move.lever === 'grind' ? (problem.request.grinder.purgeGrams ?? 0) : 0;
    return (COFFEE_PRICE * (choice.move.settings.doseGrams + purge)) / 18;
  };
  const isStrict = problem.method.balanceOrder[0] === 'temperature' && still.outlook.windowShare >= WINDOW_DOUBT;
  const orderPrice = isStrict ? STRICT_ORDER_PRICE : ORDER_PRICE;
  next.forEach((choice, i) => {
    const place = choice.move.lever === null ? 0 : levers.indexOf(choice.move.lever);
    const inertia = choice === still ? 0 : fiddling;
    const order = orderPrice * place + (isEarly(problem, choice.move.lever) ? EARLY_PRICE : 0);
    choice.shots = costs[i]!;
    choice.cost = inertia + choice.shots + coffee(choice) + order + DISTANCE_PRICE * choice.outlook.distance;
  });
  const mayStay = next.length === 1 || (isTasteMove && worthIt) || plan.mayStay === true;
  return next.filter((choice) => choice !== still || mayStay).sort((a, b) => a.cost - b.cost);
}

/** Pulling again at settings believed wrong, or with a cup plainly wrong, is never the answer. */
function isWorthRepeating(problem: Problem, { last, sameSettings }: Evidence, here: Outlook): boolean {
  if (last.taste?.balance == null && last.taste?.overall == null) return true;
  const sound = sameSettings.filter((pour) => pour.sound);
  if (tastesPlainlyOff(problem, sound)) return false;
  const isOpen = sound.length < PATIENCE || tastesBothWays(problem, sound);
  return here.goodShare >= (isOpen ? WORTH_REPEATING : WORTH_STAYING);
}

/**
 * Settings worth ending at: here, every single move, and the pairs and triples of grind with yield and temperature that
 * hold the time in the window. The most promising ones stand for all.
 */
function goalsOf(
  problem: Problem,
  posterior: Posterior,
  particles: Particles,
  still: Choice,
  candidates: Choice[],
): Outlook[] {
  const from = still.move.settings;
  const { method } = problem;
  const settingsOf = (lever: Lever): Settings[] =>
    method.locks.includes(lever) ? [] : movesOf(problem, posterior, from, lever).map(({ settings }) => settings);
  const yields = [from, ...settingsOf('yield')].map(({ yieldGrams }) => yieldGrams);
  const heats = [from, ...settingsOf('temperature')].map(({ temperatureC }) => temperatureC);
  // One belief for some hundred settings: taking its logarithms off each time would cost more than the predictions.
  const belief = beliefOf(posterior.mean, posterior.frame);
  const shotAt = (settings: Settings): Prediction =>
    predict(belief, posterior.frame, geometryOf(posterior.frame, settings));
  const grinds = [from, ...settingsOf('grind')]
    .map((settings) => ({ settings, outside: outside(problem, shotAt(settings)) }))
    .sort((a, b) => a.outside - b.outside)
    .slice(0, 6);
  const combined = grinds.flatMap(({ settings }) =>
    yields.flatMap((yieldGrams) => heats.map((temperatureC) => ({ ...settings, yieldGrams, temperatureC }))),
  );
  // A cheap look by the mean belief alone first; the particles judge only what passes.
  const near = [...combined]
    .map((settings) => ({ settings, miss: missBy(problem, shotAt(settings)) }))
    .sort((a, b) => a.miss - b.miss)
    .slice(0, 12)
    .map(({ settings }) => lookAt(problem, posterior, particles, settings));
  const single = [...candidates].sort((a, b) => b.outlook.goodShare - a.outlook.goodShare).slice(0, 6);
  return [still.outlook, ...single.map(({ outlook }) => outlook), ...near];
}

/** Seconds a shot lies from the window's middle. */
function outside(problem: Problem, shot: Prediction): number {
  const { min, max } = problem.request.target.timeSeconds;
  return Math.abs(shot.timeSeconds - (min + max) / 2);
}

/** How far a shot lies from the wanted one, in tolerances. */
function missBy(problem: Problem, shot: Prediction): number {
  const { target } = problem.request;
  const { tolerance } = problem.method;
  const beyond = Math.max(0, target.timeSeconds.min - shot.timeSeconds, shot.timeSeconds - target.timeSeconds.max);
  const sour = (shot.balance - target.balance) / tolerance.balance;
  const thin = (shot.body - target.body) / tolerance.body;
  return Math.sqrt(sour * sour + thin * thin + (beyond / 2) ** 2);
}

/** Alternatives that are really different: the best of other levers, then one other size of the same move. */
function pickOthers(chosen: Choice, ranked: Choice[]): Choice[] {
  const rest = ranked.filter((choice) => choice !== chosen);
  const byLever = new Map<string, Choice>();
  for (const choice of rest) {
    const key = choice.move.lever ?? 'still';
    if (!byLever.has(key)) byLever.set(key, choice);
  }
  const different = [...byLever.values()].filter((choice) => choice.move.lever !== chosen.move.lever);
  const sameLever = rest.filter((choice) => choice.move.lever === chosen.move.lever);
  return [...different.slice(0, 2), ...sameLever.slice(0, 1)];
}
