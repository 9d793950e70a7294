import type { Lever } from '../method/Method';
import type { Action } from './answer';
import { isSame, isSurprising, readEvidence, type Evidence } from './evidence';
import { infer, slopeOf, TASTE_SD, type Posterior } from './infer';
import { shotsToGo } from './lookAhead';
import { movesOf, standStill, type Move } from './moves';
import { drawParticles, lookAt, type Outlook, type Particles } from './particles';
import type { Problem } from './problem';

/** `dialled` is a claim: this sure must the belief be. */
export const CLAIM_AT = 0.8;
/** Below this share of belief in the window, time comes first. */
const WINDOW_DOUBT = 0.45;
const SHORTLIST = 8;
const REACHABLE = 12;
/** Settings believed in less than this are changed, not pulled again for certainty. */
const WORTH_REPEATING = 0.3;

export type Stage =
  'start' | 'limits' | 'window' | 'taste' | 'spoilt' | 'surprise' | 'unpurged' | 'confirm' | 'dialled' | 'stuck';

export interface Choice {
  move: Move;
  outlook: Outlook;
  /** Expected shots to go, with the price of coffee and of leaving the method's order. */
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
  posterior: Posterior;
  particles: Particles;
  /** A lever the method wanted and could not have: at its limit, locked, or turned to and fro. */
  blocked: Lever | null;
}

/** The policy: what to do next, from evidence and belief. Words are added elsewhere. */
export function decide(problem: Problem, seed: string): Decision {
  const posterior = infer(problem);
  const particles = drawParticles(posterior, seed);
  const evidence = readEvidence(problem);
  const look = (move: Move): Choice => ({
    move,
    outlook: lookAt(problem, posterior, particles, move.settings),
    cost: 1,
  });
  const still = look(standStill(problem, evidence?.last.planned ?? problem.start));
  const from = still.move.settings;
  const base = { here: still.outlook, evidence, posterior, particles, blocked: null };
  if (evidence === null) {
    return { ...base, action: 'start', stage: 'start', chosen: still, others: [] };
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
  if (mustPrepare(evidence, still.outlook)) return stay('prepare', 'spoilt');
  if (evidence.unpurged) return stay('repeat', 'unpurged');
  if (isSurprising(evidence) && (evidence.sameSettings.length < 2 || still.outlook.windowShare > WINDOW_DOUBT)) {
    return stay('repeat', 'surprise');
  }
  if (mayClaim(problem, evidence, still.outlook)) return stay('dialled', 'dialled');
  const { levers, stage, blocked } = leversToTry(problem, evidence, posterior, particles, still.outlook);
  const legal = levers.flatMap((lever) => movesOf(problem, posterior, from, lever)).map(look);
  // Dose stands in for grind only together with yield, so that the ratio stays.
  const standsIn = stage === 'window' && blocked === 'grind';
  const sound = legal.filter(({ move }) => !(standsIn && move.lever === 'dose' && !move.coupled));
  const candidates = stage === 'window' ? aimedAtWindow(problem, sound) : sound;
  const ranked = rank(problem, evidence, particles, still, candidates, levers, stage);
  const chosen = ranked[0]!;
  const others = pickOthers(chosen, ranked);
  if (chosen === still) return { ...base, blocked, action: 'repeat', stage: 'confirm', chosen, others };
  return { ...base, blocked, action: 'change', stage, chosen, others };
}

/**
 * Preparation before anything else: when channels come twice, when the cup is sour and harsh at once, or when a
 * channel alone explains a time outside the window.
 */
function mustPrepare(evidence: Evidence, here: Outlook): boolean {
  if (evidence.spoilt === null) return false;
  if (evidence.spoilt === 'harsh-and-sour') return !evidence.spoiltBefore;
  if (evidence.spoiltBefore) return true;
  return here.windowShare > 0.25 || isSurprising(evidence);
}

/** Evidence for window and taste must both be there, and both from a shot that was not spoilt. */
function mayClaim(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const sound = evidence.sameSettings.filter((pour) => !pour.channelled);
  const tasted = sound.some((pour) => pour.taste?.balance != null || pour.taste?.overall != null);
  const timed = problem.method.timeIs === 'outcome' || sound.some((pour) => pour.timeSeconds !== null);
  return tasted && timed && here.goodShare >= CLAIM_AT;
}

interface Plan {
  levers: Lever[];
  stage: Stage;
  blocked: Lever | null;
}

/** Which levers the method would reach for now, first choice first. */
function leversToTry(
  problem: Problem,
  evidence: Evidence,
  posterior: Posterior,
  particles: Particles,
  here: Outlook,
): Plan {
  const { method, request } = problem;
  const from = evidence.last.planned;
  const usable = (lever: Lever): boolean =>
    !evidence.circling.includes(lever) && movesOf(problem, posterior, from, lever).length > 0;
  if (method.timeIs === 'target' && here.windowShare < WINDOW_DOUBT) {
    const tooFast = here.medianTimeSeconds < (request.target.timeSeconds.min + request.target.timeSeconds.max) / 2;
    const wantedWay = movesOf(problem, posterior, from, 'grind').filter(({ settings }) => {
      const finer = problem.finerSign * (settings.grind - from.grind) > 0;
      return finer === tooFast;
    });
    if (wantedWay.length === 0) {
      const lever = movesOf(problem, posterior, from, 'dose').length > 0 ? 'dose' : 'yield';
      return { levers: [lever], stage: 'window', blocked: 'grind' };
    }
    if (evidence.circling.includes('grind')) return { levers: ['yield', 'dose'], stage: 'window', blocked: 'grind' };
    const reach = Math.max(
      ...wantedWay.map((move) => lookAt(problem, posterior, particles, move.settings).windowShare),
    );
    // A step that jumps over the window: only once the grinder's answer is known well enough to say so.
    const jumps = problem.pours.length >= 2 && reach < 0.2 && stepJumpsOver(problem, posterior);
    if (jumps) return { levers: ['grind', 'dose', 'yield'], stage: 'window', blocked: 'grind' };
    return { levers: ['grind'], stage: 'window', blocked: null };
  }
  const balanceOff = Math.abs(mean(here.balance) - request.target.balance) / method.tolerance.balance;
  const bodyOff = Math.abs(mean(here.body) - request.target.body) / method.tolerance.body;
  const order =
    bodyOff > balanceOff ? [method.bodyOrder, method.balanceOrder] : [method.balanceOrder, method.bodyOrder];
  const wanted = [...new Set(order.flat())];
  const levers = wanted.filter(usable);
  const blocked = wanted.find((lever) => !usable(lever)) ?? null;
  if (levers.length > 0) return { levers, stage: 'taste', blocked };
  return { levers: (['yield', 'dose'] as const).filter(usable), stage: 'stuck', blocked };
}

/** True when one step of the grinder moves the time by more than the window is wide. */
function stepJumpsOver(problem: Problem, posterior: Posterior): boolean {
  const { min, max } = problem.request.target.timeSeconds;
  return problem.grindScale.step * slopeOf(posterior).mean > Math.log(max / min);
}

function mean(values: Float64Array): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/**
 * Moves that are meant to land in the window by the best single guess. Gambling on a far setting because the slope may
 * turn out small is what beginners do; if nothing lands, the nearest.
 */
function aimedAtWindow(problem: Problem, choices: Choice[]): Choice[] {
  const { min, max } = problem.request.target.timeSeconds;
  const miss = ({ outlook }: Choice): number =>
    Math.max(0, Math.log(min / outlook.medianTimeSeconds), Math.log(outlook.medianTimeSeconds / max));
  const landing = choices.filter((choice) => miss(choice) === 0);
  return landing.length > 0 ? landing : [...choices].sort((a, b) => miss(a) - miss(b)).slice(0, 1);
}

/** Best first. Standing still competes on the same terms, so "pull again" is chosen when it is worth most. */
function rank(
  problem: Problem,
  evidence: Evidence,
  particles: Particles,
  still: Choice,
  candidates: Choice[],
  levers: Lever[],
  stage: Stage,
): Choice[] {
  const share = (choice: Choice): number => choice.outlook.goodShare + 0.3 * choice.outlook.windowShare;
  const byPromise = [...candidates].sort((a, b) => share(b) - share(a));
  const shortlist = byPromise.slice(0, SHORTLIST);
  const next = [still, ...shortlist];
  const costs = shotsToGo({
    particles,
    next: next.map((choice) => choice.outlook),
    reachable: byPromise.slice(0, REACHABLE).map((choice) => choice.outlook),
    claimAt: CLAIM_AT,
    tasteSd: TASTE_SD,
  });
  const coffee = (choice: Choice): number => {
    const purge = choice.move.lever === 'grind' ? (problem.request.grinder.purgeGrams ?? 0) : 0;
    return (0.05 * (choice.move.settings.doseGrams + purge)) / 18;
  };
  const orderPrice = (choice: Choice): number => {
    const place = choice.move.lever === null ? 0 : levers.indexOf(choice.move.lever);
    return 0.1 * place + (choice.move.lever === 'temperature' && place > 0 ? 0.1 : 0);
  };
  next.forEach((choice, i) => {
    choice.cost = costs[i]! + coffee(choice) + orderPrice(choice);
  });
  // Pulling again at settings believed wrong is never the answer.
  const untasted = evidence.last.taste?.balance == null && evidence.last.taste?.overall == null;
  const mayStay = next.length === 1 || (stage !== 'window' && (untasted || still.outlook.goodShare >= WORTH_REPEATING));
  return next.filter((choice) => choice !== still || mayStay).sort((a, b) => a.cost - b.cost);
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
