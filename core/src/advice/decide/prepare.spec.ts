import { after, believed, RIGHT_SHOT as right, SOUR_SHOT as sour } from '../advice.fixture';
import { isTooTight, mustPrepare } from './prepare';
import type { AdviceRequest } from '../../contract/request';

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

  it('cannot fix a shot that is too slow in spite of its channel', () => {
    const choking = { ...channel, timeSeconds: 95 };
    expect(prepares([sour, choking], 0.1)).toBe(false);
    expect(prepares([sour, choking], 0.4)).toBe(true);
  });
});
