import fc from 'fast-check';
import { balanceWord, bodyWord, oddsInWords, plainNumber } from './words';

describe('words', () => {
  it.each([
    [0, 'very unlikely'],
    [0.21, '1 in 5'],
    [0.5, '1 in 2'],
    [0.66, '2 in 3'],
    [0.81, '4 in 5'],
    [0.97, 'almost certain'],
  ])('odds of %p are “%s”', (probability, words) => expect(oddsInWords(probability)).toBe(words));

  it('never say odds further than a tenth from the truth', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.06, max: 0.94, noNaN: true }), (probability) => {
        const [a, b] = oddsInWords(probability).split(' in ').map(Number);
        expect(Math.abs(a! / b! - probability)).toBeLessThan(0.1);
      }),
    );
  });

  it.each([
    [-3, 'very sour'],
    [-1.5, 'sour'],
    [-0.5, 'a bit sour'],
    [0, 'balanced'],
    [0.5, 'a bit bitter'],
    [2.5, 'very bitter'],
  ])('balance %p is %s', (balance, word) => expect(balanceWord(balance)).toBe(word));

  it.each([
    [-2, 'thin'],
    [0, 'round'],
    [0.5, 'a bit heavy'],
  ])('body %p is %s', (body, word) => expect(bodyWord(body)).toBe(word));

  it('write a minus that is no hyphen, and nothing below nothing', () => {
    expect([-1.25, -12, -0.004].map((value) => plainNumber(value))).toEqual(['−1.25', '−12', '0']);
  });

  it('write numbers without dust', () => {
    expect([12.5, 36, 0.1 + 0.2, 93.04].map((value) => plainNumber(value, 1))).toEqual(['12.5', '36', '0.3', '93']);
  });
});
