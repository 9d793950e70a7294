import { createRandom } from '../puck';
import { rayleighP, roseOf } from '.';

const times = (hour: number, count: number): number[] => Array.from({ length: count }, () => hour);

describe('spurts round the clock', () => {
  it('lean where they gather, and says how many lie there', () => {
    const rose = roseOf([...times(1, 4), ...times(2, 6), ...times(3, 4), 5, 7, 8, 10, 11]);
    expect(rose.total).toBe(19);
    expect(rose.lean).toEqual({ from: 1, to: 3, count: 14 });
    expect(rose.p).toBeLessThan(0.01);
  });

  it('lean across twelve as well', () => {
    expect(roseOf([...times(12, 5), ...times(11, 2), ...times(1, 2)]).lean).toEqual({ from: 11, to: 1, count: 9 });
  });

  it('have no verdict where chance would do it, where they oppose each other, or where there are few', () => {
    expect(roseOf([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]).lean).toBeNull();
    expect(roseOf([...times(3, 10), ...times(9, 10)]).lean).toBeNull();
    expect(roseOf([2, 2, 2]).lean).toBeNull();
    expect(roseOf([])).toMatchObject({ total: 0, p: 1, lean: null });
  });

  // The series of Greenwood and Durand (1955), with z = R²/n.
  const series = (n: number, z: number): number =>
    Math.exp(-z) *
    (1 + (2 * z - z ** 2) / (4 * n) - (24 * z - 132 * z ** 2 + 76 * z ** 3 - 9 * z ** 4) / (288 * n ** 2));

  it.each([
    [8, 2.9],
    [20, 2.95],
    [20, 1],
    [50, 4],
  ])('gives Rayleigh’s p as its published series does for n = %d, z = %d', (n, z) => {
    expect(Math.abs(rayleighP(n, Math.sqrt(z * n)) - series(n, z))).toBeLessThan(0.002);
  });

  it('cries wolf about once in twenty', () => {
    const random = createRandom('rose');
    const found = Array.from({ length: 2000 }, () =>
      roseOf(Array.from({ length: 12 }, () => 1 + Math.floor(12 * random()))),
    ).filter(({ lean }) => lean !== null).length;
    expect(found / 2000).toBeGreaterThan(0.03);
    expect(found / 2000).toBeLessThan(0.07);
  });
});
