import { answer, type Advice } from '../..';
import { everydayRequest } from '../advice.fixture';
import {
  coarser,
  cooler,
  does,
  finer,
  hotter,
  judge,
  longer,
  shorter,
  shot,
  tasting,
  walk,
  type Shot,
  type Situation,
} from './situations.fixture';

const at = (grind: number, seconds: number, balance: number, body = 0, more: Shot = {}): Shot =>
  shot(seconds, tasting(balance, body, { overall: 5 }), { grind, ...more });
const withYield = (yieldGrams: number): Shot => ({ yieldGrams, planned: { doseGrams: 18, yieldGrams } });

const slowAndSour = [at(14, 38, -1.5, 0.5), at(16.5, 30, -2)];
const fastAndBitter = [at(14, 22, 1.5, -0.5), at(11, 30, 2)];

const SITUATIONS: Situation[] = [
  {
    name: 'sour past the window, and sour in it: the grind was through all that lies between, so longer or hotter',
    ask: { ...walk, shots: slowAndSour },
    expect: (a) => longer(a) || hotter(a),
  },
  {
    name: 'bitter short of the window, and bitter in it: shorter or cooler',
    ask: { ...walk, shots: fastAndBitter },
    expect: (a) => shorter(a) || cooler(a),
  },
  {
    name: 'bitter past the window, and sour in it: what is wanted lies between, so finer',
    ask: { ...walk, shots: [at(14, 38, 1), at(16.5, 29, -1.5)] },
    expect: finer,
  },
  {
    name: 'sour past the window with another yield: that says nothing of the grind here',
    ask: { ...walk, shots: [at(14, 38, -1.5, 0, withYield(40)), at(16.5, 30, -1.5)] },
    expect: finer,
  },
  {
    name: 'a dark roast brewed hot, bitter in the window, bitter at its fast edge: cooler, since less water would run out of it',
    ask: {
      ...walk,
      coffee: { roast: 'dark' },
      target: { ...walk.target, temperatureC: 96 },
      shots: [at(14, 30, 2, 0, { temperatureC: 96 }), at(15, 27.5, 1.5, 0, { temperatureC: 96 })],
    },
    expect: cooler,
  },
  {
    name: 'thin by a point and a breath short of the window, where less water would run far out of it: once more before that',
    ask: { ...walk, shots: [shot(26.6, tasting(0.5, -1, { overall: 6.5 }))] },
    expect: does('repeat'),
  },
  {
    name: 'plainly thin there: less water all the same',
    ask: { ...walk, shots: [shot(26.6, tasting(0.5, -2, { overall: 6 }))] },
    expect: (a) => shorter(a) || finer(a),
  },
  {
    name: 'bitter still at the fast edge after less water: cooler, not less still',
    ask: { ...walk, shots: [...fastAndBitter, at(11, 27, 1.5, 0.5, withYield(31))] },
    expect: cooler,
  },
  {
    name: 'the same on a machine whose water cannot be set: whatever fixes the cup, in the window or not',
    ask: {
      ...walk,
      machine: { temperatureC: null },
      shots: [...fastAndBitter, at(11, 27, 1.5, 0.5, withYield(31))],
    },
    expect: (a) => shorter(a) || coarser(a),
  },
  ...[32.9, 33.1, 33.5].map((seconds) => ({
    name: `sour twice and longer since, ${seconds} s where the window ends at 33: hotter, whatever the tenth says, and not coarser`,
    ask: {
      target: { ...walk.target, temperatureC: 94 },
      coffee: { roast: 'light' as const },
      shots: [
        at(14, 30, -1.5, 0, { temperatureC: 94 }),
        at(13, 32.5, -1, 0, { temperatureC: 94 }),
        at(13, seconds, -1, -0.5, { temperatureC: 94, ...withYield(40) }),
      ],
    },
    expect: hotter,
  })),
];

describe('a cup to fix where the window leaves little room', () => {
  it.each(SITUATIONS.map((situation) => [situation.name, situation] as const))('%s', (_, situation) => {
    const [said, isGood] = judge(situation);
    expect([said, isGood]).toEqual([said, true]);
  });

  it('is told why the grind is passed by', () => {
    const whyOf = (shots: Shot[]): string | undefined =>
      (answer(everydayRequest({ ...walk, shots })) as Advice).why.find(({ code }) => code === 'beyond-window')?.text;
    expect(whyOf(slowAndSour)).toBe('At 14 it ran 38 s and was sour, too: the grind alone does not fix this cup.');
    expect(whyOf(fastAndBitter)).toBe('At 14 it ran 22 s and was bitter, too: the grind alone does not fix this cup.');
    expect(whyOf([at(14, 38, 1), at(16.5, 29, -1.5)])).toBeUndefined();
    expect(whyOf([at(14, 30, -2)])).toBeUndefined();
  });
});
