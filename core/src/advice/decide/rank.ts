import type { Lever } from '../../method/Method';
import { isWorthRepeating } from './again';
import { oddsOf } from '../../belief/particles';
import { costOf, type Choice, type Priced } from '../lookahead/choice';
import { isToFix } from '../shots/cups';
import { DIAL } from './dial';
import { isEarly, wasMoved, wasTriedForTaste } from './tried';
import { isForTaste, type Plan } from './plan';
import { byPromise, priced } from '../lookahead/price';
import { isInTime } from '../shots/inTime';
import type { Problem } from '../../belief/problem';
import { inMethodOrder } from './methodOrder';
import { sensibleMoves } from './sensible';
import type { Situation } from '../lookahead/situation';
import { isBracketed, offBeyondWindow } from './swings';

const SHORTLIST = 6;
/** Price in shots of each place down the method's order. */
const ORDER_PRICE = 0.06;
/** Steps of one lever that cost so nearly the same are told apart by their odds: a dozen imagined outcomes know no better. */
const NEARLY_AS_CHEAP = 0.3;

/** So many pucks in a row that all were spoilt tell as much of these settings as of the hand. */
const MOST_SPOILT = 3;

export interface Ranking {
  /** Pulling the same again, priced like a move. */
  standing: Priced;
  /** Best first. Standing still competes on the same terms, so "pull again" is chosen when it is worth most. */
  ranked: Priced[];
  /** Sensible, too, but not yet their turn in the method's order; most promising first. */
  passedOver: Choice[];
}

/** What could be done next: the moves whose turn it is, by their price, and those that must wait. */
export function rank(now: Situation, candidates: Choice[], plan: Plan): Ranking {
  const { problem, evidence, still } = now;
  const { levers, stage } = plan;
  const isTasteMove = isForTaste(stage);
  const worthIt = isWorthRepeating(problem, evidence, still.outlook);
  const toFix = isToFix(problem, evidence.sound);
  const { choices: sensible, fixes } = isTasteMove
    ? sensibleMoves(problem, evidence, still, candidates, !worthIt || toFix)
    : { choices: candidates, fixes: false };
  // A lever whose answer lies between two cups has its turn until it is found; grind that did not fix the cup on its way through the window
  // has had it.
  const isDone = (lever: Lever): boolean =>
    (wasTriedForTaste(problem, lever) && !isBracketed(problem, evidence, lever)) ||
    (lever === 'grind' && offBeyondWindow(problem, evidence) !== null);
  const { isOrderBinding, earlyPrice } = DIAL[problem.order];
  const inTurn =
    isTasteMove && isOrderBinding
      ? inMethodOrder(cupsOfOrder(problem), isDone, still.outlook.distance, sensible, levers)
      : sensible;
  const shortlist = byPromise(inTurn).slice(0, SHORTLIST);
  const orderPrice = (lever: Lever | null): number =>
    lever === null ? 0 : ORDER_PRICE * levers.indexOf(lever) + (isEarly(problem, lever, levers) ? earlyPrice : 0);
  const [standing, ...moves] = priced(now, candidates, [still, ...shortlist], orderPrice) as [Priced, ...Priced[]];
  const isOpen = isTasteMove ? worthIt && !(toFix && fixes) : plan.mayStay === true;
  const mayStay = moves.length === 0 || (isOpen && !areAllSpoilt(evidence));
  return {
    standing,
    ranked: surestFirst(problem, mayStay ? [standing, ...moves] : moves),
    passedOver: byPromise(sensible.filter((choice) => !inTurn.includes(choice))),
  };
}

function areAllSpoilt({ sameSettings, sound }: Situation['evidence']): boolean {
  return sound.length === 0 && sameSettings.length >= MOST_SPOILT;
}

/**
 * Cups tasted of shots that poured in time: what the method's order of taste moves is held by. Where a method begins with heat, the cup that
 * was answered by it was none of the other levers'.
 */
function cupsOfOrder(problem: Problem): number {
  const cups = problem.pours.filter((pour) => pour.sound && pour.taste !== null && isInTime(problem, pour)).length;
  const isHeated = problem.method.balanceOrder[0] === 'temperature' && wasMoved(problem, 'temperature');
  return isHeated ? cups - 1 : cups;
}

/** Cheapest first, but for the step of its lever whose next cup is likeliest the wanted one, where that one is nearly as cheap. */
function surestFirst(problem: Problem, choices: Priced[]): Priced[] {
  const odds = ({ outlook }: Priced): number => oddsOf(problem, outlook).asWanted;
  const [cheapest, ...dearer] = [...choices].sort((a, b) => costOf(a) - costOf(b));
  if (cheapest === undefined) return [];
  const isStepOfIt = (choice: Priced): boolean =>
    choice.move.lever === cheapest.move.lever && costOf(choice) <= costOf(cheapest) + NEARLY_AS_CHEAP;
  const surest = dearer.filter(isStepOfIt).reduce((best, next) => (odds(next) > odds(best) ? next : best), cheapest);
  return [surest, ...[cheapest, ...dearer].filter((choice) => choice !== surest)];
}
