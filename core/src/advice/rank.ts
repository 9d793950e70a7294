import type { Lever } from '../method/Method';
import { isWorthRepeating } from './again';
import { costOf, type Choice, type Priced } from './choice';
import { isToMend } from './cups';
import type { Evidence } from './evidence';
import { goalsOf } from './goals';
import { isEarly, wasTriedForTaste, type Plan } from './levers';
import { shotsToGo } from './lookAhead';
import type { Mixture } from './mixture';
import type { Particles } from './particles';
import { isInTime, type Problem } from './problem';
import { inSchoolOrder } from './schoolOrder';
import { sensibleMoves } from './sensible';
import { isBracketed } from './swings';

const SHORTLIST = 6;
/** Prices in shots: of 18 g of coffee, of each place down the method's order, of a tolerance's distance from the cup. */
const COFFEE_PRICE = 0.08;
const ORDER_PRICE = 0.06;
/** Price of the last lever before the others were given a chance. */
const EARLY_PRICE = 0.3;
const DISTANCE_PRICE = 0.3;
/** What a cup tells of balance and body when its overall and sweetness are counted in: as if tasted by this sharp a tongue. */
const WHOLE_CUP_SD = 0.35;
/** Price of leaving settings, times the belief that they are right: do not fiddle; and as much more as they are believed a kept recipe. */
const INERTIA_PRICE = { any: 0.2, kept: 0.8 };
/** Steps of one lever that cost so nearly the same are told apart by their odds: a dozen imagined outcomes know no better. */
const NEARLY_AS_CHEAP = 0.3;

export interface Ranking {
  /** Pulling the same again, priced like a move. */
  standing: Priced;
  /** Best first. Standing still competes on the same terms, so "pull again" is chosen when it is worth most. */
  ranked: Priced[];
  /** Sensible, too, but not yet their turn in the school's order; most promising first. */
  passedOver: Choice[];
}

/** What could be done next: the moves whose turn it is, by their price, and those that must wait. */
export function rank(
  problem: Problem,
  evidence: Evidence,
  mixture: Mixture,
  particles: Particles,
  still: Choice,
  candidates: Choice[],
  plan: Plan,
): Ranking {
  const { levers, stage } = plan;
  const fiddling = (INERTIA_PRICE.any + INERTIA_PRICE.kept * mixture.keptShare) * still.outlook.goodShare;
  const isTasteMove = stage === 'taste' || stage === 'stuck';
  const worthIt = isWorthRepeating(problem, evidence, still.outlook);
  const toMend = isToMend(problem, evidence.sound);
  const { choices: sensible, mends } = isTasteMove
    ? sensibleMoves(problem, evidence, still, candidates, !worthIt || toMend)
    : { choices: candidates, mends: false };
  // A lever whose answer lies between two cups has its turn until it is found.
  const isDone = (lever: Lever): boolean => wasTriedForTaste(problem, lever) && !isBracketed(problem, evidence, lever);
  const inTurn = isTasteMove
    ? inSchoolOrder(cupsInTime(problem), isDone, still.outlook.distance, sensible, levers)
    : sensible;
  const promise = ({ outlook }: Choice): number => outlook.goodShare - 0.1 * outlook.distance;
  const byPromise = (choices: readonly Choice[]): Choice[] => [...choices].sort((a, b) => promise(b) - promise(a));
  const shortlist = byPromise(inTurn).slice(0, SHORTLIST);
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
  const priced = next.map((choice, i): Priced => {
    const place = choice.move.lever === null ? 0 : levers.indexOf(choice.move.lever);
    const prices = {
      toGo: costs[i]!,
      leaving: choice === still ? 0 : fiddling,
      coffee: coffee(choice),
      order: ORDER_PRICE * place + (isEarly(problem, choice.move.lever, levers) ? EARLY_PRICE : 0),
      distance: DISTANCE_PRICE * choice.outlook.distance,
    };
    return Object.assign(choice, { prices });
  });
  const mayStay = next.length === 1 || (isTasteMove && worthIt && !(toMend && mends)) || plan.mayStay === true;
  const standing = priced[0]!;
  return {
    standing,
    ranked: surestFirst(priced.filter((choice) => choice !== standing || mayStay)),
    passedOver: byPromise(sensible.filter((choice) => !inTurn.includes(choice))),
  };
}

/** Cups tasted of shots that poured in time: what the school's order of taste moves is held by. */
function cupsInTime(problem: Problem): number {
  return problem.pours.filter((pour) => pour.sound && pour.taste !== null && isInTime(problem, pour)).length;
}

/** Cheapest first, but for the step of its lever that promises most, where that one is nearly as cheap. */
function surestFirst(choices: Priced[]): Priced[] {
  const [cheapest, ...dearer] = [...choices].sort((a, b) => costOf(a) - costOf(b));
  if (cheapest === undefined) return [];
  const isStepOfIt = (choice: Priced): boolean =>
    choice.move.lever === cheapest.move.lever && costOf(choice) <= costOf(cheapest) + NEARLY_AS_CHEAP;
  const surest = dearer
    .filter(isStepOfIt)
    .reduce((best, next) => (next.outlook.goodShare > best.outlook.goodShare ? next : best), cheapest);
  return [surest, ...[cheapest, ...dearer].filter((choice) => choice !== surest)];
}
