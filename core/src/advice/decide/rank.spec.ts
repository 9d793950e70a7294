import { everydayRequest, everydayShot, problemOf } from '../advice.fixture';
import { costOf, type Priced } from '../lookahead/choice';
import { costOfClaim, mayClaim } from './claim';
import { oddsOf } from '../../belief/particles';
import { decide } from './decide';
import type { Decision } from './decision';

type Decided = Decision & { asWanted: (choice: Priced) => number };

const decided = (method: string, timeSeconds: number, balance: number): Decided => {
  const shots = [everydayShot({ timeSeconds, taste: { balance, body: 0, dryness: 0 } })];
  const problem = problemOf({ method, shots });
  return { ...decide(problem, 'ranked'), asWanted: ({ outlook }) => oddsOf(problem, outlook).asWanted };
};
const decisions = ['one-lever', 'balance-walk', 'open-light'].flatMap((method) =>
  [14, 18, 22, 24, 28, 34, 38, 45].flatMap((seconds) =>
    [-2, -1.5, -1, 1, 1.5, 2].map((balance) => decided(method, seconds, balance)),
  ),
);

describe('what is done next', () => {
  const moved = decisions.filter(({ action, others }) => action === 'change' && others.length > 0);
  /** How much dearer and how much likelier as wanted the advised move is than the other step of its lever that is offered beside it. */
  const steps = moved.flatMap(({ chosen, others, asWanted }) => {
    const other = others.find(({ move, prices }) => prices && move.lever === chosen.move.lever);
    if (!other) return [];
    const [one, two] = [chosen as Priced, other as Priced];
    return [{ dearer: costOf(one) - costOf(two), likelier: asWanted(one) - asWanted(two) }];
  });

  it('is the step of a lever that promises most among those that cost nearly the same', () => {
    const dear = steps.filter(({ dearer }) => dearer > 0);
    expect(dear.length).toBeGreaterThan(3);
    for (const { likelier } of dear) expect(likelier).toBeGreaterThan(0);
    for (const { dearer } of dear) expect(dearer).toBeLessThanOrEqual(0.3);
    // The other one shown is the cheapest left of its lever: a likelier one is passed by only where it costs plainly more.
    const passed = steps.filter(({ dearer, likelier }) => dearer <= 0 && likelier < 0);
    for (const { dearer } of passed) expect(dearer).toBeLessThan(-0.3);
    expect(passed.length).toBeGreaterThan(0);
  });

  it('is cheaper than any other lever whose turn it is, but for the step that was nearly as cheap', () => {
    expect(moved.length).toBeGreaterThan(50);
    for (const { chosen, others } of moved) {
      const rivals = others.filter((choice): choice is Priced => choice.prices !== undefined);
      for (const rival of rivals.filter(({ move }) => move.lever !== chosen.move.lever && move.lever !== null)) {
        expect(costOf(chosen as Priced)).toBeLessThanOrEqual(costOf(rival) + 0.3);
      }
    }
  });

  it('is a card rather than what costs more shots, however few another move would take that nobody would make', () => {
    const { grinder } = everydayRequest();
    const known = { grinder: { ...grinder, logTimePerUnit: { mean: 0.09, sd: 0.02, shots: 40 } } };
    // One cup where a fast one was made finer: it read right, so it is called or confirmed, and nothing else.
    const after = [27, 29, 31.5].flatMap((timeSeconds) =>
      [0, 0.5, -0.5].flatMap((balance) =>
        [-0.5, 0, 0.5].flatMap((body) =>
          [7, 8, 9].map((overall) => {
            const fast = everydayShot({ grind: 16, timeSeconds: 21, taste: { balance: -1.5, body: -1, overall: 5 } });
            const fine = everydayShot({ timeSeconds, taste: { balance, body, dryness: 0, overall } });
            const problem = problemOf({ ...known, shots: [fast, fine] });
            return { problem, decision: decide(problem, 'ranked') };
          }),
        ),
      ),
    );
    const cost = ({ problem, decision }: (typeof after)[number]): number => costOfClaim(problem, decision.here);
    const toGo = ({ decision }: (typeof after)[number]): number => (decision.chosen as Priced).prices.toGo;
    const confirmed = after.filter(
      ({ problem, decision: { stage, evidence, here } }) => stage === 'confirm' && mayClaim(problem, evidence!, here),
    );
    const called = after.filter(({ decision }) => decision.action === 'dialled');
    expect(confirmed.length).toBeGreaterThan(3);
    expect(called.length).toBeGreaterThan(3);
    for (const it of confirmed) expect(cost(it)).toBeGreaterThan(toGo(it));
    for (const it of called) expect(cost(it)).toBeLessThanOrEqual(toGo(it));
  });

  it('has every price named, and none of them pays anybody', () => {
    for (const { chosen } of moved) {
      const { prices } = chosen as Priced;
      for (const price of Object.values(prices)) expect(price).toBeGreaterThanOrEqual(0);
      expect(prices.toGo).toBeGreaterThanOrEqual(1);
      expect(costOf(chosen as Priced)).toBeCloseTo(
        Object.values(prices).reduce((sum, price) => sum + price, 0),
        12,
      );
    }
  });
});
