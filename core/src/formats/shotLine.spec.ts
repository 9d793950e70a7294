import fc from 'fast-check';
import { SIGNS, parseShotLine, printShotLine, type ShotLine } from '../index';

const read = (text: string): ShotLine => {
  const { shot, problems } = parseShotLine(text);
  expect(problems).toEqual([]);
  return shot;
};

describe('parseShotLine', () => {
  const plain = { doseGrams: 18, yieldGrams: 36, timeSeconds: 29 };
  it.each([
    ['18 > 36 in 29', plain],
    ['18 in 36 out 29s', plain],
    ['in 18 out 36 29 s', plain],
    ['18g -> 36g 29 sec', plain],
    ['18→36 0:29', plain],
    ['29s 18 36', plain],
    ['dose 18 yield 36 time 29', plain],
    ['18, 36, 29', plain],
    ['18,1 > 36,8 in 21,5', { doseGrams: 18.1, yieldGrams: 36.8, timeSeconds: 21.5 }],
    ['18/36 29 grind 12.5 93c', { ...plain, grind: 12.5, temperatureC: 93 }],
    ['18 36 29 drip 6 tds 9.4', { ...plain, firstDripSeconds: 6, tdsPercent: 9.4 }],
    ['18 36 29 9.4%', { ...plain, tdsPercent: 9.4 }],
    ['18 > 36 in 29 ground 4.6s', { ...plain, grindSeconds: 4.6 }],
    ['ground 4,6 dose 18', { doseGrams: 18, grindSeconds: 4.6 }],
    ['18 > 36 in 29 200f', { ...plain, temperatureC: 93.33 }],
    ['18 > 36 in 29 temp 212 °F', { ...plain, temperatureC: 100 }],
  ])('%s', (text, shot) => expect(read(text)).toEqual(shot));

  it.each<[string, ShotLine]>([
    ['18 > 17+17.5 in 28', { doseGrams: 18, yieldGrams: 34.5, cupGrams: [17, 17.5], timeSeconds: 28 }],
    ['18 > 2×17 in 28', { doseGrams: 18, yieldGrams: 34, cupGrams: [17], assumed: ['yieldGrams'], timeSeconds: 28 }],
    ['2x17 28s', { yieldGrams: 34, cupGrams: [17], assumed: ['yieldGrams'], timeSeconds: 28 }],
    ['18 > 50 ml in 28', { doseGrams: 18, yieldMl: 50, timeSeconds: 28 }],
    // 1.5 US fluid ounces are 44.36 ml.
    ['yield 1.5 oz 28s', { yieldMl: 44.4, timeSeconds: 28 }],
    ['28s dose planned yield planned', { timeSeconds: 28, assumed: ['doseGrams', 'yieldGrams'] }],
    ['at 8:12 28s from first-drip', { hour: '08:12', timeSeconds: 28, timer: 'first-drip' }],
    [
      '28s better channelled clean',
      { timeSeconds: 28, versusLast: 'better', cause: 'channelled', taste: { dryness: 0 } },
    ],
    ['28s check note: bar was 31 °C', { timeSeconds: 28, isCheck: true, note: 'bar was 31 °C' }],
  ])('%s says what it says', (text, shot) => {
    expect(read(text)).toEqual(shot);
    expect(read(printShotLine(shot))).toEqual(shot);
  });

  it('reads marks of ten', () => {
    expect(read('balanced round sweetness 6,5 mark 8.5').taste).toEqual({
      balance: 0,
      body: 0,
      sweetness: 6.5,
      overall: 8.5,
    });
    expect(read('sweet').taste).toEqual({ sweetness: 8 });
  });

  it('reads taste, signs with their clock hour, verdict and a missing purge', () => {
    expect(read('18.1 > 36.8 in 21.5 very sour, a bit thin dry spurts@2 dead@11 discard not purged')).toEqual({
      doseGrams: 18.1,
      yieldGrams: 36.8,
      timeSeconds: 21.5,
      taste: { balance: -2.5, body: -0.5, dryness: 1.5 },
      seen: [
        { sign: 'spurts', clock: 2 },
        { sign: 'dead-spots', clock: 11 },
      ],
      verdict: 'discard',
      purged: false,
    });
  });

  it.each([
    ['18 > 36 in 29 splendid', 'splendid', /not a word/],
    ['18 > 36 in 29 constructor 5', 'constructor', /not a word/],
    ['18 > 36 in 29 very constructor', 'very', /taste should follow/],
    ['18 > 36 in 29 44', '44', /too many/],
    ['180 > 36 in 29', '180', /1–60 g/],
    ['18 > 36 in soon', 'in', /number should follow/],
    ['18 36 29 spurts@13', '13', /1 to 12/],
    ['18 36 29 sour bitter', 'bitter', /points to a channel/],
    ['18 36 29s 30s', '30s', /twice/],
    ['18 36 29 very', 'very', /taste should follow/],
    ['18 36 29 temp 200', '200', /°F with an f after it/],
    ['18 36 29 300f', '300f', /60–100 °C/],
    ['18 36 29 mark', 'mark', /number of ten should follow/],
    ['18 36 29 mark 11', '11', /a mark of 0–10/],
    ['18 36 29 sweet sweetness 7', '7', /twice/],
    ['yield 36 ground 4.6', 'ground', /say the dose it gave too/],
    ['18 36 29 ground', 'ground', /number should follow/],
    ['18 36 29 serve discard', 'discard', /twice/],
    ['18 36 17+17 29', '17+17', /twice/],
    ['18 36 29 at 25:10', '25:10', /an hour is written/],
    ['18 36 29 from start', 'from', /pump, first-drip or contact/],
    ['dose planned 28s dose planned', 'planned', /twice/],
  ])('%s → points at “%s”', (text, culprit, message) => {
    const { problems } = parseShotLine(text);
    const problem = problems.find((p) => message.test(p.message));
    expect(problem && text.slice(problem.start, problem.end)).toBe(culprit);
  });

  it('never throws, and every problem points into the text', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (text) => {
        for (const problem of parseShotLine(text).problems) {
          expect(problem.end).toBeGreaterThan(problem.start);
          expect(problem.end).toBeLessThanOrEqual(text.length);
        }
      }),
    );
  });

  it('keeps no grinding time whose dose nobody told', () => {
    expect(parseShotLine('yield 36 ground 4.6').shot).toEqual({ yieldGrams: 36 });
  });

  it('gives back what printShotLine wrote', () => {
    const tenths = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((n) => n / 10);
    const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
    const shots = fc.record({
      doseGrams: maybe(tenths(5, 25)),
      yieldGrams: maybe(tenths(10, 80)),
      grindSeconds: maybe(tenths(1, 12)),
      timeSeconds: maybe(tenths(5, 90)),
      grind: maybe(tenths(0, 40)),
      temperatureC: maybe(tenths(86, 97)),
      firstDripSeconds: maybe(tenths(1, 12)),
      tdsPercent: maybe(tenths(5, 14)),
      taste: maybe(
        fc.record(
          {
            balance: fc.constantFrom(-2.5, -1.5, -0.5, 0, 0.5, 1.5, 2.5),
            sweetness: tenths(0, 10),
            overall: tenths(0, 10),
          },
          { requiredKeys: ['balance'] },
        ),
      ),
      seen: maybe(
        fc.array(fc.record({ sign: fc.constantFrom(...SIGNS), clock: maybe(fc.integer({ min: 1, max: 12 })) }), {
          minLength: 1,
          maxLength: 3,
        }),
      ),
      verdict: maybe(fc.constantFrom('discard' as const, 'serve' as const)),
      purged: maybe(fc.constant(false)),
    });
    fc.assert(
      fc.property(shots, (shot) => {
        // A grinding time says nothing without its dose and is left out.
        const { grindSeconds, ...rest } = shot;
        const told = shot.doseGrams === undefined ? rest : { ...rest, grindSeconds };
        expect(JSON.parse(JSON.stringify(read(printShotLine(shot))))).toEqual(JSON.parse(JSON.stringify(told)));
      }),
    );
  });
});
