import { answer, type Advice } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';
import { slopePrior } from '../../belief/prior';

const slope = (scale: { min: number; max: number; step: number }): number => Math.exp(slopePrior(scale).mean);

describe('the slope of a grinder nobody knows', () => {
  it('comes from the span of its scale alone where there are no steps', () => {
    expect(slopePrior({ min: 0, max: 40, step: 0 })).toEqual({ mean: Math.log(3 / 40), sd: 0.8 });
  });

  it('lies half way, in ln, between span and step where a step by the span is finer than 4 %', () => {
    expect(slope({ min: 0, max: 40, step: 0.1 })).toBeCloseTo(Math.sqrt((3 / 40) * (0.04 / 0.1)), 9);
  });

  it('follows the span where steps are few, for a scale must reach from a gush to a choke', () => {
    expect(slope({ min: 0, max: 40, step: 2 })).toBeCloseTo((3 / 40) ** 0.9 * (0.04 / 2) ** 0.1, 9);
    expect(slope({ min: 0, max: 40, step: 4 }) * 10).toBeGreaterThan(0.6);
  });

  it('takes no step for more than a quarter, however few there are, and is the same in other numbers', () => {
    expect(slope({ min: 14, max: 15, step: 0.5 }) * 0.5).toBeCloseTo(0.25, 9);
    expect(slope({ min: 0, max: 400, step: 20 }) * 20).toBeCloseTo(slope({ min: 0, max: 40, step: 2 }) * 2, 9);
  });

  it('has no leap where the two rules meet', () => {
    const at = (step: number) => slope({ min: 0, max: 40, step });
    const meeting = (0.04 * 40) / 3;
    expect(at(meeting * 1.001) / at(meeting * 0.999)).toBeCloseTo(1, 2);
  });
});

describe('the first move on a collar of few steps', () => {
  /** Steps finer after a first shot of so many seconds. */
  function stepsFiner(timeSeconds: number, steps: number): number {
    const grinder = { ...everydayRequest().grinder, min: 0, max: steps, step: 1 };
    const start = Math.round(0.4 * steps);
    const taste = { balance: -1.5, body: -1 };
    const shots = [everydayShot({ grind: start, timeSeconds, taste })];
    const { changed, settings } = answer(everydayRequest({ grinder, start: { grind: start }, shots })) as Advice;
    expect(changed.map(({ variable }) => variable)).toEqual(['grind']);
    return start - settings.grind;
  }

  it.each([
    [22, 10, 1, 1],
    [22, 20, 1, 2],
    [19, 12, 1, 2],
    [16, 12, 2, 3],
    [12, 20, 3, 5],
  ])('after %d s on one of %d steps is %d to %d of them', (timeSeconds, steps, least, most) => {
    const moved = stepsFiner(timeSeconds, steps);
    expect(moved).toBeGreaterThanOrEqual(least);
    expect(moved).toBeLessThanOrEqual(most);
  });
});

it('reads a choked shot of a quarter of an hour and is not thrown by it', () => {
  const choked = everydayShot({ timeSeconds: 900, firstDripSeconds: 600, seen: ['dripping'], taste: null });
  const { action, changed, settings, expect: predicted } = answer(everydayRequest({ shots: [choked] })) as Advice;
  expect([action, changed.map(({ variable }) => variable)]).toEqual(['change', ['grind']]);
  expect(settings.grind).toBeGreaterThan(14);
  expect(Object.values(predicted.timeSeconds).every(Number.isFinite)).toBe(true);
});
