import { findMethod } from '../..';
import {
  after,
  believed,
  everydayRequest,
  everydayShot,
  RIGHT_SHOT as right,
  SOUR_SHOT as sour,
} from '../advice.fixture';
import { costOfClaim, isGoodEnough, mayClaim } from './claim';
import type { AdviceRequest } from '../../contract/request';

describe('a claim', () => {
  const costAfter = (count: number, share: number) =>
    costOfClaim(after(Array.from({ length: count }, () => right)).problem, believed(share));

  it('costs its doubt, and the less the longer the run: good enough is enough', () => {
    expect([costAfter(1, 1), costAfter(9, 1)]).toEqual([0, 0]);
    // Twice the doubt, twice the price.
    expect(costAfter(2, 0.6)).toBeCloseTo(2 * costAfter(2, 0.8), 9);
    const costs = [1, 3, 6, 9, 14, 30].map((count) => costAfter(count, 0.8));
    expect(costs).toEqual([...costs].sort((a, b) => b - a));
    expect(costs[0]!).toBeGreaterThan(2 * costs[3]!);
    expect(costs.at(-1)!).toBeGreaterThan(0);
  });

  it('is never made of what is less likely right than wrong', () => {
    const { problem, evidence } = after([right, right]);
    expect([0.45, 0.55].map((share) => mayClaim(problem, evidence, believed(share)))).toEqual([false, true]);
  });

  it('is made of the very first shot only on a known grinder, and only where that is very likely right', () => {
    const { grinder } = everydayRequest();
    const known = { grinder: { ...grinder, logTimePerUnit: { mean: 0.09, sd: 0.02, shots: 40 } } };
    const claims = (count: number, share: number, change: Partial<AdviceRequest> = known) => {
      const { problem, evidence } = after(
        Array.from({ length: count }, () => right),
        change,
      );
      return mayClaim(problem, evidence, believed(share));
    };
    expect([claims(1, 0.85), claims(1, 0.75), claims(1, 0.85, {})]).toEqual([true, false, false]);
    expect([claims(2, 0.75), claims(2, 0.75, {})]).toEqual([true, true]);
  });

  it('is made of a single cup only where that is right two times in three: another tells luck from the recipe', () => {
    const claims = (shots: AdviceRequest['shots'], share: number) => {
      const { problem, evidence } = after(shots);
      return mayClaim(problem, evidence, believed(share));
    };
    const coarser = { ...sour, grind: 15 };
    expect([0.7, 0.6].map((share) => claims([coarser, right], share))).toEqual([true, false]);
    expect([0.55, 0.45].map((share) => claims([coarser, right, right], share))).toEqual([true, false]);
  });

  it('is made of a single cup in a long dial-in where that is likelier right than wrong, but not of a series', () => {
    const claims = (shots: AdviceRequest['shots'], share: number) => {
      const { problem, evidence } = after(shots);
      return mayClaim(problem, evidence, believed(share));
    };
    const at = (grind: number, shot = sour) => ({ ...shot, grind });
    const search = [at(17), at(16), at(15)];
    const leaning = { ...right, taste: { ...right.taste!, balance: -1, overall: 7 } };
    expect([0.55, 0.45].map((share) => claims([...search, right], share))).toEqual([true, false]);
    expect(claims([...search.slice(1), right], 0.55)).toBe(false);
    // A cup called off, be it by a little and one to serve, takes another, or a mark that outweighs the word.
    const marked = (overall: number) => ({ ...leaning, taste: { ...leaning.taste, overall } });
    expect([6, 7, 8].map((overall) => claims([...search, marked(overall)], 0.9))).toEqual([false, false, true]);
    expect([claims([...search, right, leaning], 0.55), claims([right, leaning], 0.55)]).toEqual([true, false]);
    // Nor is one after a cup marked low, whatever another said at these settings before.
    const beside = (balance: number, overall: number) =>
      claims([...search, right, { ...right, taste: { ...right.taste!, balance, overall } }], 0.9);
    expect([beside(1, 7), beside(1, 5.5), beside(0, 6), beside(0, 6.5)]).toEqual([true, false, false, true]);
    // The same four shots at one setting are no search.
    expect(claims([leaning, leaning, leaning, leaning], 0.9)).toBe(false);
  });

  it('is not held up in a long dial-in by a clock that strays no further than such shots do, if the cup is happily served', () => {
    const search = [17, 16, 15].map((grind) => ({ ...sour, grind }));
    const late = (seconds: number, change: object = {}): AdviceRequest['shots'][number] => ({
      ...right,
      timeSeconds: 32 + seconds,
      taste: { balance: 0, body: 0.5, dryness: 0.5, sweetness: 7, overall: 8, ...change },
    });
    const claims = (...shots: AdviceRequest['shots']) => {
      const { problem, evidence } = after(shots);
      return mayClaim(problem, evidence, believed(0.6));
    };
    expect([1.9, -8.9, 2.1, -9.1].map((seconds) => claims(...search, late(seconds)))).toEqual([
      true,
      true,
      false,
      false,
    ]);
    for (const word of [{ overall: 7.5 }, { balance: 1 }, { body: -1.5 }, { dryness: 1.5 }, { overall: null }])
      expect(claims(...search, late(1.5, word))).toBe(false);
    expect(claims(...search.slice(1), late(1.5))).toBe(false);
  });

  it('is made of a single cup called off only where its taster is known to serve it happily at that mark', () => {
    const cup = (grind: number, balance: number, overall: number) => ({
      ...right,
      grind,
      taste: { balance, body: 0, dryness: 0, overall },
    });
    const shots = [cup(17, -1, 4), cup(16, -1.5, 5), cup(15, -1, 6), cup(14, 1, 6.5)];
    const strict = { best: { mean: 7, sd: 0.2 }, loss: { mean: 1.5, sd: 0.2 }, cups: 30 };
    const claims = (change: Partial<AdviceRequest>): boolean => {
      const { problem, evidence } = after(shots, change);
      expect(problem.pours.at(-1)!.marks.overall).toBeGreaterThanOrEqual(7);
      return mayClaim(problem, evidence, believed(0.95));
    };
    expect(claims({ taster: { overall: strict, sweetness: null } })).toBe(true);
    expect(claims({})).toBe(false);
  });

  it('needs a sound shot that was timed and tasted, however much is believed', () => {
    const claims = (shots: AdviceRequest['shots'], change: Partial<AdviceRequest> = {}) => {
      const { problem, evidence } = after(shots, change);
      return mayClaim(problem, evidence, believed(0.99));
    };
    const twice = (shot: AdviceRequest['shots'][number]) => [shot, shot];
    expect(claims(twice(right))).toBe(true);
    expect(claims(twice({ ...right, taste: null }))).toBe(false);
    expect(claims(twice({ ...right, timeSeconds: null }))).toBe(false);
    expect(claims(twice({ ...right, seen: ['spurts'] }))).toBe(false);
    // Where time is an outcome nobody need have timed it.
    expect(claims(twice({ ...right, timeSeconds: null }), { method: 'open-light' })).toBe(true);
  });

  it('is not made from one shot on a grinder nobody knows, nor from one that any word calls off', () => {
    const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const claims = (shot: AdviceRequest['shots'][number], change: Partial<AdviceRequest> = { grinder }) => {
      const { problem, evidence } = after([{ ...right, ...shot }], change);
      return mayClaim(problem, evidence, believed(0.99));
    };
    expect([claims({}, {}), claims({})]).toEqual([false, true]);
    expect([-0.5, -1].map((body) => claims({ taste: { balance: 0, body } }))).toEqual([true, false]);
    expect([0.5, 1].map((balance) => claims({ taste: { balance, body: 0 } }))).toEqual([true, false]);
    expect([7, 6.5].map((overall) => claims({ taste: { ...right.taste!, overall } }))).toEqual([true, false]);
    expect([32, 32.4].map((timeSeconds) => claims({ timeSeconds }))).toEqual([true, false]);
    expect(claims({ timeSeconds: 39 }, { grinder, method: 'open-light' })).toBe(true);
  });

  it('is not made from the first shot that tells anything either, on a grinder nobody knows', () => {
    const claims = (before: AdviceRequest['shots'][number]) => {
      const { problem, evidence } = after([before, right]);
      return mayClaim(problem, evidence, believed(0.99));
    };
    expect(claims({ ...sour, seen: ['spurts'] })).toBe(false);
    expect(claims({ ...sour, grind: 16 })).toBe(true);
  });

  it('waits for another where one or two cups are all there is and the newest was called off, unless it was happily served', () => {
    const claims = (before: AdviceRequest['shots'], overall: number, share = 0.99) => {
      const newest = { ...right, taste: { balance: -1, body: 0, sweetness: 7, overall } };
      const { problem, evidence } = after([...before, newest]);
      return mayClaim(problem, evidence, believed(share));
    };
    const elsewhere = { ...right, grind: 16 };
    expect([7.5, 8].map((mark) => claims([right], mark))).toEqual([false, true]);
    expect(claims([right], 8, 0.7)).toBe(true);
    // A single such cup is confirmed, however happily it was served.
    expect([7.5, 8, 9].map((mark) => claims([elsewhere], mark))).toEqual([false, false, false]);
    expect(claims([right, right], 7.5)).toBe(true);
  });

  it('waits for another where a single cup ran beside the window, but not late', () => {
    const claims = (before: AdviceRequest['shots'], timeSeconds: number) => {
      const { problem, evidence } = after([...before, { ...right, timeSeconds }]);
      return mayClaim(problem, evidence, believed(0.99));
    };
    const elsewhere = { ...right, grind: 16 };
    const beside = everydayRequest().target.timeSeconds.max + 0.4;
    expect([right.timeSeconds!, beside].map((time) => claims([elsewhere], time))).toEqual([true, false]);
    expect(claims([elsewhere, elsewhere, elsewhere], beside)).toBe(true);
    // Where all before it were spoilt nothing led there, however long it took.
    const spoilt = { ...elsewhere, seen: ['spurts' as const] };
    const isKnown = { grinder: { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } } };
    const afterSpoilt = [right.timeSeconds!, beside].map((timeSeconds) => {
      const { problem, evidence } = after([spoilt, spoilt, spoilt, { ...right, timeSeconds }], isKnown);
      return mayClaim(problem, evidence, believed(0.99));
    });
    expect(afterSpoilt).toEqual([true, false]);
  });

  it.each([0, 1, 2])('waits for the method’s confirming shots: %d', (confirmShots) => {
    const method = { ...findMethod('balance-walk')!, confirmShots };
    const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const claimed = [1, 2, 3].map((count) => {
      const shots = Array.from({ length: count }, () => right);
      const { problem, evidence } = after(shots, { method, grinder });
      return mayClaim(problem, evidence, believed(0.99));
    });
    expect(claimed).toEqual([1, 2, 3].map((count) => count > confirmShots));
  });
});

describe('a claim beside what was just measured', () => {
  const claims = (last: Parameters<typeof everydayShot>[0], change: Partial<AdviceRequest> = {}) => {
    const { problem, evidence } = after([right, right, { ...right, ...last }], change);
    return mayClaim(problem, evidence, believed(0.99));
  };

  it.each([
    [{ timeSeconds: 32.5 }, true],
    [{ timeSeconds: 33 }, false],
    [{ timeSeconds: 22 }, false],
    [{ taste: { balance: 1, body: 0 } }, true],
    [{ taste: { balance: 1.5, body: 0 } }, false],
    [{ taste: { balance: 0, body: -1.5 } }, false],
    [{ taste: { balance: 0, body: 0, dryness: 1.5 } }, true],
    [{ taste: { balance: 1, body: 0, dryness: 2 } }, false],
    [{ taste: { balance: null, body: null, overall: 8 } }, true],
  ])('is believed only where the newest shot is not plainly off: %j', (last, expected) => {
    expect(claims(last)).toBe(expected);
  });

  it('is judged by taste where time is an outcome', () => {
    expect(claims({ timeSeconds: 37 }, { method: 'open-light' })).toBe(true);
  });
});

describe('good enough', () => {
  const isEnough = (shots: AdviceRequest['shots'], share: number) => {
    const { problem, evidence } = after(shots);
    return isGoodEnough(problem, evidence, believed(share));
  };

  it('is what was confirmed by a cup to serve, unless it is believed wrong: the card is written then', () => {
    const unmarked = { ...right, taste: { balance: 0.5, body: 0 } };
    for (const cups of [
      [right, right],
      [unmarked, unmarked],
    ]) {
      expect([0.55, 0.45].map((share) => isEnough(cups, share))).toEqual([true, false]);
    }
    expect(isEnough([right], 0.85)).toBe(false);
    expect(isEnough([sour, right], 0.85)).toBe(false);
    // A channel in between says nothing about the settings.
    expect(isEnough([right, { ...right, seen: ['spurts'] }, right], 0.55)).toBe(true);
  });

  it('is not what leaned to the same side each time and was not happily served, unless it is well believed in', () => {
    const leaning = (balance: number, overall: number) => {
      const cup = { ...right, taste: { balance, body: 0, dryness: 0, sweetness: 7, overall } };
      return (other: number, share: number): boolean => {
        const { problem, evidence } = after([{ ...cup, taste: { ...cup.taste, balance: other } }, cup]);
        return isGoodEnough(problem, evidence, believed(share));
      };
    };
    for (const side of [-0.5, 0.5]) {
      const cups = leaning(side, 7.5);
      expect([cups(side, 0.7), cups(side, 0.8)]).toEqual([false, true]);
      // Even once, or to the one side and the other: that is the tongue.
      expect([cups(0, 0.55), cups(-side, 0.55), leaning(side, 8)(side, 0.55)]).toEqual([true, true, true]);
    }
  });

  it('does not ask for a clock where time is an outcome', () => {
    const open = (timeSeconds: number | null) => {
      const cup = { ...right, timeSeconds };
      const target = { ...everydayRequest().target, timeSeconds: { min: 20, max: 38 } };
      const { problem, evidence } = after([cup, cup], { method: 'open-light', target });
      return isGoodEnough(problem, evidence, believed(0.1, 0.1, 0.6));
    };
    expect([null, 30, 17].map(open)).toEqual([true, true, false]);
  });

  it('is what stood twice and read right, though nobody would serve it happily, where it is well believed in', () => {
    const marked = { ...right, taste: { ...right.taste, overall: 6.5 } };
    expect([0.85, 0.7].map((share) => isEnough([marked, marked], share))).toEqual([true, false]);
    expect(isEnough([sour, marked], 0.85)).toBe(false);
  });

  it('is what read right twice and was odd between: that was noise, if the newest is one to serve', () => {
    const served = { ...right, taste: { ...right.taste, overall: 7.5 } };
    expect(isEnough([served, sour, served], 0.55)).toBe(true);
    expect(isEnough([sour, served, served], 0.55)).toBe(true);
    expect(isEnough([served, sour, served], 0.45)).toBe(false);
    expect(isEnough([right, right, sour], 0.55)).toBe(false);
    expect(isEnough([right, sour, sour, right], 0.55)).toBe(false);
    // Happily served both times: the cups are believed rather than the odds.
    expect(isEnough([right, sour, right], 0.25)).toBe(true);
    expect(isEnough([right, sour, right], 0.15)).toBe(false);
    const unloved = { ...right, taste: { ...right.taste, overall: 6 } };
    expect(isEnough([right, sour, unloved], 0.55)).toBe(false);
  });
});
