import { parseShotLine, shotLineInWords } from '../index';

it.each([
  ['19 47 50 sour harsh grind 16', '19 g → 47 g · 50 s · sour, harsh · grind 16'],
  ['16.8+17.5 28s', 'yield 16.8 + 17.5 g · 28 s'],
  ['18 > 2×17 in 28 serve', '18 g → 34 g, one cup of 17 g weighed · 28 s · serve'],
  ['at 8:12 dose planned 45 ml', 'at 08:12 · yield 45 ml in the glass · dose as planned'],
  ['28s from first-drip spurts@2 unpurged note dry air', '28 s from first drip · spurts at 2 · not purged · “dry air”'],
  ['', ''],
])('%p is read back as %p', (text, words) => expect(shotLineInWords(parseShotLine(text).shot)).toBe(words));
