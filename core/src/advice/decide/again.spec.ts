import { after, believed, everydayRequest, RIGHT_SHOT as right, SOUR_SHOT as sour } from '../advice.fixture';
import { isToConfirm, isWorthFixing } from './again';
import type { Choice } from '../lookahead/choice';
import type { Lever } from '../../method/Method';
import { isGoodEnough } from './claim';
import type { AdviceRequest } from '../../contract/request';

describe('confirming', () => {
  const confirms = (shots: AdviceRequest['shots'], share: number) => {
    const { problem, evidence } = after(shots);
    return isToConfirm(problem, evidence, believed(share));
  };

  const even = (overall: number) => ({ ...right, taste: { ...right.taste, overall } });
  const elsewhere = { ...sour, grind: right.grind! + 3 };
  const marked = (overall: number) => ({ ...right, taste: { ...right.taste!, body: 0.5, overall } });

  it('pulls again what poured and tasted right, if it is believed in', () => {
    expect(confirms([marked(6)], 0.65)).toBe(true);
    expect(confirms([marked(6)], 0.55)).toBe(false);
  });

  it('pulls again what one would serve, or nobody marked, on less', () => {
    expect(confirms([marked(7)], 0.55)).toBe(true);
    expect(confirms([right], 0.55)).toBe(true);
    expect(confirms([even(7.5)], 0.3)).toBe(true);
    expect(confirms([even(7.5)], 0.2)).toBe(false);
  });

  it('does so on less of a cup nobody would turn, and not of one that leans and was marked lower', () => {
    const said = (
      balance: number,
      body: number,
      overall: number | null,
      before: AdviceRequest['shots'] = [elsewhere],
    ) => confirms([...before, { ...right, taste: { balance, body, overall } }], 0.4);
    // Called as wanted in both words: none says which way to turn. Half a point of body: passable is enough. Of balance: happily
    // served, or a cup that nobody marked.
    expect([said(0, 0, 5), said(0, 0.5, 6.5), said(0, 0.5, 6)]).toEqual([true, true, false]);
    expect([said(-0.5, 0, 8), said(-0.5, 0.5, null)]).toEqual([true, true]);
    expect([said(-0.5, 0, 7.5), said(0.5, 0, 7)]).toEqual([false, false]);
    expect([said(0, 1, 9), said(0, -1, null)]).toEqual([false, false]);
    // The first that tells anything: one to serve is enough.
    const spoilt: AdviceRequest['shots'] = [{ ...elsewhere, seen: ['spurts', 'puck-crater'] }];
    expect([said(-0.5, 0, 7, []), said(0.5, 0, 7, spoilt), said(0.5, 0, 6.5, [])]).toEqual([true, true, false]);
    // Happily served from a shot that strayed: noise explains both.
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
    expect([1, 2].map((count) => confirms(Array(count).fill(even(7.5)), 0.2))).toEqual([false, false]);
    expect(confirms([sour, right], 0.3)).toBe(false);
  });

  it('pulls a cup again that was happily served each time and called off by a hint at most, whatever is believed, but not for ever', () => {
    const hint = { ...right, taste: { balance: -0.5, body: 0, overall: 9 } };
    const sourish = { ...right, taste: { balance: -1, body: 0, overall: 8.5 } };
    expect([[hint], [sourish, hint], [hint, hint, hint]].map((shots) => confirms(shots, 0.1))).toEqual([
      true,
      true,
      false,
    ]);
    // The newest says more than a hint, or one was not happily served, or ran beside the window.
    expect([[sourish], [even(7.5), hint], [{ ...hint, timeSeconds: 33 }]].map((shots) => confirms(shots, 0.1))).toEqual(
      [false, false, false],
    );
  });

  it('believes a mark of eight beside a word that noise may have put there, and neither a lesser mark nor a plain word', () => {
    const said = (balance: number, overall: number) =>
      confirms([{ ...right, taste: { balance, body: 0, overall } }], 0.6);
    expect([said(1, 8), said(-1, 9.5)]).toEqual([true, true]);
    expect([said(1, 7.5), said(-1.5, 8)]).toEqual([false, false]);
    // A delight is forgiven half a point more, not a plain fault.
    expect([said(1.5, 9), said(1.5, 8.5), said(2, 9.5)]).toEqual([true, false, false]);
  });

  it('forgives a happily served cup two seconds, and no more, and no lesser cup', () => {
    const late = (timeSeconds: number, overall: number) => [
      { ...right, timeSeconds, taste: { ...right.taste, overall } },
    ];
    expect([33, 34, 34.1].map((seconds) => confirms(late(seconds, 8.5), 0.4))).toEqual([true, true, false]);
    expect(confirms(late(33, 7), 0.4)).toBe(false);
  });
});

describe('fixing a cup that leans, instead of confirming it', () => {
  const choice = (lever: Lever | null, balance: number, share: number) =>
    ({ move: { lever }, outlook: { ...believed(share), balance: [balance] } }) as unknown as Choice;
  const still = choice(null, -0.4, 0.4);
  const sourer = { ...sour, grind: 18, timeSeconds: 22 };
  const called = (balance: number, overall: number | null) => ({ ...right, taste: { balance, body: 0, overall } });
  const fixes = (shots: AdviceRequest['shots'], share: number, balance = -0.1, lever: Lever | null = 'grind') => {
    const { problem, evidence } = after(shots);
    return isWorthFixing(problem, evidence, still, choice(lever, balance, share));
  };

  it('pays where that promises much more, and more still beside a cup happily served', () => {
    const shares = [0.45, 0.55, 0.75];
    expect(shares.map((share) => fixes([sourer, called(-0.5, 7.5)], share))).toEqual([false, true, true]);
    expect(shares.map((share) => fixes([sourer, called(-0.5, 8)], share))).toEqual([false, false, true]);
    // The second time here a tenth is enough, unless both were happily served.
    expect(fixes([sourer, called(-0.5, 7), called(-0.5, 8)], 0.55)).toBe(true);
    expect(fixes([sourer, called(-0.5, 8), called(-0.5, 8)], 0.95)).toBe(false);
  });

  it('does not where the cup is even, or would be led further the way it leans, or nothing is turned', () => {
    expect(fixes([sourer, called(0, 7.5)], 0.75)).toBe(false);
    expect(fixes([sourer, called(0.5, 7.5)], 0.75)).toBe(false);
    expect(fixes([sourer, called(-0.5, 7.5)], 0.75, -0.4, null)).toBe(false);
  });

  it('does not after the first cup that tells anything, nor one that nobody marked', () => {
    expect(fixes([called(-0.5, 7.5)], 0.95)).toBe(false);
    expect(fixes([{ ...sourer, seen: ['spurts', 'puck-crater'] }, called(-0.5, 7.5)], 0.95)).toBe(false);
    expect(fixes([sourer, called(-0.5, null)], 0.95)).toBe(false);
  });

  it('does not for a light roast’s acidity that sweetness balances', () => {
    const bright = { ...right, taste: { balance: -0.5, body: 0, sweetness: 8, overall: 8 } };
    const asked = (roast: 'light' | 'medium') => {
      const { problem, evidence } = after([sourer, bright], { coffee: { roast } });
      return isWorthFixing(problem, evidence, still, choice('grind', -0.1, 0.95));
    };
    expect([asked('light'), asked('medium')]).toEqual([false, true]);
  });
});

describe('a recipe outside the range that a method tolerates', () => {
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
