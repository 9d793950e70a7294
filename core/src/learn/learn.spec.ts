import fc from 'fast-check';
import { everydayRequest, everydayShot } from '../advice/advice.fixture';
import { P } from '../belief/parameters';
import { priorFor } from '../belief/prior';
import { readProblem } from '../belief/problem';
import { adviceRequestSchema, learnedCoffeeSchema, type AdviceRequest } from '../contract/request';
import { createRandom, drawNormal } from '../puck/random';
import { combine, messageOf } from './gaussian';
import { combineCoffee, combineSlopes, lessonOf } from './lesson';
import { marksOf } from './marks';
import { palateOf } from './palate';

const lesson = (change: Partial<AdviceRequest>) => lessonOf(adviceRequestSchema.parse(everydayRequest(change)));
const SCALE = { min: 0, max: 40, step: 0.5 };

describe('messages', () => {
  const normal = fc.record({
    mean: fc.double({ min: -5, max: 5, noNaN: true }),
    sd: fc.double({ min: 0.05, max: 2, noNaN: true }),
  });

  it('put back on their prior give the posterior they came from', () => {
    fc.assert(
      fc.property(normal, normal, (prior, other) => {
        const posterior = { mean: other.mean, sd: prior.sd * Math.min(0.9, other.sd / 2.5) };
        const back = combine(prior, [messageOf(prior, posterior)!]);
        expect(back.mean).toBeCloseTo(posterior.mean, 6);
        expect(back.sd).toBeCloseTo(posterior.sd, 9);
      }),
    );
  });

  it('are none where the data said nothing', () => {
    expect(messageOf({ mean: 0, sd: 1 }, { mean: 0.01, sd: 0.999 })).toBeNull();
  });

  it('combine in any order, by the conjugate closed form', () => {
    const messages = [
      { mean: 1, precision: 4 },
      { mean: 3, precision: 1 },
    ];
    const forwards = combine({ mean: 0, sd: 1 }, messages);
    // (0·1 + 1·4 + 3·1) / (1 + 4 + 1)
    expect(forwards.mean).toBeCloseTo(7 / 6, 12);
    expect(forwards.sd).toBeCloseTo(6 ** -0.5, 12);
    expect(combine({ mean: 0, sd: 1 }, messages.reverse())).toEqual(forwards);
  });

  it('say no more than their least spread allows', () => {
    const { sd } = combine({ mean: 0, sd: 1 }, [{ mean: 1, precision: 1e6 }], 0.5);
    expect(sd).toBeCloseTo(5 ** -0.5, 12);
  });
});

describe('the lesson of a dial-in', () => {
  const shots = (slope: number) =>
    [15, 14, 13, 12].map((grind) =>
      everydayShot({ grind, timeSeconds: 28 * Math.exp(-slope * (grind - 13.5)), taste: { balance: 1, body: 0.5 } }),
    );

  it('is the slope its shots show, whatever was believed before', () => {
    const blank = lesson({ shots: shots(0.1) });
    const told = lesson({
      shots: shots(0.1),
      grinder: { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.3, sd: 0.01, shots: 99 } },
    });
    expect(told).toEqual(blank);
    expect(Math.exp(blank.slope!.mean)).toBeGreaterThan(0.08);
    expect(Math.exp(blank.slope!.mean)).toBeLessThan(0.12);
  });

  it('says nothing of the slope when the grind never moved, and nothing of taste when nobody tasted', () => {
    const still = lesson({ shots: [everydayShot({ taste: null }), everydayShot({ taste: null })] });
    expect(still).toMatchObject({ slope: null, balance: null, body: null, timedShots: 2, tastedShots: 0 });
    expect(combineSlopes(SCALE, [still])).toBeNull();
    expect(combineCoffee([still])).toBeNull();
  });

  it('narrows the grinder with every dial-in, in any order, but never below what coffees differ by', () => {
    const lessons = [0.09, 0.1, 0.11].map((slope) => lesson({ shots: shots(slope) }));
    const one = combineSlopes(SCALE, lessons.slice(0, 1))!;
    const all = combineSlopes(SCALE, lessons)!;
    expect(all.sd).toBeLessThan(one.sd);
    expect(all.sd / all.mean).toBeGreaterThan(0.12 / Math.sqrt(3) - 0.01);
    expect(Math.abs(all.mean - 0.1)).toBeLessThan(0.015);
    expect(all.shots).toBe(12);
    expect(combineSlopes(SCALE, [...lessons].reverse())).toEqual(all);
  });

  it('tells how the coffee tastes at its recipe, and leaves far recipes out', () => {
    const bitter = lesson({ shots: shots(0.1) });
    const long = lesson({ shots: shots(0.1), target: { ...everydayRequest().target, yieldGrams: 60 } });
    const coffee = combineCoffee([bitter, long])!;
    expect(coffee.balance.mean).toBeGreaterThan(0.4);
    expect(coffee.ratio).toBe(2);
    expect(coffee.shots).toBe(4);
  });

  it.each([
    [1, 500],
    [60, 1],
  ])('of %d g in and %d g out is taken back by the next dial-in, like that of any recipe', (doseGrams, yieldGrams) => {
    const target = { ...everydayRequest().target, doseGrams, yieldGrams };
    const learned = combineCoffee([lesson({ target, shots: shots(0.1) })])!;
    expect(learnedCoffeeSchema.safeParse(learned).error).toBeUndefined();
  });

  it('says of a coffee what was tasted, and leaves the rest as open as roast leaves it', () => {
    const sour = [0, 1, 2].map(() => everydayShot({ taste: { balance: -1 } }));
    const learned = combineCoffee([lesson({ shots: sour })])!;
    expect(learned.balance.mean).toBeLessThan(-0.4);
    expect(learned.body.sd).toBeGreaterThan(2);
    const { coffee } = everydayRequest();
    const request = adviceRequestSchema.parse(everydayRequest({ coffee: { ...coffee, roast: 'light', learned } }));
    const told = priorFor(readProblem(request));
    const untold = priorFor(readProblem({ ...request, coffee: { ...request.coffee, learned: null } }));
    expect(told.mean[P.bodyAtCentre]).toBe(untold.mean[P.bodyAtCentre]);
    expect(told.sd[P.balanceAtCentre]!).toBeLessThan(untold.sd[P.balanceAtCentre]!);
  });

  it('moves what was found to a hotter recipe by what a degree gives to balance and body', () => {
    const learned = { ...combineCoffee([lesson({ shots: shots(0.1) })])!, temperatureC: 92 };
    const centreAt = (temperatureC: number) => {
      const { coffee, target } = everydayRequest();
      const asked = everydayRequest({ coffee: { ...coffee, learned }, target: { ...target, temperatureC } });
      const { mean } = priorFor(readProblem(adviceRequestSchema.parse(asked)));
      return [mean[P.balanceAtCentre]!, mean[P.bodyAtCentre]!];
    };
    const [cool, hot] = [centreAt(92), centreAt(94)];
    expect(hot[0]! - cool[0]!).toBeCloseTo(0.6, 9);
    expect(hot[1]! - cool[1]!).toBeCloseTo(0.3, 9);
  });

  it('makes the next dial-in of the coffee surer from its first answer on', () => {
    const learned = combineCoffee([lesson({ shots: shots(0.1) })]);
    const { coffee } = everydayRequest();
    const withIt = adviceRequestSchema.parse(everydayRequest({ coffee: { ...coffee, learned } }));
    expect(lessonOf(withIt)).toEqual(lesson({}));
    expect(withIt.coffee.learned!.balance.sd).toBeLessThan(0.6);
  });
});

describe('a palate', () => {
  /** Marks as a person gives them whose best cup lies at (wanted, 0). */
  const marks = (wanted: number, count: number) =>
    Array.from({ length: count }, (_, i) => {
      const balance = -1.5 + (3 * (i % 7)) / 6;
      const body = i % 2 === 0 ? 0.5 : -0.5;
      const overall = 8.5 - 1.4 * Math.hypot(balance - wanted, Math.SQRT1_2 * body);
      return { balance, body, overall };
    });

  it.each([-0.5, 0, 0.5, 1])('finds that somebody likes %d best', (wanted) => {
    const palate = palateOf(marks(wanted, 42))!;
    expect(Math.abs(palate.balance - wanted)).toBeLessThan(0.2);
    expect(Math.abs(palate.body)).toBeLessThan(0.2);
    expect(palate.tastings).toBe(42);
  });

  it('stays near the usual with few marks, and surer with more', () => {
    const few = palateOf(marks(1, 7))!;
    const many = palateOf(marks(1, 70))!;
    expect(few.balance).toBeLessThan(many.balance);
    expect(many.balanceSd).toBeLessThan(few.balanceSd);
  });

  it('needs five cups with both a place and a mark', () => {
    expect(palateOf(marks(1, 4))).toBeNull();
    expect(palateOf(Array.from({ length: 9 }, () => ({ balance: 1, body: 0, overall: null })))).toBeNull();
  });

  it('does not count a harsh cup against its side of the scale', () => {
    const harsh = Array.from({ length: 20 }, () => ({ balance: -1, body: 0, overall: 2, dryness: 2 }));
    expect(palateOf([...marks(0, 42), ...harsh])).toEqual(palateOf(marks(0, 42)));
  });

  it('knows nothing more of one who marks everything alike', () => {
    const flat = palateOf(Array.from({ length: 20 }, () => ({ balance: 0, body: 0, overall: 6 })))!;
    expect(Math.abs(flat.balance)).toBeLessThan(0.05);
  });
});

describe('how a person marks', () => {
  /** Cups as a tongue of ±0.44 places them, with the marks of somebody who gives `best` and takes off `loss` a point. */
  const cupsOf = (best: number, loss: number, count: number, wanted = 0) => {
    const random = createRandom(`${best}/${loss}`);
    return Array.from({ length: count }, () => {
      const balance = wanted + drawNormal(random, 0, 1.1);
      const body = drawNormal(random, 0, 0.9);
      const away = Math.hypot(balance - wanted, Math.SQRT1_2 * body, 0.2) - 0.2;
      const overall = best - loss * away + drawNormal(random, 0, 0.4);
      const tongue = (value: number): number => Math.round(2 * drawNormal(random, value, 0.4)) / 2;
      return { balance: tongue(balance), body: tongue(body), overall };
    });
  };

  it.each([
    [7, 1],
    [8.3, 1.5],
    [9.5, 2.2],
  ])('is found from cups placed by a tongue that strays: best %d, %d a point', (best, loss) => {
    const { overall, sweetness } = marksOf(cupsOf(best, loss, 400))!;
    expect(Math.abs(overall!.best.mean - best)).toBeLessThan(0.25);
    expect(Math.abs(overall!.loss.mean - loss)).toBeLessThan(0.2);
    expect(sweetness).toBeNull();
  });

  it('covers what is true about as often as it says, from twenty cups', () => {
    let inside = 0;
    for (let k = 0; k < 200; k += 1) {
      const best = 7.5 + k / 100;
      const { mean, sd } = marksOf(cupsOf(best, 1.2 + k / 400, 20))!.overall!.best;
      if (Math.abs(mean - best) < 1.28 * sd) inside += 1;
    }
    expect(inside / 200).toBeGreaterThan(0.72);
    expect(inside / 200).toBeLessThan(0.96);
  });

  it('is counted from where that person likes a cup best', () => {
    const cups = cupsOf(8.5, 1.5, 200, 0.8);
    expect(Math.abs(marksOf(cups, { balance: 0.8, body: 0 })!.overall!.best.mean - 8.5)).toBeLessThan(0.3);
    expect(marksOf(cups)!.overall!.best.mean).toBeLessThan(8.2);
  });

  it('takes five cups that are not harsh', () => {
    const cups = cupsOf(8, 1.5, 4);
    expect(marksOf(cups)).toBeNull();
    expect(marksOf([...cups, { balance: 0, overall: 2, dryness: 2 }])).toBeNull();
  });

  it('gives the advice something it accepts, however absurd the marks', () => {
    const score = (from: number, to: number) => fc.integer({ min: 2 * from, max: 2 * to }).map((n) => n / 2);
    const cup = fc.record({
      balance: score(-3, 3),
      body: score(-3, 3),
      overall: score(0, 10),
      sweetness: score(0, 10),
    });
    // The worse, the better marked: a line through these begins below nothing.
    const worstLiked = Array.from({ length: 300 }, (_, i) => {
      const balance = (i % 7) - 3;
      return { balance, body: 0, overall: 3.3 * Math.abs(balance) };
    });
    const perverse = marksOf(worstLiked)!;
    expect(perverse.overall!.best.mean).toBe(0);
    expect(adviceRequestSchema.safeParse(everydayRequest({ taster: perverse })).success).toBe(true);
    const accepts = (cups: Parameters<typeof palateOf>[0]): boolean => {
      const taster = palateOf(cups)?.marks;
      return adviceRequestSchema.safeParse(everydayRequest({ taster })).success;
    };
    fc.assert(fc.property(fc.array(cup, { minLength: 5, maxLength: 40 }), accepts), { numRuns: 40 });
  });

  it('moves what the next dial-in expects of a cup as wanted, unless it is known no better than of a stranger', () => {
    const priorOf = (taster: AdviceRequest['taster']) =>
      priorFor(readProblem(adviceRequestSchema.parse(everydayRequest({ taster }))));
    const stranger = priorOf(null);
    const known = priorOf(marksOf(cupsOf(9.5, 2.2, 40)));
    expect(known.mean[P.overallBest]).toBeGreaterThan(9);
    expect(known.sd[P.overallBest]).toBeLessThan(0.5);
    expect(Math.exp(known.mean[P.logOverallLoss]!)).toBeGreaterThan(1.7);
    expect(known.mean[P.sweetBest]).toBe(stranger.mean[P.sweetBest]);
    const vague = { best: { mean: 8, sd: 5 }, loss: { mean: 1, sd: 5 }, cups: 5 };
    expect(priorOf({ overall: vague, sweetness: vague })).toEqual(stranger);
  });
});
