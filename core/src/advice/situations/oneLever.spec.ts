import { findMethod, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';
import { coarser, does, finer, grinder, judge, longer, tasting, variables, type Situation } from './situations.fixture';

type Shot = AdviceRequest['shots'][number];

/** A method that turns the grind alone, with its own recipe, clock and basket. */
function byMethod(method: string, change: Partial<AdviceRequest> = {}): Partial<AdviceRequest> {
  const { start, windowSeconds, timer } = findMethod(method)!;
  const { doseGrams } = start;
  const yieldGrams = Math.round(doseGrams * start.ratio);
  return {
    method,
    basket: { nominalGrams: doseGrams, minGrams: doseGrams - 2, maxGrams: doseGrams + 2 },
    target: { ...everydayRequest().target, doseGrams, yieldGrams, timeSeconds: windowSeconds, timer },
    ...change,
  };
}

function poured(method: string, grind: number, timeSeconds: number, taste: Shot['taste'], more: Shot = {}): Shot {
  const { start, timer } = findMethod(method)!;
  const { doseGrams } = start;
  const yieldGrams = Math.round(doseGrams * start.ratio);
  const planned = { doseGrams, yieldGrams };
  return everydayShot({ grind, doseGrams, yieldGrams, planned, timeSeconds, timer, taste, ...more });
}

const atItsFinest = { ...grinder, min: 14 };
const lever = (grind: number, timeSeconds: number, taste: Shot['taste'], more: Shot = {}): Shot =>
  poured('hand-lever', grind, timeSeconds, taste, more);

const SITUATIONS: Situation[] = [
  {
    name: 'the grinder at its finest, just in time and sour: never coarser, but longer or a little more coffee in ratio',
    ask: byMethod('one-lever', {
      grinder: atItsFinest,
      shots: [poured('one-lever', 14, 25, tasting(-1, -0.5, { overall: 6 }))],
    }),
    expect: (a) => a.action === 'repeat' || longer(a) || variables(a) === 'doseGrams+yieldGrams',
  },
  {
    name: 'the grinder at its finest and fast: more coffee, yield in ratio',
    ask: byMethod('one-lever', {
      grinder: atItsFinest,
      shots: [14, 14].map((grind) => poured('one-lever', grind, 21, tasting(-1, -1))),
    }),
    expect: (a) => variables(a) === 'doseGrams+yieldGrams' && a.settings.doseGrams === 18.5,
  },
  {
    name: 'liked three times and right each time: the card is written',
    ask: byMethod('hand-lever', {
      shots: [
        lever(14, 35.3, tasting(-0.5, 0, { sweetness: 7, overall: 8 })),
        lever(14, 33.6, tasting(0.5, -1, { sweetness: 7.5, overall: 8.5 })),
        lever(14, 34, tasting(-0.5, -0.5, { sweetness: 7, overall: 7.5 })),
      ],
    }),
    expect: does('dialled'),
  },
  {
    name: 'right and liked four times after the ratio had to help out: the card, not one more tenth',
    ask: byMethod('one-lever', {
      grinder: { ...grinder, min: 9.5 },
      start: { grind: 12 },
      shots: [
        poured('one-lever', 12, 21.6, tasting(-1.5, -1.5, { overall: 7 })),
        poured('one-lever', 10, 25, tasting(-1, -1.5, { dryness: 1, overall: 8 })),
        poured('one-lever', 9.5, 25.5, tasting(-1, -1, { overall: 7.5 })),
        ...(
          [
            [26.4, 0, -0.5, 8],
            [26.1, 0, -1, 7.5],
            [27, -0.5, -0.5, 9],
            [27.7, 0.5, -1, 8.5],
          ] as const
        ).map(([seconds, balance, body, overall]) =>
          poured('one-lever', 9.5, seconds, tasting(balance, body, { overall }), {
            yieldGrams: 39,
            planned: { doseGrams: 18, yieldGrams: 39 },
          }),
        ),
      ],
    }),
    expect: does('dialled'),
  },
  {
    name: 'liked, right, and a breath short of the window where finer was bitter: not led out of it for the last tenth',
    ask: byMethod('hand-lever', {
      shots: [
        lever(12.5, 20.6, tasting(-1, -0.5, { overall: 6.5 })),
        lever(7.5, 45.1, tasting(3, 0.5, { dryness: 1, overall: 6 })),
        lever(10, 29.1, tasting(1, 0.5, { sweetness: 8, overall: 7.5 })),
        lever(10, 29.9, tasting(0.5, -0.5, { sweetness: 7.5, overall: 8 })),
      ],
    }),
    expect: (a) => a.action === 'repeat' || a.action === 'dialled',
  },
  {
    name: 'bitter and heavy in the window: a notch coarser, not less coffee',
    ask: byMethod('small-classic', { shots: [poured('small-classic', 14, 25, tasting(1.5, 1.5))] }),
    expect: coarser,
  },
  {
    name: 'sour and thin in the window: a notch finer',
    ask: byMethod('small-classic', { shots: [poured('small-classic', 14, 23, tasting(-1.5, -1.5))] }),
    expect: finer,
  },
  ...(
    [
      [
        'one-lever',
        27.9,
        26.9,
        1,
        -2,
        'bitter and thin in the window: a notch coarser, never finer for the body',
        coarser,
      ],
      ['hand-lever', 45, 42, 1, -2, 'bitter and thin under the lever: coarser, never finer for the body', coarser],
      [
        'small-classic',
        20.5,
        24.4,
        -1.5,
        2.5,
        'sour and heavy in the window: finer, never coarser for the body',
        finer,
      ],
    ] as const
  ).map(([method, before, seconds, balance, body, name, expected]) => ({
    name,
    ask: byMethod(method, {
      shots: [
        poured(method, balance > 0 ? 13 : 15, before, tasting(balance, 0.75 * body, { overall: 6 })),
        poured(method, 14, seconds, tasting(balance, body, { overall: 5.5 })),
      ],
    }),
    expect: expected,
  })),
  {
    name: 'right at the first shot of a strange grinder: once more before the card',
    ask: byMethod('one-lever', { shots: [poured('one-lever', 14, 28.5, tasting(0, 0, { sweetness: 8, overall: 9 }))] }),
    expect: does('repeat'),
  },
];

describe('where a method turns the grind alone a barista of ten years would', () => {
  it.each(SITUATIONS.map((situation) => [situation.name, situation] as const))('%s', (_, situation) => {
    const [said, isGood] = judge(situation);
    expect([said, isGood]).toEqual([said, true]);
  });
});
