import { answer, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';
import { coarser, finer, judge, tasting, variables, walk, type Shot, type Situation } from './situations.fixture';

const stepped = (step: number, more: Partial<AdviceRequest['grinder']> = {}) => ({
  ...walk,
  grinder: { ...walk.grinder, step, logTimePerUnit: { mean: 0.2, sd: 0.02, shots: 30 }, ...more },
});
const at = (grind: number, timeSeconds: number, balance: number, body: number, overall: number): Shot =>
  everydayShot({ grind, timeSeconds, taste: tasting(balance, body, { overall }) });
const bitterInTime = at(8, 31.7, 1.5, 0, 6);
const good = at(9, 24.7, 0, 0.5, 8);

/** A small classic in 20–28 s, on a collar whose step is just not too coarse for that. */
const classic = (way: 'lower' | 'higher'): Partial<AdviceRequest> => ({
  ...stepped(2, { finer: way, logTimePerUnit: { mean: 0.15, sd: 0.02, shots: 30 } }),
  method: 'small-classic',
  basket: { nominalGrams: 15, minGrams: 13, maxGrams: 17 },
  target: { ...walk.target, doseGrams: 15, yieldGrams: 33, timeSeconds: { min: 20, max: 28 } },
});
const small = (grind: number, timeSeconds: number, balance: number, body: number, overall: number): Shot => ({
  ...at(grind, timeSeconds, balance, body, overall),
  doseGrams: 15,
  yieldGrams: 33,
  planned: { doseGrams: 15, yieldGrams: 33 },
});

const moreCoffee = (a: Advice): boolean => variables(a) === 'doseGrams+yieldGrams' && a.settings.doseGrams > 18;
const lessCoffee = (a: Advice): boolean => variables(a) === 'doseGrams+yieldGrams' && a.settings.doseGrams < 15;
const lessWater = (a: Advice): boolean => variables(a) === 'yieldGrams' && a.settings.yieldGrams < 33;

describe('a good cup out of the window, one step from one in it that was not good', () => {
  const situations: Situation[] = [
    {
      name: 'fast, and the step finer was bitter: more coffee in ratio, and no way back',
      ask: { ...stepped(1), shots: [bitterInTime, good] },
      expect: moreCoffee,
    },
    {
      name: 'slow, and the step coarser was sour and thin: less of it, or less water',
      ask: { ...classic('lower'), shots: [small(20, 22.1, -2, -2, 5), small(18, 30.8, 0.5, 0, 7)] },
      expect: (a) => lessCoffee(a) || lessWater(a),
    },
    {
      name: 'the same where the better cup is itself a point off, on a grinder that counts the other way',
      ask: { ...classic('higher'), shots: [small(22, 21.5, -2, -1.5, 4), small(24, 29, 1, -0.5, 8.5)] },
      expect: (a) => lessCoffee(a) || lessWater(a),
    },
    {
      name: 'a finer scale has a setting between: half the step',
      ask: { ...stepped(0.5), shots: [bitterInTime, good] },
      expect: (a) => finer(a) && a.settings.grind === 8.5,
    },
    {
      name: 'the step finer was as wanted: back to it',
      ask: { ...stepped(1), shots: [at(8, 30.5, 0, 0, 8), at(9, 24.2, -0.5, 0, 7)] },
      expect: (a) => finer(a) && a.settings.grind === 8,
    },
    {
      name: 'what was off on this side of the window, too, is in nobody’s way: finer, past it',
      ask: { ...stepped(1), shots: [at(9, 22, -2, -1, 4), at(10, 20, -0.5, 0, 7)] },
      expect: (a) => finer(a) && a.settings.grind < 9,
    },
    {
      name: 'the same on the slow side: coarser, past it',
      ask: { ...stepped(1), shots: [at(9, 39, 2, 1, 4), at(8, 44, 0.5, 0.5, 7)] },
      expect: (a) => coarser(a) && a.settings.grind > 9,
    },
  ];

  it.each(situations)('$name', (situation) => {
    expect(judge(situation)).toEqual([expect.any(String), true]);
  });

  it('says what was found there, and nothing of it where the grind is turned', () => {
    const limitOf = (shots: Shot[], step = 1): string | undefined =>
      (answer(everydayRequest({ ...stepped(step), shots })) as Advice).why.find(({ code }) => code === 'limit')?.text;
    expect(limitOf([bitterInTime, good])).toBe(
      'At 8 the time was right, and the cup bitter. The next lever takes over.',
    );
    expect(limitOf([at(8, 31.7, 1.5, 1.5, 6), good])).toBe(
      'At 8 the time was right, and the cup bitter and heavy. The next lever takes over.',
    );
    expect(limitOf([bitterInTime, good], 0.5)).toBeUndefined();
    // Both cups off: the grind may go back all the same, and then nothing stood in its way.
    const [bitter, worse] = [at(8, 29, 1, 0, 7), at(7, 37, 1.5, 1, 6)];
    const back = answer(everydayRequest({ ...stepped(1), shots: [bitter, worse] })) as Advice;
    expect([coarser(back), limitOf([bitter, worse])]).toEqual([true, undefined]);
  });
});
