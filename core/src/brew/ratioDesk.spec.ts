import { completeRatio, ratioStyle } from './ratioDesk';

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
