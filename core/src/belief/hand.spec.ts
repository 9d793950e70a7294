import { answer, type Advice } from '..';
import { everydayRequest, everydayShot, problemOf } from '../advice/advice.fixture';

describe('the hand that dosed and stopped a shot', () => {
  const handOf = (change: object) => problemOf({ shots: [everydayShot(change)] }).pours[0]!.hand;
  const weighed = handOf({});
  /** What one figure adds to the time's spread, beside what the coffee's gas does anyway. */
  const added = (change: object): number => Math.sqrt(handOf(change).time ** 2 - weighed.time ** 2);

  it('scatters where a figure was assumed, or never said, and only then', () => {
    expect(weighed.isByEye).toBe(false);
    // By Darcy: 1.5 · 0.4 g of 18 g, and 0.92 · 3 g of 36 g.
    expect(added({ assumed: ['doseGrams'] })).toBeCloseTo((1.5 * 0.4) / 18, 9);
    expect(added({ doseGrams: null })).toBeCloseTo((1.5 * 0.4) / 18, 9);
    expect(added({ assumed: ['yieldGrams'] })).toBeCloseTo((0.92 * 3) / 36, 9);
    expect(handOf({ assumed: ['grind', 'temperatureC'] })).toEqual(weighed);
    expect(handOf({ doseGrams: null, grindSeconds: 4.6 })).toEqual(weighed);
  });

  it('is no rule but a belief: the same shots, assumed, say the same less surely', () => {
    const learnedFrom = (change: object) => {
      const shots = [14, 12].map((grind) => everydayShot({ grind, timeSeconds: grind === 14 ? 24 : 29, ...change }));
      return (answer(everydayRequest({ shots })) as Advice).learned.logTimePerUnit!;
    };
    const [sure, unsure] = [learnedFrom({}), learnedFrom({ assumed: ['doseGrams', 'yieldGrams'] })];
    expect(unsure.sd).toBeGreaterThan(sure.sd);
    expect(Math.abs(unsure.mean / sure.mean - 1)).toBeLessThan(0.15);
  });
});
