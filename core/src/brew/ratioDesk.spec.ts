import fc from 'fast-check';
import { completeRatio, ratioStyle, scaleRecipe } from './ratioDesk';

describe('the ratio desk', () => {
  it('gives the third of any two', () => {
    const whole = { doseGrams: 18, yieldGrams: 36, ratio: 2 };
    expect(completeRatio({ ...whole, ratio: null })).toEqual(whole);
    expect(completeRatio({ ...whole, yieldGrams: null })).toEqual(whole);
    expect(completeRatio({ ...whole, doseGrams: null })).toEqual(whole);
    expect(completeRatio({ doseGrams: 18, yieldGrams: null, ratio: null })).toBeNull();
    expect(completeRatio({ doseGrams: 18, yieldGrams: 0, ratio: null })).toBeNull();
  });

  it('names ristretto, normal and lungo', () => {
    expect([1, 1.5, 2, 3].map(ratioStyle)).toEqual(['ristretto', 'ristretto', 'normal', 'lungo']);
  });
});

describe('a recipe in another basket', () => {
  const recipe = { yieldGrams: 36, windowSeconds: { min: 25, max: 32 }, logTimePerUnit: 0.08 };
  const double = { doseGrams: 18, diameterMm: 58 };

  it('stays as it is in the same basket', () => {
    expect(scaleRecipe({ ...recipe, from: double, to: double })).toMatchObject({ yieldGrams: 36, finerUnits: 0 });
  });

  it('goes coarser for more coffee in the same diameter, by the log law', () => {
    const { finerUnits, yieldGrams } = scaleRecipe({ ...recipe, from: double, to: { doseGrams: 21, diameterMm: 58 } });
    expect(yieldGrams).toBe(42);
    expect(finerUnits).toBeCloseTo(-(1.92 * Math.log(21 / 18)) / 0.08, 9);
  });

  it('leads back where it came from', () => {
    const size = fc.record({
      doseGrams: fc.double({ min: 7, max: 25, noNaN: true }),
      diameterMm: fc.double({ min: 40, max: 60, noNaN: true }),
    });
    fc.assert(
      fc.property(size, size, (from, to) => {
        const there = scaleRecipe({ ...recipe, from, to });
        const back = scaleRecipe({ ...recipe, yieldGrams: (36 * to.doseGrams) / from.doseGrams, from: to, to: from });
        expect(there.finerUnits + back.finerUnits).toBeCloseTo(0, 6);
      }),
    );
  });

  it('refuses a basket of nothing', () => {
    expect(() => scaleRecipe({ ...recipe, from: double, to: { doseGrams: 0, diameterMm: 58 } })).toThrow(RangeError);
  });
});
