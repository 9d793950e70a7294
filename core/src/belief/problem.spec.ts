import { findMethod, METHODS } from '..';
import { everydayRequest, everydayShot, problemOf } from '../advice/advice.fixture';

describe('reading a request', () => {
  it('fills what was left out from the plan, the shot before, and the start', () => {
    const shots = [
      everydayShot({ grind: 13 }),
      { timeSeconds: 25 },
      { planned: { doseGrams: 17 }, doseGrams: 17.2, seen: ['spurts' as const] },
    ];
    const { pours } = problemOf({ shots });
    expect(pours[1]!.planned).toEqual({ grind: 13, doseGrams: 18, yieldGrams: 36, temperatureC: 93 });
    expect(pours[2]!.planned.doseGrams).toBe(17);
    expect(pours[2]!.measured.doseGrams).toBe(17.2);
    expect(pours.map(({ channelled }) => channelled)).toEqual([false, false, true]);
  });

  it('reads another clock on the target’s; where the first drip is not known, by the usual one, and keeps what was read', () => {
    const target = { ...everydayRequest().target, timer: 'first-drip' as const };
    const { pours } = problemOf({
      target,
      shots: [
        everydayShot({ timeSeconds: 28, firstDripSeconds: 6 }),
        everydayShot({ timeSeconds: 28, firstDripSeconds: null }),
      ],
    });
    const usual = findMethod('balance-walk')!.leadSeconds;
    expect(pours.map(({ timeSeconds, clockSeconds, clock }) => [timeSeconds, clockSeconds, clock])).toEqual([
      [22, 22, 'first-drip'],
      [28 - usual, 28, 'pump-on'],
    ]);
  });

  it('starts at the recipe as it was asked for, and in its ratio where the basket holds less', () => {
    const target = { ...everydayRequest().target, yieldGrams: 36.25 };
    expect(problemOf({ target }).start).toMatchObject({ doseGrams: 18, yieldGrams: 36.25 });
    const basket = { nominalGrams: 16, minGrams: 14, maxGrams: 16.8 };
    expect(problemOf({ target, basket }).start).toMatchObject({ doseGrams: 16.8, yieldGrams: 33.8 });
  });

  it('takes a whole method object as it takes a name', () => {
    const named = problemOf({ method: 'slow-soak' });
    const whole = problemOf({ method: METHODS.find(({ id }) => id === 'slow-soak')! });
    expect(whole.method).toEqual(named.method);
  });

  it('guesses a start on the fine side of an unknown scale, in its own direction', () => {
    expect(problemOf({ start: null }).start.grind).toBe(16);
    expect(problemOf({ start: null, grinder: { ...everydayRequest().grinder, finer: 'higher' } }).start.grind).toBe(24);
  });
});
