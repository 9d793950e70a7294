import { learnedTasteInWords, marksInWords, palateInWords, slopeInWords } from './learned';

const ODA = { person: 'Oda', balance: 0, body: 0, balanceSd: 0.21, bodySd: 0.3, tastings: 9, marks: null };

describe('what was learned, in words', () => {
  it.each([
    [0.0876, 0.012, 'one unit finer adds 8.8\u00a0% to the time (±1.2, from 9 shots)'],
    [0.361, 0.28, 'one unit finer adds perhaps 36\u00a0% to the time (±28, from 9 shots): still mostly a guess'],
  ])('says how a grinder answers, and how far that is a guess: %d ± %d', (mean, sd, words) => {
    expect(slopeInWords({ mean, sd, shots: 9 })).toBe(words);
  });

  it('names the recipe at which a coffee tastes so', () => {
    const taste = { ratio: 2.1, middleSeconds: 30, temperatureC: null, shots: 12 };
    const words = learnedTasteInWords({ ...taste, balance: { mean: 0.64, sd: 0.31 }, body: { mean: -1.2, sd: 0.4 } });
    expect(words).toBe(
      'At 1:2.1 in about 30 s it pours a bit bitter and thin (balance +0.6 ±0.3, from 12 tasted shots).',
    );
  });

  it.each([
    [0.04, 'Likes it balanced, as the scale has it (0 ±0.2, from 9 cups).'],
    [0.3, 'Likes it a touch to the bitter side of balanced (+0.3 ±0.2, from 9 cups).'],
    [-0.7, 'Likes it clearly to the sour side of balanced (−0.7 ±0.2, from 9 cups).'],
  ])('says where somebody likes a cup: %d', (balance, words) => {
    expect(palateInWords({ ...ODA, balance })).toBe(words);
  });

  it('says how somebody marks, and nothing of those who only marked sweetness or nothing', () => {
    const overall = { best: { mean: 8.42, sd: 0.3 }, loss: { mean: 1.18, sd: 0.2 }, cups: 9 };
    expect(marksInWords({ ...ODA, marks: { overall, sweetness: null } })).toBe(
      'Marks such a cup about 8.4 of 10, and takes off 1.2 for a point away from it.',
    );
    expect(marksInWords({ ...ODA, marks: { overall: null, sweetness: overall } })).toBe('');
    expect(marksInWords(ODA)).toBe('');
  });
});
