import type { Lever } from '../method/Method';
import { isContradicted, isToConfirm, promisesMost, saysTooLittle, type TooLittle } from './again';
import { aimedAtWindow } from './aim';
import type { Action } from './answer';
import { waysBack } from './besideWindow';
import type { Choice } from './choice';
import { costOfClaim, isGoodEnough, mayClaim } from './claim';
import { isSame, readEvidence, type Evidence } from './evidence';
import type { Posterior } from './infer';
import { leversToTry, type Plan } from './levers';
import { believe, type Mixture } from './mixture';
import { isCoarser, movesOf, standStill, type Move } from './moves';
import { drawParticles, isSlower, lookAt, type Outlook, type Particles } from './particles';
import { overrule } from './overrule';
import { isTooTight, mustPrepare } from './prepare';
import type { Problem } from './problem';
import { rank } from './rank';
import { withoutSwings } from './swings';
import { wayOut } from './wayOut';

export type Stage =
  | 'start'
  | 'limits'
  | 'window'
  | 'taste'
  | 'overruled'
  | 'spoilt'
  | 'tight'
  | TooLittle
  | 'confirm'
  | 'contradicted'
  | 'dialled'
  | 'stuck';

export interface Decision {
  action: Action;
  stage: Stage;
  chosen: Choice;
  /** Next best, of other levers first. */
  others: Choice[];
  /** Moves whose turn has not come in the school's order, most promising first. */
  passedOver: Choice[];
  here: Outlook;
  evidence: Evidence | null;
  /** The likelier story. */
  posterior: Posterior;
  mixture: Mixture;
  particles: Particles;
  /** A lever the method wanted and could not have: at its limit, locked, or turned to and fro. */
  blocked: Lever | null;
  /** The last shot ran a little out of the window, and the cup is mended where its time is. */
  leavesTime: boolean;
  /** What the craft would have done, where the odds spoke against it. */
  craft: Choice | null;
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
  });
  const still = look(standStill(problem, evidence?.last.planned ?? problem.start));
  const from = still.move.settings;
  const base = {
    here: still.outlook,
    evidence,
    posterior,
    mixture,
    particles,
    blocked: null,
    passedOver: [],
    leavesTime: false,
    craft: null,
  };
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
  const isTight = isTooTight(problem, evidence);
  const tooLittle = saysTooLittle(problem, evidence, still.outlook, isTight);
  if (tooLittle !== null) return stay('repeat', tooLittle);
  // Several plans may be thought of before one is made: no move is looked at twice.
  const looked = new Map<Lever, Choice[]>();
  const lookAtMoves = (lever: Lever): Choice[] => {
    const known = looked.get(lever) ?? movesOf(problem, posterior, from, lever).map(look);
    looked.set(lever, known);
    return known;
  };
  const legal = (plan: Plan): Choice[] =>
    plan.levers.flatMap(lookAtMoves).filter((choice) => isSound(problem, still, choice, plan));
  const open = (plan: Plan): Choice[] => {
    const near = withoutSwings(problem, plan.stage, from, legal(plan));
    // What stands in for the grind changes the cup as much as the time: that it lands in the window is not enough.
    return plan.stage === 'window' && plan.blocked === null ? aimedAtWindow(problem, near) : near;
  };
  const planned = leversToTry(problem, evidence, posterior, particles, still.outlook);
  const { plan, candidates, torn } = wayOut({ problem, evidence, posterior, still, planned, legal, open });
  const { stage, blocked } = plan;
  const { standing, ranked, passedOver } = rank(problem, evidence, mixture, particles, still, candidates, plan);
  const isKept =
    torn !== null ||
    isContradicted(problem, evidence, still.outlook, stage) ||
    isToConfirm(problem, evidence, still.outlook) ||
    promisesMost(problem, evidence, still, ranked);
  const craft = isKept ? standing : ranked[0]!;
  // What is pulled again by rule is a cup that may well be right: odds are no reason to leave it.
  const overruled = isKept
    ? null
    : overrule({ problem, evidence, mixture, particles, still, chosen: craft, plan, lookAtMoves });
  const chosen = overruled?.chosen ?? craft;
  // A claim is weighed against what would be done instead: the dearer that is, the sooner the card is written.
  const isDone =
    costOfClaim(problem, still.outlook) <= chosen.prices.toGo || isGoodEnough(problem, evidence, still.outlook);
  if (!isTight && isDone && mayClaim(problem, evidence, still.outlook)) {
    return { ...stay('dialled', 'dialled'), chosen: standing };
  }
  if (overruled !== null) {
    const turned = chosen.move.lever === blocked ? null : blocked;
    const others = pickOthers(chosen, [overruled.craft, ...overruled.others]);
    return { ...base, blocked: turned, action: 'change', stage: 'overruled', chosen, others, craft: overruled.craft };
  }
  const leavesTime = plan.leavesTime === true;
  const back = leavesTime ? waysBack(problem, evidence.last, still.outlook, lookAtMoves('grind')) : [];
  const others = pickOthers(chosen, [...ranked, ...passedOver, ...back]);
  if (chosen === standing) {
    const why = torn === 'by two cups' ? 'contradicted' : 'confirm';
    return { ...base, blocked, action: 'repeat', stage: why, chosen, others };
  }
  return { ...base, blocked, action: 'change', stage, chosen, others, passedOver, leavesTime };
}

/**
 * Dose stands in for grind only together with yield, so that the ratio stays, which yield alone moves; what brings the time back must
 * move it the right way; a bed that is too tight is only loosened.
 */
function isSound(problem: Problem, still: Choice, { move, outlook }: Choice, plan: Plan): boolean {
  const { stage, blocked, mustSlow, levers } = plan;
  if (stage === 'tight') return isCoarser(problem, still.move.settings, move.settings);
  if (stage === 'stuck' && levers.length > 1) return move.lever !== 'dose' || move.coupled;
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
