import { after, everydayShot, RIGHT_SHOT as right } from '../advice.fixture';
import { isServedAgain, tastesBothWays } from './cups';
import type { AdviceRequest } from '../../contract/request';

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
