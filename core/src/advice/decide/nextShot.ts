import type { Lever } from '../../method/Method';
import { isContradicted, isToConfirm, isWorthFixing, promisesMost, saysTooLittle, turnsAgainstWord } from './again';
import { aimedAtWindow } from './aim';
import { waysBack } from './besideWindow';
import type { Choice, Priced } from '../lookahead/choice';
import { costOfClaim, isGoodEnough, mayClaim } from './claim';
import type { Decision } from './decision';
import { DIAL } from './dial';
import { isSame } from '../shots/evidence';
import { leversToTry } from './levers';
import type { Plan } from './plan';
import { isCoarser, movesOf, type Move } from '../lookahead/moves';
import { isSlower } from '../../belief/particles';
import { overrule, type Overruled } from './overrule';
import { isTooTight, mustPrepare } from './prepare';
import { rank, type Ranking } from './rank';
import type { Situation } from '../lookahead/situation';
import { withoutSwings } from './swings';
import { wayOut, type WayOut } from './wayOut';

/** What is done next, and whatever beside it is worth a word. */
export type NextShot = Pick<Decision, 'action' | 'stage' | 'chosen' | 'others'> &
  Partial<Pick<Decision, 'blocked' | 'passedOver' | 'leavesTime' | 'craft'>>;

/** The shot after the last one: first what answers by itself, then what is weighed. */
export function nextShot(now: Situation, look: (move: Move) => Choice): NextShot {
  const answered = beforeAnyMove(now);
  if (answered !== null) return answered;
  const { problem, evidence, still } = now;
  const moves = movesFrom(now, look);
  const way = wayOut({ ...now, planned: leversToTry(now), legal: moves.legal, open: moves.open });
  const ranking = rank(now, way.candidates, way.plan);
  const isKept = isPulledAgain(now, way, ranking.ranked);
  const craft = isKept ? ranking.standing : ranking.ranked[0]!;
  // What is pulled again by rule is a cup that may well be right: odds are no reason to leave it.
  const overruled = isKept ? null : overrule(now, { chosen: craft, plan: way.plan, lookAtMoves: moves.ofLever });
  const chosen = overruled?.chosen ?? craft;
  if (isDialled(now, chosen)) return { action: 'dialled', stage: 'dialled', chosen: ranking.standing, others: [] };
  if (overruled !== null) return againstTheCraft(overruled, way.plan);
  const { stage, leavesTime = false } = way.plan;
  const blocked = blockedBy(way.plan, chosen);
  const back = leavesTime ? waysBack(problem, evidence.last, still.outlook, moves.ofLever('grind')) : [];
  const others = pickOthers(chosen, [...ranking.ranked, ...ranking.passedOver, ...back]);
  if (chosen === ranking.standing) {
    // The same again after a spoilt puck is the same with more care.
    if (evidence.spoilt !== null) return { action: 'prepare', stage: 'spoilt', chosen, others, blocked };
    const stage = way.torn === 'by two cups' ? 'contradicted' : 'confirm';
    return { action: 'repeat', stage, chosen, others, blocked };
  }
  return { action: 'change', stage, chosen, others, blocked, passedOver: ranking.passedOver, leavesTime };
}

/** A hand that strayed outside grinder, basket or machine is brought back; a spoilt shot, or one that says too little, is pulled again. */
function beforeAnyMove({ problem, evidence, still }: Situation): NextShot | null {
  const stay = { chosen: still, others: [] };
  if (!isSame(evidence.last.planned, still.move.settings)) return { ...stay, action: 'change', stage: 'limits' };
  if (mustPrepare(problem, evidence, still.outlook)) return { ...stay, action: 'prepare', stage: 'spoilt' };
  const tooLittle = saysTooLittle(problem, evidence, still.outlook, isTooTight(problem, evidence));
  return tooLittle === null ? null : { ...stay, action: 'repeat', stage: tooLittle };
}

interface MovesFrom {
  /** Every legal single move with a lever. */
  ofLever: (lever: Lever) => Choice[];
  /** Those of a plan's levers that do what the plan is for. */
  legal: (plan: Plan) => Choice[];
  /** Of these the ones that neither go back to, nor pass by, what was tried. */
  open: (plan: Plan) => Choice[];
}

/** Several plans may be thought of before one is made: no move is looked at twice. */
function movesFrom({ problem, mixture, still }: Situation, look: (move: Move) => Choice): MovesFrom {
  const from = still.move.settings;
  const looked = new Map<Lever, Choice[]>();
  const ofLever = (lever: Lever): Choice[] => {
    const known = looked.get(lever) ?? movesOf(problem, mixture.main, from, lever).map(look);
    looked.set(lever, known);
    return known;
  };
  const legal = (plan: Plan): Choice[] =>
    plan.levers.flatMap(ofLever).filter((choice) => isSound(problem, still, choice, plan));
  const open = (plan: Plan): Choice[] => {
    const near = withoutSwings(problem, plan.stage, from, legal(plan));
    // What stands in for the grind changes the cup as much as the time: that it lands in the window is not enough.
    return plan.stage === 'window' && plan.blocked === null ? aimedAtWindow(problem, near) : near;
  };
  return { ofLever, legal, open };
}

/**
 * Dose stands in for grind only together with yield, so that the ratio stays, which yield alone moves; what brings the time back must
 * move it the right way; a bed that is too tight is only loosened.
 */
function isSound(problem: Situation['problem'], still: Choice, { move, outlook }: Choice, plan: Plan): boolean {
  const { stage, blocked, mustSlow, levers } = plan;
  if (stage === 'tight') return isCoarser(problem, still.move.settings, move.settings);
  if (stage === 'stuck' && levers.length > 1) return move.lever !== 'dose' || move.coupled;
  if (stage !== 'window') return true;
  if (isSlower(outlook, still.outlook) !== mustSlow) return false;
  return !(blocked === 'grind' && move.lever === 'dose' && !move.coupled);
}

/** By rule, whatever another move would bring. */
function isPulledAgain(now: Situation, way: WayOut, ranked: Ranking['ranked']): boolean {
  if (way.torn !== null) return true;
  return DIAL[now.problem.order].isAgainByRule && isHeldByTheCraft(now, way, ranked);
}

function isHeldByTheCraft({ problem, evidence, still }: Situation, way: WayOut, ranked: Ranking['ranked']): boolean {
  return (
    isContradicted(problem, evidence, still.outlook, way.plan.stage) ||
    (isToConfirm(problem, evidence, still.outlook) && !isWorthFixing(problem, evidence, still, ranked[0]!)) ||
    promisesMost(problem, evidence, still, ranked) ||
    turnsAgainstWord(problem, evidence, still, ranked[0]!, way.plan.stage)
  );
}

/** A claim is weighed against what would be done instead: the dearer that is, the sooner the card is written. */
function isDialled({ problem, evidence, still: { outlook: here } }: Situation, instead: Priced): boolean {
  if (isTooTight(problem, evidence) || !mayClaim(problem, evidence, here)) return false;
  return costOfClaim(problem, here) <= instead.prices.toGo || isGoodEnough(problem, evidence, here);
}

/** A lever that is turned all the same was not in its own way. */
function blockedBy({ blocked }: Plan, { move }: Choice): Lever | null {
  return move.lever === blocked ? null : blocked;
}

function againstTheCraft({ chosen, craft, others }: Overruled, plan: Plan): NextShot {
  return {
    action: 'change',
    stage: 'overruled',
    chosen,
    others: pickOthers(chosen, [craft, ...others]),
    blocked: blockedBy(plan, chosen),
    craft,
  };
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
