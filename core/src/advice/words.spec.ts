import fc from 'fast-check';
import {
  answer,
  balanceWord,
  bodyWord,
  buildAdviceRequest,
  combineTastings,
  moveLine,
  oddsInWords,
  plainNumber,
  type Advice,
} from '../index';
import { everydayRequest, everydayShot } from './advice.fixture';

const ask = (change: Parameters<typeof everydayRequest>[0]): Advice => answer(everydayRequest(change)) as Advice;

describe('words', () => {
  it.each([
    [0, 'hardly ever'],
    [0.21, '1 in 5'],
    [0.5, '1 in 2'],
    [0.66, '2 in 3'],
    [0.81, '4 in 5'],
    [0.97, 'almost surely'],
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
    [0, 'even'],
    [0.5, 'a bit bitter'],
    [2.5, 'very bitter'],
  ])('balance %p is %s', (balance, word) => expect(balanceWord(balance)).toBe(word));

  it.each([
    [-2, 'thin'],
    [0, 'full'],
    [0.5, 'a bit heavy'],
  ])('body %p is %s', (body, word) => expect(bodyWord(body)).toBe(word));

  it('write numbers without dust', () => {
    expect([12.5, 36, 0.1 + 0.2, 93.04].map((value) => plainNumber(value, 1))).toEqual(['12.5', '36', '0.3', '93']);
  });
});

describe('reasons', () => {
  const codes = (change: Parameters<typeof everydayRequest>[0]): string[] => ask(change).why.map(({ code }) => code);
  const target = { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } };

  it('name what was off in a shot that missed its recipe', () => {
    const why = (measured: Parameters<typeof everydayShot>[0]) =>
      ask({ shots: [everydayShot({ timeSeconds: 27, ...measured })] }).why[0];
    expect(why({ doseGrams: 16.8 })).toEqual({
      code: 'strayed',
      text: 'The dose was 16.8 g instead of 18 g: that alone moves time and taste. Weigh it again and pull the same.',
    });
    expect(why({ yieldGrams: 41 })!.text).toMatch(/^41 g instead of 36 g ran into the cup/);
  });

  it('tell drift from noise: the second odd shot in a row, not the first', () => {
    const late = everydayShot({ timeSeconds: 35, taste: { balance: 1, body: 0.5 } });
    const series = [28, 29, 28.5].map((timeSeconds) => everydayShot({ timeSeconds }));
    expect(codes({ shots: [...series, late] })).toContain('surprise');
    const twice = ask({ shots: [...series, late, late] });
    expect(twice.why[0]!.text).toMatch(/^Twice in a row slower than the shots before/);
    expect(twice.why.map(({ code }) => code)).not.toContain('surprise');
    expect(codes({ shots: [...series, late, late, everydayShot({ grind: 15 })] })).not.toContain('drifted');
  });

  it('say what a change should have done on a known grinder', () => {
    const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const shots = [everydayShot({ timeSeconds: 20 }), everydayShot({ grind: 11, timeSeconds: 20.4 })];
    const { why } = ask({ grinder, shots });
    expect(why[0]!.text).toBe('14 → 11 should have made the shot about 5.4 s slower on this grinder and hardly did.');
    expect(why[1]!.text).toMatch(
      /too little purge, a channel, a dose off target, a group not yet settled\. Purge well/,
    );
  });

  it.each([
    [-1.5, 'Sour and harsh in one cup points'],
    [0, 'A harsh cup that is not bitter points'],
  ])('send a harsh cup to preparation: balance %d', (balance, opening) => {
    const shots = [everydayShot({ timeSeconds: 29, taste: { balance, body: 0, dryness: 2.5 } })];
    expect(ask({ shots }).why[0]!.text.startsWith(opening)).toBe(true);
  });

  it('say that care did not help, and nothing of the sourness, where the bed is too tight', () => {
    const spurting = everydayShot({ timeSeconds: 29, seen: ['spurts'], taste: { balance: -1, body: 0 } });
    expect(codes({ shots: [spurting, spurting] })).toContain('channel');
    const third = codes({ shots: [spurting, spurting, spurting] });
    expect(third).toContain('too-tight');
    expect(third).not.toContain('sour');
  });

  it('own up to a move that leads away first', () => {
    type Cup = [balance: number, body: number, sweetness: number, overall: number];
    const poured = (grind: number, yieldGrams: number, timeSeconds: number, cup: Cup, seen: ['spurts'] | [] = []) =>
      everydayShot({
        grind,
        yieldGrams,
        planned: { doseGrams: 18, yieldGrams },
        timeSeconds,
        seen,
        taste: { balance: cup[0], body: cup[1], dryness: 2 * seen.length, sweetness: cup[2], overall: cup[3] },
      });
    const advice = ask({
      grinder: { ...everydayRequest().grinder, step: 0.25, logTimePerUnit: { mean: 0.03, sd: 0.004, shots: 40 } },
      machine: { temperatureC: null },
      coffee: { roast: 'medium-light' },
      target: { ...target, temperatureC: null },
      start: { grind: 10.75 },
      shots: [
        poured(10.75, 36, 26.4, [1, 0.5, 5.5, 6.5]),
        poured(10.75, 34, 26.1, [0, 1, 5, 6.5]),
        poured(10.75, 34, 20.2, [-2, -1, 1.5, 4], ['spurts']),
        poured(10.75, 34, 26.2, [0, 1, 7.5, 6.5]),
        poured(6.75, 34, 30.1, [0, 1, 6, 6.5]),
        poured(6.75, 34, 27.9, [0.5, 1, 4.5, 7.5]),
        poured(6.75, 34, 27.8, [0.5, 1.5, 5.5, 6]),
      ],
    });
    expect([advice.action, advice.why.map(({ code }) => code).includes('first-of-two')]).toEqual(['change', true]);
    expect(advice.settings.yieldGrams).toBeGreaterThan(34);
  });

  it('ask for a second taste before anything is moved', () => {
    const shots = [everydayShot({ timeSeconds: 29.5, taste: { balance: -0.5, body: 0 } })];
    expect(
      ask({ target, shots })
        .why.map(({ text }) => text)
        .join(' '),
    ).toContain('a second taste');
  });
});

describe('the move line', () => {
  it('is short and says what to turn, what to throw out and what to expect', () => {
    const { lead, rest } = moveLine(ask({ shots: [everydayShot({ timeSeconds: 19 })] }), 'lower');
    expect(lead).toMatch(/^Finer, 14 → [\d.]+\.$/);
    expect(rest).toMatch(/^Throw out 12 g\. Expect \d+ s \(\d+–\d+\)\.$/);
  });

  it('is proud of changing nothing', () => {
    expect(moveLine(ask({ shots: [everydayShot({ taste: null })] }), 'lower').lead).toBe('Pull again, change nothing.');
  });

  it('starts with the whole recipe, without a temperature where none can be set', () => {
    expect(moveLine(ask({}), 'lower').rest).toMatch(/^18 g in, 36 g out at 93 °C\./);
    expect(moveLine(ask({ machine: null }), 'lower').rest).toMatch(/^18 g in, 36 g out\./);
  });
});

describe('reasons and cautions', () => {
  it('name the evidence in the barista’s own units', () => {
    const { why } = ask({ shots: [everydayShot({ timeSeconds: 40, taste: { balance: 1.5, body: 1 } })] });
    expect(why.map(({ text }) => text)).toEqual(
      expect.arrayContaining(['40 s for 36 g is 8 s past the window.', 'It tasted bitter: it needs less extraction.']),
    );
  });

  it('warn of turning burrs only towards finer', () => {
    const codes = (timeSeconds: number) =>
      ask({ shots: [everydayShot({ timeSeconds })] }).cautions.map(({ code }) => code);
    expect(codes(18)).toContain('burrs-turning');
    expect(codes(42)).not.toContain('burrs-turning');
  });

  it('count what was tasted once it adds up', () => {
    const shots = Array.from({ length: 5 }, (_, i) =>
      everydayShot({ timeSeconds: 18 + i, taste: { balance: -2, body: -1 } }),
    );
    expect(ask({ shots }).cautions.find(({ code }) => code === 'caffeine')?.text).toMatch(/^5 shots tasted/);
  });
});

describe('building the request of a dial-in', () => {
  const target = { ...everydayRequest().target, balance: 0, body: 0 };
  const sheet = {
    run: { id: 'run', methodId: 'balance-walk', startGrind: 14, target },
    grinder: {
      min: 0,
      max: 40,
      step: 0.5,
      finer: 'lower' as const,
      dosing: 'timed' as const,
      purgeGrams: 12,
      learnedSlope: null,
    },
    basket: { nominalGrams: 18, minGrams: 16, maxGrams: 20 },
    machine: { temperatureC: { min: 88, max: 97, step: 0.5 } },
    coffee: { roast: 'medium' as const, process: '', altitudeM: null },
    ageDays: null,
    shots: [
      {
        grind: 14,
        doseGrams: 18,
        yieldGrams: 36,
        timeSeconds: 21,
        timer: 'pump-on' as const,
        seen: [{ sign: 'spurts' as const }],
        purged: true,
        tastings: [
          { balance: -2, body: -1 },
          { balance: -1, body: null, overall: 6 },
        ],
      },
    ],
  };

  it('asks what the contract accepts, with several tongues combined', () => {
    const request = buildAdviceRequest(sheet);
    expect(request.shots[0]).toMatchObject({
      seen: ['spurts'],
      taste: { balance: -1.5, body: -1, overall: 6, dryness: null },
    });
    expect(answer(request)).toMatchObject({ schema: 'olvet.advice/1', id: 'run' });
  });

  it('says untasted rather than even when nobody tasted', () => {
    expect(combineTastings([])).toBeNull();
  });
});
