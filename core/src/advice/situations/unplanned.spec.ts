import { answer, type Advice } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';
import { does, finer, grinder, judge, tasting, walk, type Shot, type Situation } from './situations.fixture';

/** Weighed and written down, and nobody said what was aimed at: the hand alone makes every figure another one. */
const poured = (doseGrams: number, yieldGrams: number, timeSeconds: number, taste: Shot['taste'], more: Shot = {}) =>
  everydayShot({ doseGrams, yieldGrams, timeSeconds, taste, planned: null, ...more });
const sour = tasting(-1.5, -1, { overall: 5 });
const even = tasting(0, 0, { overall: 7.5 });

const situations: Situation[] = [
  {
    name: 'two even cups of the same grind are the same settings twice: the card',
    ask: { ...walk, shots: [poured(18.1, 36.8, 29, even), poured(17.9, 35.6, 30, even)] },
    expect: does('dialled'),
  },
  {
    name: 'two notches finer that changed nothing on a grinder nobody knows: purge, and the same again',
    ask: { shots: [poured(18.1, 36.8, 21, sour), poured(17.9, 35.6, 21, sour, { grind: 12 })] },
    expect: (a) => a.action === 'repeat' && a.why[0]!.code === 'no-effect',
  },
  {
    name: 'a shot that runs off after three good ones: the same again',
    ask: {
      ...walk,
      shots: [
        poured(18, 36.4, 29.5, even),
        poured(18.2, 35.5, 30, even),
        poured(17.9, 36.2, 29, even),
        poured(18.1, 35.9, 22, tasting(-1, -0.5, { overall: 5.5 })),
      ],
    },
    expect: does('repeat'),
  },
  {
    name: 'a thermometer a fifth of a degree off is no limit: the time is brought back',
    ask: { shots: [everydayShot({ timeSeconds: 20, taste: sour, temperatureC: 92.8 })] },
    expect: finer,
  },
  {
    name: 'nor do two readings of it make two settings',
    ask: {
      ...walk,
      shots: [92.8, 93.1].map((temperatureC) => everydayShot({ timeSeconds: 30, taste: even, temperatureC })),
    },
    expect: does('dialled'),
  },
];

describe('shots that nobody planned', () => {
  it.each(situations)('$name', (situation) => {
    expect(judge(situation)).toEqual([expect.any(String), true]);
  });

  it('blame no lever for what the hand did: neither two at once nor to and fro', () => {
    const shots = [
      poured(18.1, 36.8, 20, sour),
      poured(17.9, 35.6, 24, tasting(-1, -0.5, { overall: 6 }), { grind: 12 }),
      poured(18.2, 36.7, 26.5, tasting(-1, 0, { overall: 6 }), { grind: 11 }),
      poured(17.9, 35.7, 27.5, tasting(-1, 0, { overall: 6 }), { grind: 11 }),
    ];
    for (const n of [2, 3, 4]) {
      const { why } = answer(everydayRequest({ grinder, shots: shots.slice(0, n) })) as Advice;
      expect(why.map(({ code }) => code).filter((code) => ['two-at-once', 'circling'].includes(code))).toEqual([]);
    }
  });

  it('are pulled again as measured, and one variable is turned from there', () => {
    const again = answer(everydayRequest({ shots: [poured(18.1, 36.8, 28, null)] })) as Advice;
    expect([again.action, again.settings]).toEqual([
      'repeat',
      { grind: 14, doseGrams: 18.1, yieldGrams: 36.8, temperatureC: 93 },
    ]);
    const change = answer(everydayRequest({ shots: [poured(18.1, 36.8, 19, sour)] })) as Advice;
    expect(change.changed.map(({ variable }) => variable)).toEqual(['grind']);
    expect(change.settings).toMatchObject({ doseGrams: 18.1, yieldGrams: 36.8 });
  });
});
