import { answer, type Advice } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';
import { tasting, variables, walk, type Shot } from './situations.fixture';

const at = (grind: number, yieldGrams: number, timeSeconds: number, balance: number, overall: number): Shot =>
  everydayShot({
    grind,
    yieldGrams,
    planned: { doseGrams: 18, yieldGrams },
    timeSeconds,
    taste: tasting(balance, 0, { overall }),
  });
const next = (shots: Shot[]): Advice => answer(everydayRequest({ ...walk, shots })) as Advice;

/** The grind went to and fro twice; at 36 g the last was off in taste. */
const bitterAt36 = [
  at(15, 36, 24.6, 0, 8.5),
  at(13.5, 36, 27.1, 1, 8),
  at(14, 36, 25.1, 0.5, 8.5),
  at(13, 36, 29.6, 2, 6),
];
const sourAt36 = [
  at(12, 36, 35.5, 0, 8.5),
  at(13.5, 36, 32.8, -1, 8),
  at(13, 36, 35, -0.5, 8.5),
  at(14, 36, 30.4, -2, 6),
];

describe('with the grind turned to and fro twice, what stands in for it', () => {
  it.each([
    [31, 24.2, -0.5, 9],
    [31, 25.3, 0, 8],
    [32, 24.5, 0, 8.5],
    [32, 25, -0.5, 8.5],
  ])(
    'brings %d g in %d s back without going all the way to the water that was bitter',
    (grams, seconds, balance, mark) => {
      const advice = next([...bitterAt36, at(13, grams, seconds, balance, mark)]);
      expect(advice.action).toBe('change');
      expect(variables(advice)).toMatch(/^(yieldGrams|doseGrams\+yieldGrams)$/);
      expect(advice.settings.yieldGrams).toBeGreaterThan(grams);
      expect(advice.settings.yieldGrams).toBeLessThanOrEqual(34);
      expect(advice.expect.timeSeconds.mean).toBeGreaterThan(seconds);
    },
  );

  it.each([
    [41, 35.5, 0.5, 9],
    [41, 36, 0, 8],
    [40, 35.5, 0, 8.5],
  ])('nor brings %d g in %d s back to the water that was sour', (grams, seconds, balance, mark) => {
    const advice = next([...sourAt36, at(14, grams, seconds, balance, mark)]);
    expect(advice.action).toBe('change');
    expect(variables(advice)).toMatch(/^(yieldGrams|doseGrams\+yieldGrams)$/);
    expect(advice.settings.yieldGrams).toBeLessThan(grams);
    expect(advice.settings.yieldGrams).toBeGreaterThanOrEqual(38);
    expect(advice.expect.timeSeconds.mean).toBeLessThan(seconds);
  });
});
