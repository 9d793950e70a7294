import { densities } from './whyFigures';

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
