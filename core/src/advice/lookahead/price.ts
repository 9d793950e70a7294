import type { Lever } from '../../method/Method';
import type { Choice, Priced } from './choice';
import { goalsOf } from './goals';
import { shotsToGo } from './lookAhead';
import type { Situation } from './situation';

/** Prices in shots: of 18 g of coffee, of a tolerance's distance from the cup. */
const COFFEE_PRICE = 0.08;
const DISTANCE_PRICE = 0.3;
/** What a cup tells of balance and body when its overall and sweetness are counted in: as if tasted by this sharp a tongue. */
const WHOLE_CUP_SD = 0.35;
/** Price of leaving settings, times the belief that they are right: do not fiddle; and as much more as they are believed a kept recipe. */
const INERTIA_PRICE = { any: 0.2, kept: 0.8 };

/** Most promising first, by what a move brings at once. */
export function byPromise(choices: readonly Choice[]): Choice[] {
  const promise = ({ outlook }: Choice): number => outlook.goodShare - 0.1 * outlook.distance;
  return [...choices].sort((a, b) => promise(b) - promise(a));
}

/**
 * What each of these as the next shot would cost, in shots, by what it is paid for: copies, in the order given.
 *
 * @param candidates every move that could be made next: where one could end is looked for among them
 * @param orderPrice price of a lever's place in its method's order, shots
 */
export function priced(
  { problem, mixture, particles, still }: Situation,
  candidates: Choice[],
  choices: readonly Choice[],
  orderPrice: (lever: Lever | null) => number,
): Priced[] {
  const fiddling = (INERTIA_PRICE.any + INERTIA_PRICE.kept * mixture.keptShare) * still.outlook.goodShare;
  const toGo = shotsToGo({
    particles,
    next: choices.map((choice) => choice.outlook),
    goals: goalsOf(problem, mixture.main, particles, still, candidates),
    tasteSd: WHOLE_CUP_SD,
  });
  const coffee = ({ move }: Choice): number => {
    const purge = move.lever === 'grind' ? (problem.request.grinder.purgeGrams ?? 0) : 0;
    return (COFFEE_PRICE * (move.settings.doseGrams + purge)) / 18;
  };
  return choices.map((choice, i) => ({
    ...choice,
    prices: {
      toGo: toGo[i]!,
      leaving: choice.move.lever === null ? 0 : fiddling,
      coffee: coffee(choice),
      order: orderPrice(choice.move.lever),
      distance: DISTANCE_PRICE * choice.outlook.distance,
    },
  }));
}
