import fc from 'fast-check';
import {
  findable,
  brewRatio,
  celsiusFromFahrenheit,
  convertTime,
  extractionYieldPercent,
  fahrenheitFromCelsius,
  gramsFromMillilitres,
  millilitresFromGrams,
  smallestTurn,
  snap,
  TIMER_STARTS,
} from '../index';

describe('brew quantities', () => {
  it('computes ratio and extraction yield by their definitions', () => {
    expect(brewRatio(18, 36)).toBe(2);
    expect(extractionYieldPercent({ tdsPercent: 9.5, yieldGrams: 38, doseGrams: 19 })).toBeCloseTo(19, 10);
  });

  it.each([0, -1, NaN, Infinity])('refuses a dose of %p and says which quantity', (dose) => {
    expect(() => brewRatio(dose, 36)).toThrow(/brewRatio: doseGrams/);
  });

  it('knows the fixed points of the temperature scales', () => {
    expect(fahrenheitFromCelsius(100)).toBe(212);
    expect(celsiusFromFahrenheit(32)).toBe(0);
    expect(fahrenheitFromCelsius(93)).toBeCloseTo(199.4, 10);
  });

  it('reads 54 ml with crema as 36 g and back', () => {
    expect(gramsFromMillilitres(54)).toBeCloseTo(36, 10);
    expect(millilitresFromGrams(36)).toBeCloseTo(54, 10);
  });
});

describe('convertTime', () => {
  it('moves between the three clocks', () => {
    const at = { timeSeconds: 28, from: 'pump-on', firstDripSeconds: 6, preBrewSeconds: 20 } as const;
    expect(convertTime({ ...at, to: 'first-drip' })).toBe(22);
    expect(convertTime({ ...at, to: 'total-contact' })).toBe(48);
  });

  it('says null rather than guessing a first drip, or when the drip comes after the end', () => {
    expect(convertTime({ timeSeconds: 28, from: 'pump-on', to: 'first-drip' })).toBeNull();
    expect(convertTime({ timeSeconds: 5, from: 'pump-on', to: 'first-drip', firstDripSeconds: 6 })).toBeNull();
  });

  it('comes back to where it started on every pair of clocks', () => {
    const clock = fc.constantFrom(...TIMER_STARTS);
    fc.assert(
      fc.property(clock, clock, fc.double({ min: 15, max: 90, noNaN: true }), (from, to, timeSeconds) => {
        const facts = { firstDripSeconds: 6, preBrewSeconds: 8 };
        const there = convertTime({ timeSeconds, from, to, ...facts });
        if (there === null) return;
        const back = convertTime({ timeSeconds: there, from: to, to: from, ...facts });
        expect(back).toBeCloseTo(timeSeconds, 9);
      }),
    );
  });
});

describe('a collar', () => {
  const stepless = { min: 0, max: 12, step: 0 };

  it.each([
    [0.3, 0.05],
    [0.15, 0.1],
    [0.07, 0.2],
    [0.015, 0.6],
    [1e-6, 0.6],
  ])('without steps whose unit is %d of ln time is turned by %d at least', (slope, turn) => {
    expect(smallestTurn(stepless, slope)).toBeCloseTo(turn, 12);
    expect(smallestTurn({ ...stepless, step: 0.25 }, slope)).toBe(0.25);
  });

  it('is set to a click, or to a round figure inside its ends', () => {
    expect(findable(5.4283, stepless, 0.3)).toBe(5.45);
    expect(findable(5.4283, { ...stepless, step: 0.25 }, 0.3)).toBe(5.5);
    expect(findable(13, { ...stepless, max: 11.97 }, 0.3)).toBe(11.97);
  });
});

describe('snap', () => {
  it('counts clicks from the end stop', () => {
    expect(snap(3.2, { min: 0.25, max: 10, step: 0.5 })).toBe(3.25);
    expect(snap(99, { min: 0, max: 10.2, step: 0.5 })).toBe(10);
    expect(snap(0.1 + 0.2, { min: 0, max: 1, step: 0.1 })).toBe(0.3);
    // An end with more decimals than are kept is not left by rounding.
    expect(snap(0, { min: 0.26945444, max: 40, step: 0.5 })).toBe(0.26945444);
    expect(snap(99, { min: 0, max: 9.99951, step: 0 })).toBe(9.99951);
  });

  it('always lands on the scale', () => {
    const positive = fc.double({ min: 0.01, max: 5, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: -1e3, max: 1e3, noNaN: true }), positive, positive, (value, span, step) => {
        const got = snap(value, { min: 1, max: 1 + span, step });
        expect(got).toBeGreaterThanOrEqual(1);
        expect(got).toBeLessThanOrEqual(1 + span + 1e-6);
      }),
    );
  });
});
