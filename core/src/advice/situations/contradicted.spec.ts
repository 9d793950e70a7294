import { answer, type Advice } from '../..';
import { everydayRequest, problemOf } from '../advice.fixture';
import { tastesBothWays } from '../shots/cups';
import {
  coarser,
  cooler,
  does,
  finer,
  judge,
  sweet,
  tasting,
  variables,
  walk,
  type Check,
  type Shot,
  type Situation,
  shot,
} from './situations.fixture';

const at = (grind: number, taste: Shot['taste'], more: Shot = {}): Shot =>
  shot(30, taste, { grind, ...more, planned: { doseGrams: 18, yieldGrams: more.yieldGrams ?? 36 } });
const poor = { sweetness: 5.5, overall: 6 };
const sour = tasting(-1.5, 0, poor);
const bitter = tasting(1.5, 0, poor);
const thin = tasting(0, -1.5, poor);
const heavy = tasting(0, 1.5, poor);
const yields =
  (grams: number): Check =>
  (a) =>
    variables(a) === 'yieldGrams' && a.settings.yieldGrams === grams;

const CONTRADICTED: Situation[] = [
  {
    name: 'right and then plainly sour',
    ask: { ...walk, shots: [at(14, sweet), at(14, sour)] },
    expect: does('repeat'),
  },
  {
    name: 'right and then plainly thin',
    ask: { ...walk, shots: [at(14, sweet), at(14, thin)] },
    expect: does('repeat'),
  },
  {
    name: 'right and then sour by no more than noise puts two cups apart, and not marked: acted on or pulled again, but no card',
    ask: { ...walk, shots: [at(14, tasting(0)), at(14, tasting(-1))] },
    expect: (a) => a.action !== 'dialled',
  },
  {
    name: 'sour, and bitter after the smallest step of the grinder: that step cannot turn a cup round',
    ask: { ...walk, shots: [at(14, sour), at(13.5, bitter)] },
    expect: does('repeat'),
  },
  {
    name: 'sour, and bitter after a whole unit, on a grinder nobody knows: half way back, before any other lever',
    ask: { target: walk.target, shots: [at(14, sour), at(13, bitter, { timeSeconds: 31.5 })] },
    expect: (a) => variables(a) === 'grind' && a.settings.grind === 13.5,
  },
  {
    name: 'bitter, and sour after two units coarser: half way back, not hotter',
    ask: { ...walk, shots: [at(15, bitter), at(17, sour, { timeSeconds: 28.3 })] },
    expect: finer,
  },
  {
    name: 'bitter, and sour after a whole unit: half way back',
    ask: { ...walk, shots: [at(14, bitter), at(15, sour, { timeSeconds: 28 })] },
    expect: (a) => variables(a) === 'grind' && a.settings.grind === 14.5,
  },
  {
    name: 'a point sour, and a point bitter after the smallest step: one of the two was odd',
    ask: { ...walk, shots: [at(14, tasting(-1, 0, poor)), at(13.5, tasting(1, 0, poor))] },
    expect: does('repeat'),
  },
  {
    name: 'the same in a method that turns the grind alone: no reason to turn what it holds still',
    ask: {
      ...walk,
      method: 'one-lever',
      shots: [at(14, tasting(-1, 0, poor)), at(13.5, tasting(1, 0, poor))],
    },
    expect: does('repeat'),
  },
  {
    name: 'sour, and bitter after a step coarser, which makes no cup bitter: not coarser still',
    ask: { target: walk.target, shots: [at(14, sour), at(14.5, bitter, { timeSeconds: 28.5 })] },
    expect: does('repeat'),
  },
  {
    name: 'bitter both times, and thin and heavy by turns: what both say is fixed',
    ask: {
      ...walk,
      shots: [
        at(14, tasting(1.5, -1, poor), { timeSeconds: 31 }),
        at(14, tasting(1.5, 1, poor), { timeSeconds: 29, yieldGrams: 33 }),
      ],
    },
    expect: (a) => coarser(a) || cooler(a) || variables(a) === 'yieldGrams',
  },
  {
    name: 'sour long ago, and bitter twice since after steps coarser: the bitter is believed',
    ask: {
      target: walk.target,
      shots: [
        at(14, sour, { timeSeconds: 32.5 }),
        at(15, tasting(1.5, 0.5, poor), { timeSeconds: 30.5 }),
        at(15.5, bitter, { timeSeconds: 29.8 }),
      ],
    },
    expect: (a) => a.action === 'change',
  },
  {
    name: 'a point sour, and a point bitter after a whole unit finer: half way back, not all the way to the sour cup',
    ask: {
      target: walk.target,
      shots: [at(14, tasting(-1, 0, poor)), at(13, tasting(1, 0.5, poor), { timeSeconds: 32.5 })],
    },
    expect: (a) => variables(a) === 'grind' && a.settings.grind === 13.5,
  },
  {
    name: 'sour and bitter two steps of a coarse collar apart: that may well be so, and the next lever finishes the job',
    ask: {
      ...walk,
      grinder: { ...walk.grinder, step: 3 },
      shots: [at(15, sour, { timeSeconds: 28 }), at(12, bitter, { timeSeconds: 32.5 })],
    },
    expect: (a) => a.action === 'change' && variables(a) !== 'grind',
  },
  {
    name: 'thin, and heavy two grams shorter: half of it back',
    ask: { ...walk, shots: [at(14, thin), at(14, heavy, { yieldGrams: 34 })] },
    expect: yields(35),
  },
  {
    name: 'heavy, and thin two grams longer: half of it back',
    ask: { ...walk, shots: [at(14, heavy), at(14, thin, { yieldGrams: 38 })] },
    expect: yields(37),
  },
  {
    name: 'thin, and heavy one gram shorter: nothing between, so one cup was odd',
    ask: { ...walk, shots: [at(14, thin), at(14, heavy, { yieldGrams: 35 })] },
    expect: does('repeat'),
  },
  {
    name: 'the odd cup came again: acted on',
    ask: { ...walk, shots: [at(14, sweet), at(14, sour), at(14, sour)] },
    expect: (a) => a.action === 'change',
  },
  {
    name: 'bitter twice and then sour: right on the mean, but no cup to keep',
    ask: { ...walk, shots: [at(14, tasting(1)), at(14, tasting(1)), at(14, tasting(-1))] },
    expect: (a) => a.action !== 'dialled',
  },
  {
    name: 'happily served twice, a trifle off each time, at the short edge: not moved for the tenths',
    ask: {
      ...walk,
      shots: [
        at(16, sour, { timeSeconds: 25 }),
        ...[26.6, 27.3].map((timeSeconds) => at(14, leaning(), { timeSeconds })),
      ],
    },
    expect: (a) => a.action === 'repeat' || a.action === 'dialled',
  },
];

function leaning() {
  return tasting(0.5, -0.5, { sweetness: 6, overall: 8.5 });
}

const target = everydayRequest().target;
const light = { coffee: { roast: 'light' as const }, method: 'open-light' };
const inTheOpen = (timeSeconds: number, taste: Shot['taste'], yieldGrams: number, temperatureC: number): Shot =>
  shot(timeSeconds, taste, { yieldGrams, temperatureC, planned: { doseGrams: 18, yieldGrams } });
/** After its heat and a lungo. */
const opened = (timeSeconds: number, taste: Shot['taste']): Situation['ask'] => ({
  ...light,
  target: { ...target, yieldGrams: 45, timeSeconds: { min: 20, max: 38 }, temperatureC: 95 },
  shots: [
    inTheOpen(timeSeconds - 3, tasting(-1.5, 0, { overall: 5 }), 45, 95),
    inTheOpen(timeSeconds - 3, tasting(-1, 0, poor), 45, 97),
    inTheOpen(timeSeconds, taste, 54, 97),
  ],
});

const ENDS: Situation[] = [
  {
    name: 'right in every word at the short edge of the window, and not liked enough: finer or again, but the window is not given up for less water',
    ask: {
      ...walk,
      shots: [
        at(17, tasting(-1, 0, { overall: 6 }), { timeSeconds: 22 }),
        at(14, tasting(0.5, 0, { overall: 6 }), { timeSeconds: 27 }),
        at(14, tasting(0.5, 0, { overall: 6 }), { timeSeconds: 26.6 }),
      ],
    },
    expect: (a) => a.action !== 'change' || finer(a),
  },
  {
    name: 'a light roast still sour at the slow end of what is tolerated, as hot and as long as it goes: coarser, not out of it',
    ask: opened(38, tasting(-1.5, -0.5, { overall: 5 })),
    expect: coarser,
  },
  {
    name: 'a light roast both sour and thin at a lungo: finer, and no dose with yield in ratio',
    ask: opened(28, tasting(-1, -1, { overall: 5 })),
    expect: finer,
  },
  {
    name: 'bitter after half a gram more for the body: not more still',
    ask: {
      ...light,
      target: { ...target, yieldGrams: 45, timeSeconds: { min: 20, max: 38 }, temperatureC: 94 },
      shots: [
        inTheOpen(29, thin, 45, 94),
        shot(29, bitter, {
          doseGrams: 18.5,
          yieldGrams: 45,
          temperatureC: 94,
          planned: { doseGrams: 18.5, yieldGrams: 45 },
        }),
      ],
    },
    expect: (a) => variables(a) !== 'doseGrams',
  },
  {
    name: 'grind alone, at its finest, sour and thin: more coffee with the yield in ratio',
    ask: { method: 'small-classic', ...small(), shots: [cup(tasting(-1, -1, poor)), cup(tasting(-1.5, -1, poor))] },
    expect: (a) => variables(a) === 'doseGrams+yieldGrams' && a.settings.doseGrams === 15.5,
  },
  {
    name: 'grind alone, at its finest, only sour: longer',
    ask: { method: 'small-classic', ...small(), shots: [cup(tasting(-1, 0, poor)), cup(tasting(-1.5, 0, poor))] },
    expect: (a) => variables(a) === 'yieldGrams' && a.settings.yieldGrams > 33,
  },
  {
    name: 'grind alone, at its finest, only thin: shorter',
    ask: { method: 'small-classic', ...small(), shots: [cup(thin), cup(thin)] },
    expect: (a) => variables(a) === 'yieldGrams' && a.settings.yieldGrams < 33,
  },
];

function small() {
  return {
    grinder: { ...walk.grinder, min: 14 },
    basket: { nominalGrams: 15, minGrams: 13, maxGrams: 17 },
    target: { ...target, doseGrams: 15, yieldGrams: 33, temperatureC: 89, timeSeconds: { min: 20, max: 28 } },
  };
}

function cup(taste: Shot['taste']): Shot {
  const recipe = { doseGrams: 15, yieldGrams: 33 };
  return shot(22, taste, { ...recipe, temperatureC: 89, planned: recipe });
}

describe('where cups contradict each other a barista of ten years would', () => {
  it.each(CONTRADICTED.map((situation) => [situation.name, situation] as const))('%s', (_, situation) => {
    const [said, isGood] = judge(situation);
    expect([said, isGood]).toEqual([said, true]);
  });

  it.each([
    [[0, -1], false],
    [[0, -1.5], true],
    [[0.5, -1], true],
    [[-0.5, -1.5], false],
    [[1.5, 0], true],
    [[-1.5, 1.5, 0], false],
    [[0, 0, -1.5], false],
  ])('call cups of %p a contradiction: %p', (words, isContradiction) => {
    const shots = words.map((balance) => at(14, tasting(balance)));
    const problem = problemOf({ ...walk, shots });
    expect(tastesBothWays(problem, problem.pours)).toBe(isContradiction);
  });

  it('say so', () => {
    const whyOf = (shots: Shot[]): string =>
      (answer(everydayRequest({ ...walk, shots })) as Advice).why.map(({ text }) => text).join(' ');
    expect(whyOf([at(14, sweet), at(14, sour)])).toMatch(/cups at these settings contradict each other/);
    expect(whyOf([at(14, sour), at(13.5, bitter)])).toMatch(/So small a step cannot turn a cup round/);
  });
});

describe('at the end of what a lever gives a barista of ten years would', () => {
  it.each(ENDS.map((situation) => [situation.name, situation] as const))('%s', (_, situation) => {
    const [said, isGood] = judge(situation);
    expect([said, isGood]).toEqual([said, true]);
  });
});
