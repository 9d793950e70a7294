import { findMethod } from '../index';
import { everydayRequest, everydayShot } from './advice.fixture';
import {
  costOfClaim,
  isGoodEnough,
  isServedAgain,
  isToConfirm,
  isTooTight,
  mayClaim,
  mustPrepare,
  plainMiss,
  tastesBothWays,
} from './claim';
import { readEvidence } from './evidence';
import { infer } from './infer';
import type { Outlook } from './particles';
import { isInTime, readProblem } from './problem';
import { adviceRequestSchema, type AdviceRequest } from './request';

const after = (shots: AdviceRequest['shots'], change: Partial<AdviceRequest> = {}) => {
  const problem = readProblem(adviceRequestSchema.parse(everydayRequest({ ...change, shots })));
  return { problem, evidence: readEvidence(problem, infer(problem))! };
};
const believed = (goodShare: number, windowShare = goodShare, tasteShare = goodShare): Outlook =>
  ({ goodShare, windowShare, tasteShare }) as Outlook;
const right = everydayShot({ timeSeconds: 29, taste: { balance: 0, body: 0, sweetness: 7.5, overall: 8 } });
const sour = everydayShot({ timeSeconds: 29, taste: { balance: -1.5, body: 0 } });

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

  it('waits for another where one or two cups are all there is and the newest was called off, unless it was gladly served', () => {
    const claims = (before: AdviceRequest['shots'], overall: number, share = 0.99) => {
      const newest = { ...right, taste: { balance: -1, body: 0, sweetness: 7, overall } };
      const { problem, evidence } = after([...before, newest]);
      return mayClaim(problem, evidence, believed(share));
    };
    const elsewhere = { ...right, grind: 16 };
    expect([7.5, 8].map((mark) => claims([right], mark))).toEqual([false, true]);
    expect([7.5, 8].map((mark) => claims([elsewhere], mark))).toEqual([false, true]);
    // A single such cup takes more belief than two do.
    expect([0.7, 0.85].map((share) => claims([elsewhere], 8, share))).toEqual([false, true]);
    expect(claims([right], 8, 0.7)).toBe(true);
    expect(claims([right, right], 7.5)).toBe(true);
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

describe('a recipe outside the range that a school tolerates', () => {
  const liked = (count: number, timeSeconds: number, method = 'open-light') =>
    after(
      Array.from({ length: count }, () => ({ ...right, timeSeconds })),
      { method, target: { ...everydayRequest().target, timeSeconds: { min: 20, max: 38 } } },
    );
  const asked = ({ problem, evidence }: ReturnType<typeof after>) => {
    const outlook = believed(0.05, 0.05, 0.9);
    return [isToConfirm(problem, evidence, outlook), isGoodEnough(problem, evidence, outlook)];
  };

  it('is pulled again twice and then done, where time is an outcome and the cups are liked', () => {
    expect([1, 2, 3].map((count) => asked(liked(count, 18)))).toEqual([
      [true, false],
      [true, false],
      [false, true],
    ]);
  });

  it('is never done where time is a target', () => {
    expect([1, 2, 3].map((count) => asked(liked(count, 18, 'balance-walk')))).toEqual([
      [false, false],
      [false, false],
      [false, false],
    ]);
  });
});

describe('cups that contradict each other', () => {
  const tasting = (...balances: number[]) => {
    const { problem } = after(balances.map((balance) => everydayShot({ taste: { balance, body: 0 } })));
    return tastesBothWays(problem, problem.pours);
  };

  it.each([
    [[-1.5, 1.5], true],
    [[1.5, -1.5], true],
    [[-1, 1], false],
    [[-1.5, -1.5], false],
    [[1.5, -1.5, -1.5], false],
  ])('are one plainly sour and one plainly bitter, one after the other: %j', (balances, expected) => {
    expect(tasting(...balances)).toBe(expected);
  });
});

describe('what the cups plainly lack', () => {
  const missOf = (...balances: number[]) => {
    const shots = balances.map((balance) => everydayShot({ taste: { balance, body: 0 } }));
    const { problem } = after(shots);
    return plainMiss(problem, problem.pours, 'balance');
  };

  it('is their mean, once it is beyond tolerance and noise', () => {
    expect([missOf(-1.5), missOf(-1), missOf(2, 1), missOf(1.5, -1.5)]).toEqual([-1.5, 0, 1.5, 0]);
  });

  it('is plainer the more cups say so: noise goes with one over the root of their number', () => {
    // 0.6 tolerated and 0.4 of noise: 1.0 for one cup, 0.88 for two, 0.8 for four.
    expect([missOf(1), missOf(1, 1), missOf(1, 0.5, 1, 0.5), missOf(1, 0.5, 1, 1)]).toEqual([0, 1, 0, 0.875]);
  });
});

describe('confirming', () => {
  const confirms = (shots: AdviceRequest['shots'], share: number) => {
    const { problem, evidence } = after(shots);
    return isToConfirm(problem, evidence, believed(share));
  };

  const marked = (overall: number) => ({ ...right, taste: { ...right.taste!, body: 0.5, overall } });

  it('pulls again what poured and tasted right, if it is believed in', () => {
    expect(confirms([marked(6)], 0.65)).toBe(true);
    expect(confirms([marked(6)], 0.55)).toBe(false);
  });

  it('pulls again what one would serve, or nobody marked, on less', () => {
    expect(confirms([marked(7)], 0.55)).toBe(true);
    expect(confirms([right], 0.55)).toBe(true);
    expect(confirms([marked(9)], 0.3)).toBe(true);
    expect(confirms([marked(9)], 0.2)).toBe(false);
  });

  it('does so on less of a cup nobody would turn, and not of one that leans and was marked lower', () => {
    const said = (balance: number, body: number, overall: number | null) =>
      confirms([{ ...right, taste: { balance, body, overall } }], 0.4);
    // Called as wanted in both words: none says which way to turn. Half a point of body: liked is enough. Of balance: only a delight,
    // or a cup that nobody marked.
    expect([said(0, 0, 5), said(0, 0.5, 7), said(0, 0.5, 6.5)]).toEqual([true, true, false]);
    expect([said(-0.5, 0, 9), said(-0.5, 0.5, null)]).toEqual([true, true]);
    expect([said(-0.5, 0, 8.5), said(0.5, 0, 7)]).toEqual([false, false]);
    expect([said(0, 1, 9), said(0, -1, null)]).toEqual([false, false]);
    // Gladly served from a shot that strayed: noise explains both.
    const strayed = { ...right, timeSeconds: 34, taste: { balance: 0.5, body: 0.5, overall: 8 } };
    expect(confirms([strayed], 0.4)).toBe(true);
  });

  it('has no reason after a cup that was off, untasted, out of time or spoilt', () => {
    expect(confirms([sour], 0.7)).toBe(false);
    expect(confirms([{ ...right, taste: null }], 0.7)).toBe(false);
    expect(confirms([{ ...right, timeSeconds: 21 }], 0.7)).toBe(false);
    expect(confirms([{ ...right, seen: ['spurts'] }], 0.7)).toBe(false);
  });

  it('ends once the settings stood twice', () => {
    expect(confirms([sour, right], 0.7)).toBe(false);
    const served = { ...right, taste: { ...right.taste, overall: 6.5 } };
    expect([[served], [served, served]].map((shots) => confirms(shots, 0.7))).toEqual([true, false]);
  });

  it('is worth a third pull where each cup was liked: a liked cup is not moved on a suspicion', () => {
    expect([1, 2, 3].map((count) => confirms(Array(count).fill(right), 0.3))).toEqual([true, true, false]);
    expect(confirms([right, right], 0.2)).toBe(false);
    expect(confirms([sour, right], 0.3)).toBe(false);
  });

  it('believes a mark of eight beside a word that noise may have put there, and neither a lesser mark nor a plain word', () => {
    const said = (balance: number, overall: number) =>
      confirms([{ ...right, taste: { balance, body: 0, overall } }], 0.6);
    expect([said(1, 8), said(-1, 9.5)]).toEqual([true, true]);
    expect([said(1, 7.5), said(-1.5, 8)]).toEqual([false, false]);
    // A delight is forgiven half a point more, not a plain fault.
    expect([said(1.5, 9), said(1.5, 8.5), said(2, 9.5)]).toEqual([true, false, false]);
  });

  it('forgives a gladly served cup two seconds, and no more, and no lesser cup', () => {
    const late = (timeSeconds: number, overall: number) => [
      { ...right, timeSeconds, taste: { ...right.taste, overall } },
    ];
    expect([33, 34, 34.1].map((seconds) => confirms(late(seconds, 8.5), 0.4))).toEqual([true, true, false]);
    expect(confirms(late(33, 7), 0.4)).toBe(false);
  });
});

describe('good enough', () => {
  const isEnough = (shots: AdviceRequest['shots'], share: number) => {
    const { problem, evidence } = after(shots);
    return isGoodEnough(problem, evidence, believed(share));
  };

  it('is what stood twice, read right each time and is well believed in', () => {
    expect(isEnough([right, right], 0.85)).toBe(true);
    expect(isEnough([right, right], 0.7)).toBe(false);
    expect(isEnough([right], 0.85)).toBe(false);
    expect(isEnough([sour, right], 0.85)).toBe(false);
    // A channel in between says nothing about the settings.
    expect(isEnough([right, { ...right, seen: ['spurts'] }, right], 0.85)).toBe(true);
  });

  it('is what read right twice and was odd between: that was noise, if the newest is one to serve', () => {
    const served = { ...right, taste: { ...right.taste, overall: 7.5 } };
    expect(isEnough([served, sour, served], 0.55)).toBe(true);
    expect(isEnough([sour, served, served], 0.55)).toBe(true);
    expect(isEnough([served, sour, served], 0.45)).toBe(false);
    expect(isEnough([right, right, sour], 0.55)).toBe(false);
    expect(isEnough([right, sour, sour, right], 0.55)).toBe(false);
    // Gladly served both times: the cups are believed rather than the odds.
    expect(isEnough([right, sour, right], 0.25)).toBe(true);
    expect(isEnough([right, sour, right], 0.15)).toBe(false);
    const unloved = { ...right, taste: { ...right.taste, overall: 6 } };
    expect(isEnough([right, sour, unloved], 0.55)).toBe(false);
  });
});

describe('a cup that is served again and again', () => {
  const cup = (balance: number, overall: number, timeSeconds = 29) => ({
    ...right,
    timeSeconds,
    taste: { balance, body: 0, overall },
  });
  const isDone = (...shots: AdviceRequest['shots']) => {
    const { problem, evidence } = after(shots);
    return isServedAgain(problem, evidence.sameSettings);
  };

  it('is done the third time, though a word was a point out', () => {
    expect(isDone(cup(0, 8), cup(-1, 7.5), cup(-0.5, 7.5))).toBe(true);
    expect(isDone(cup(0, 8), cup(-0.5, 7.5))).toBe(false);
  });

  it('is not while the newest is none to serve, or all lean one way', () => {
    expect(isDone(cup(0, 8), cup(-0.5, 7.5), cup(-1, 7.5))).toBe(false);
    expect(isDone(cup(0, 8), cup(-0.5, 7.5), cup(-0.5, 6))).toBe(false);
    expect(isDone(cup(-1, 8), cup(-1, 7.5), cup(-0.5, 7.5))).toBe(false);
  });

  it('outweighs one in four that was off', () => {
    const late = cup(0, 8, 36);
    expect(isDone(cup(0, 8), late, cup(0, 8))).toBe(false);
    expect(isDone(cup(0, 8), late, cup(0, 8), cup(0, 8))).toBe(true);
    expect(isDone(cup(0, 8), late, late, cup(0, 8), cup(0, 8))).toBe(false);
  });
});

describe('in time', () => {
  it.each([
    [24.4, false],
    [24.5, true],
    [28, true],
    [32.5, true],
    [32.6, false],
    [null, false],
  ])('counts half a second of grace around 25–32 s: %s', (timeSeconds, expected) => {
    const target = { ...everydayRequest().target, timeSeconds: { min: 25, max: 32 } };
    const { problem } = after([{ ...right, timeSeconds }], { target });
    expect(isInTime(problem, problem.pours[0]!)).toBe(expected);
  });
});

describe('preparing', () => {
  const channel = { ...sour, seen: ['spurts' as const] };
  const prepares = (shots: AdviceRequest['shots'], windowShare: number) => {
    const { problem, evidence } = after(shots);
    return mustPrepare(problem, evidence, believed(0, windowShare));
  };
  const isTight = (shots: AdviceRequest['shots']) => {
    const { problem, evidence } = after(shots);
    return isTooTight(problem, evidence);
  };

  it('comes after channels seen twice, or one that may explain the time', () => {
    expect(prepares([channel, channel], 0)).toBe(true);
    expect(prepares([right, channel], 0.5)).toBe(true);
    expect(prepares([right], 0.5)).toBe(false);
  });

  it('comes once after sour and harsh, then something must be moved', () => {
    const harsh = { ...sour, taste: { balance: -1.5, body: 0, dryness: 2.5 } };
    expect(prepares([harsh], 0.5)).toBe(true);
    expect(prepares([harsh, harsh], 0.5)).toBe(false);
    expect([[harsh], [harsh, harsh]].map(isTight)).toEqual([false, true]);
  });

  it('is not asked of the hand a third time: the bed is too tight, unless it ran short', () => {
    expect(prepares([channel, channel, channel], 0.5)).toBe(false);
    expect(
      [
        [channel, channel],
        [channel, channel, channel],
        [channel, right, channel],
      ].map(isTight),
    ).toEqual([false, true, false]);
    const gushing = { ...channel, timeSeconds: 17 };
    expect(isTight([gushing, gushing, gushing])).toBe(false);
  });

  it('is asked again where a channel was seen, though the cup was harsh; and of a short shot once more while its settings are believed in', () => {
    const harsh = { ...channel, taste: { balance: -1.5, body: 0, dryness: 2.5 } };
    expect([1, 2, 3].map((count) => prepares(Array(count).fill(harsh), 0.5))).toEqual([true, true, false]);
    const short = { ...harsh, timeSeconds: 21 };
    expect([0.3, 0.6].map((share) => prepares([short, short, short], share))).toEqual([false, true]);
    expect(prepares([short, short, short, short], 0.6)).toBe(false);
  });

  it('cannot mend a shot that is too slow in spite of its channel', () => {
    const choking = { ...channel, timeSeconds: 95 };
    expect(prepares([sour, choking], 0.1)).toBe(false);
    expect(prepares([sour, choking], 0.4)).toBe(true);
  });
});
