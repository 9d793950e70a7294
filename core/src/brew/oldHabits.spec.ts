import fc from 'fast-check';
import { classicCups, eachOfTwo, glassOfGrams, gramsInGlass } from '../index';

describe('old habits in grams', () => {
  it('reads a glass with its crema, and how far that strays', () => {
    const { value, least, most } = gramsInGlass(60);
    expect(value).toBe(40);
    expect(least).toBeCloseTo(37.5);
    expect(most).toBeCloseTo(42.86, 2);
  });

  it('goes there and back, and holds what it says between its ends', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 500, noNaN: true }), (grams) => {
        const glass = glassOfGrams(grams);
        expect(gramsInGlass(glass.value).value).toBeCloseTo(grams, 6);
        expect(glass.least).toBeLessThan(glass.value);
        expect(glass.value).toBeLessThan(glass.most);
      }),
    );
  });

  it('parts a double among its spouts', () => {
    expect(eachOfTwo(36)).toEqual({ value: 18, least: expect.closeTo(16.2), most: expect.closeTo(19.8) });
  });

  it('makes two classic cups of 14 to 16 g', () => {
    expect(classicCups(2)).toMatchObject({ doseGrams: { value: 15, least: 14, most: 16 }, ml: 50 });
    expect(classicCups(1).doseGrams).toEqual({ value: 7.5, least: 7, most: 8 });
  });
});
