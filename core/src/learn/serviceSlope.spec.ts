import { createRandom, drawNormal } from '../index';
import { combineSlopes } from './lesson';
import { serviceLessons, type ServedShot } from './serviceSlope';

const HOUR = 3600_000;
const shot = (hour: number, grind: number, timeSeconds: number, change: Partial<ServedShot> = {}): ServedShot => ({
  stationId: 'left',
  coffeeId: 'coffee',
  pulledAt: new Date(hour * HOUR),
  grind,
  timeSeconds,
  yieldGrams: 36,
  ...change,
});

describe('what service teaches of a grinder', () => {
  it('is the change of ln time from before a turn to after it, by the units turned', () => {
    const before = [25, 25, 25].map((seconds, i) => shot(i / 10, 12, seconds));
    const after = [30, 30, 30].map((seconds, i) => shot(1 + i / 10, 10, seconds));
    const [lesson] = serviceLessons([...before, ...after], -1);
    expect(Math.exp(lesson!.slope.mean)).toBeCloseTo(Math.log(30 / 25) / 2, 9);
    expect(lesson!.shots).toBe(6);
    // Two units, and a variance of 0.06² · 2/3 + 0.03².
    const slope = Math.log(30 / 25) / 2;
    expect(lesson!.slope.precision).toBeCloseTo((slope ** 2 * 4) / (0.06 ** 2 * (2 / 3) + 0.03 ** 2), 6);
  });

  it('is nothing where nothing was turned, where it was hours ago, another coffee, or not clear', () => {
    const none = (shots: ServedShot[]) => expect(serviceLessons(shots, -1)).toEqual([]);
    none([shot(0, 12, 25), shot(1, 12, 30)]);
    none([shot(0, 12, 25), shot(9, 10, 30)]);
    none([shot(0, 12, 25), shot(1, 10, 30, { coffeeId: 'other' })]);
    none([shot(0, 12, 25), shot(1, 11.5, 25.5)]);
    none([shot(0, 12, 30), shot(1, 10, 25)]);
  });

  it('finds the slope of a grinder from a month of small turns, and narrows what is known of it', () => {
    const random = createRandom('service');
    const [shots, slope] = [[] as ServedShot[], 0.07];
    let grind = 12;
    for (let day = 0; day < 30; day += 1) {
      for (let i = 0; i < 12; i += 1) {
        if (i === 6) grind += random() < 0.5 ? 1.5 : -1.5;
        const seconds = 29 * Math.exp(-slope * (grind - 12) + drawNormal(random, 0, 0.05));
        shots.push(shot(24 * day + i / 2, grind, seconds));
      }
    }
    const lessons = serviceLessons(shots, -1);
    const known = combineSlopes({ min: 0, max: 40, step: 0.5 }, [], lessons)!;
    expect(Math.abs(known.mean - slope)).toBeLessThan(2.5 * known.sd);
    expect(known.sd).toBeLessThan(0.012);
  });
});
