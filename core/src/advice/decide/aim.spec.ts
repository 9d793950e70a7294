import type { Choice } from '../lookahead/choice';
import { everydayRequest, problemOf } from '../advice.fixture';
import { aimedAtWindow } from './aim';

describe('what is aimed at the window', () => {
  const problem = problemOf({ target: { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } } });
  const settings = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };
  const landing = (grind: number, seconds: number[], windowShare = 0.3): Choice => ({
    move: { lever: 'grind', coupled: false, settings: { ...settings, grind } },
    outlook: {
      timeSeconds: Float64Array.from(seconds),
      medianTimeSeconds: seconds[Math.floor(seconds.length / 2)]!,
      windowShare,
    } as Choice['outlook'],
  });
  const aimed = (...choices: Choice[]): number[] =>
    aimedAtWindow(problem, choices).map(({ move }) => move.settings.grind);

  it('lands there by its median and as surely as any, give or take a twentieth', () => {
    expect(
      aimed(landing(13, [22, 25, 28], 0.2), landing(12, [26, 29, 31], 0.4), landing(11, [27, 30, 32], 0.39)),
    ).toEqual([12, 11]);
    expect(aimed(landing(12, [26, 29, 31], 0.4), landing(11, [27, 30, 32], 0.3))).toEqual([12]);
  });

  it('is predicted in it by its mean, too: a slope that may be steep is not gambled on', () => {
    const far = landing(7, [24, 32, 58], 0.32);
    expect(aimed(landing(10, [22, 28, 35]), far)).toEqual([10]);
    expect(aimed(landing(18, [5, 28, 34]), landing(17, [26, 31, 33]))).toEqual([17]);
    expect(aimed(landing(13, [20, 24, 26]), far)).toEqual([7]);
  });

  it('is the nearest where nothing lands', () => {
    expect(aimed(landing(13, [20, 22, 26]), landing(12, [22, 24, 28]), landing(5, [40, 60, 90]))).toEqual([12]);
    expect(aimed()).toEqual([]);
  });
});
