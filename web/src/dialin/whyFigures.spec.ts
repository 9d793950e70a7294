import fc from 'fast-check';
import type { Review } from '@olvet/core';
import { shotView } from '../../testing/sheet.fixture';
import { densities, forecasts, percentTicks } from './whyFigures';

describe('densities', () => {
  const before = { mean: 0.08, sd: 0.05 };
  const now = { mean: 0.1, sd: 0.01 };
  const points = densities(before, now);
  const step = (points[1]!.percent - points[0]!.percent) / 100;
  const sum = (pick: (point: (typeof points)[number]) => number) =>
    points.reduce((total, p) => total + pick(p) * step, 0);

  it('hold all of the newer belief and most of the older one', () => {
    expect(sum(({ now: d }) => d)).toBeCloseTo(1, 2);
    expect(sum(({ before: d }) => d)).toBeGreaterThan(0.85);
  });

  it('have the mean they were given', () => {
    expect(sum(({ now: d, percent }) => (d * percent) / 100)).toBeCloseTo(0.1, 3);
  });
});

describe('the ticks of their axis', () => {
  it('are round figures inside it', () => {
    expect(percentTicks([{ percent: 4 }, { percent: 10.7 }])).toEqual([4, 5, 6, 7, 8, 9, 10]);
    expect(percentTicks([{ percent: 0.3 }, { percent: 24 }])).toEqual([5, 10, 15, 20]);
  });

  it('are few, rising and never the same twice', () => {
    const axis = fc.tuple(
      fc.double({ min: 0.01, max: 30, noNaN: true }),
      fc.double({ min: 0.5, max: 200, noNaN: true }),
    );
    fc.assert(
      fc.property(axis, ([low, width]) => {
        const ticks = percentTicks([{ percent: low }, { percent: low + width }]);
        expect(ticks.length).toBeLessThanOrEqual(8);
        expect(new Set(ticks).size).toBe(ticks.length);
        for (const tick of ticks) {
          expect(tick).toBeGreaterThan(low - 0.06);
          expect(tick).toBeLessThan(low + width + 0.06);
        }
      }),
    );
  });
});

describe('forecasts', () => {
  it('set what was predicted of each shot beside what came, also where nobody timed it', () => {
    const predicted = { timeSeconds: { mean: 28, p10: 25, p90: 31 } };
    const review = {
      shots: [
        { predicted, sigmas: -2.6, surprising: true },
        { predicted, sigmas: null, surprising: false },
      ],
    } as unknown as Review;
    const shots = [shotView('a', { timeSeconds: 21 }), shotView('b', { timeSeconds: null })];
    expect(forecasts(review, shots)).toEqual([
      { number: 1, range: [25, 31], seconds: 21, sigmas: -2.6, surprising: true },
      { number: 2, range: [25, 31], seconds: null, sigmas: null, surprising: false },
    ]);
  });
});
