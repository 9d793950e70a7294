import { after, everydayRequest, RIGHT_SHOT as right } from '../advice.fixture';
import { isInTime } from './inTime';

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
