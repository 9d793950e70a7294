import { everydayRequest, everydayShot, problemOf } from '../advice.fixture';
import { isSurprising, readEvidence } from './evidence';
import { infer } from '../../belief/infer';
import { timeSd } from '../../belief/readings';
import { beliefOf, geometryOf, predict } from '../../belief/model';
import type { AdviceRequest } from '../../contract/request';

type Shots = AdviceRequest['shots'];
const evidenceOf = (shots: Shots, change: Partial<AdviceRequest> = {}) => {
  const problem = problemOf({ ...change, shots });
  return readEvidence(problem, infer(problem))!;
};

describe('surprise', () => {
  it.each([
    ['at settings pulled before', [28, 28.6, 27.5, 31], 14],
    ['after a move of the grind', [22, 24, 23.2, 29.5], 12],
  ])('in closed form is what leaving the shot out by a second inference says: %s', (_, times, lastGrind) => {
    const shots = times.map((timeSeconds, i) =>
      everydayShot({ timeSeconds, grind: i === times.length - 1 ? lastGrind : 14, taste: null }),
    );
    const { surprise } = evidenceOf(shots);
    const problem = problemOf({ shots });
    const without = infer(problem, problem.pours.slice(0, -1));
    const shot = predict(
      beliefOf(without.mean, without.frame),
      without.frame,
      geometryOf(without.frame, problem.pours.at(-1)!.measured),
    );
    // Linear in the parameters the two would be equal; the model bends a little.
    expect(Math.abs(surprise!.expectedSeconds - shot.timeSeconds)).toBeLessThan(0.6 * timeSd(shot.puckSeconds));
  });

  it('needs an earlier time to be surprised against, and a time of its own', () => {
    expect(evidenceOf([everydayShot({ timeSeconds: 12 })]).surprise).toBeNull();
    expect(evidenceOf([everydayShot({ timeSeconds: null }), everydayShot({ timeSeconds: 12 })]).surprise).toBeNull();
    expect(evidenceOf([everydayShot(), everydayShot({ timeSeconds: null })]).surprise).toBeNull();
    expect(isSurprising(evidenceOf([everydayShot(), everydayShot({ timeSeconds: 12 })]))).toBe(true);
  });

  it('is no surprise that a grinder nobody knows answers more or less than was guessed', () => {
    const answered = (grind: number, timeSeconds: number) =>
      isSurprising(evidenceOf([everydayShot({ timeSeconds: 20 }), everydayShot({ grind, timeSeconds })]));
    expect([answered(12, 22), answered(12, 30), answered(12, 11)]).toEqual([false, false, true]);
  });

  it('grows with the distance, on either side', () => {
    const sigmas = (last: number) =>
      evidenceOf([28, 28, 28, last].map((timeSeconds) => everydayShot({ timeSeconds }))).surprise!.sigmas;
    expect([20, 24, 28, 32, 36].map(sigmas)).toEqual([20, 24, 28, 32, 36].map(sigmas).sort((a, b) => a - b));
    expect(Math.abs(sigmas(28))).toBeLessThan(0.5);
    expect(isSurprising(evidenceOf([28, 28, 28, 19].map((timeSeconds) => everydayShot({ timeSeconds }))))).toBe(true);
  });
});

describe('what a practised eye reads from the run', () => {
  it('is nothing before the first shot', () => {
    const problem = problemOf();
    expect(readEvidence(problem, infer(problem))).toBeNull();
  });

  it('is a lever turned to and fro twice, whatever the scale’s direction', () => {
    const grinds = (...values: number[]) => evidenceOf(values.map((grind) => everydayShot({ grind }))).circling;
    expect(grinds(14, 13, 14)).toEqual([]);
    expect(grinds(14, 13, 14, 13)).toEqual(['grind']);
    expect(grinds(14, 13, 12, 13, 14)).toEqual([]);
  });

  it('tells apart a channel seen once, seen twice, and a cup sour and harsh at once', () => {
    const spurting = everydayShot({ seen: ['spurts'] });
    expect(evidenceOf([everydayShot(), spurting])).toMatchObject({ spoilt: 'channels', spoiltInARow: 1 });
    expect(evidenceOf([spurting, spurting])).toMatchObject({ spoilt: 'channels', spoiltInARow: 2 });
    const harsh = everydayShot({ taste: { balance: -1.5, dryness: 2 } });
    expect(evidenceOf([harsh]).spoilt).toBe('muddled');
    // Somebody looked, and there was no channel.
    expect(evidenceOf([{ ...harsh, seen: ['clean'] }]).spoilt).toBeNull();
    expect(evidenceOf([everydayShot({ taste: { balance: 1.5, dryness: 2 } })]).spoilt).toBeNull();
  });

  it('counts the shots at the last settings as planned, not as a hand missed them', () => {
    const planned = { doseGrams: 18, yieldGrams: 36 };
    const shots = [
      everydayShot({ doseGrams: 18.2, yieldGrams: 37.1, planned }),
      everydayShot({ yieldGrams: 35.2, planned }),
    ];
    expect(evidenceOf(shots).sameSettings).toHaveLength(2);
  });

  it('knows an unpurged change from an unpurged repeat', () => {
    expect(evidenceOf([everydayShot(), everydayShot({ grind: 12, purged: false })]).unpurged).toBe(true);
    expect(evidenceOf([everydayShot(), everydayShot({ purged: false })]).unpurged).toBe(false);
  });
});

describe('a shot that missed its own recipe', () => {
  const strayedBy = (measured: Parameters<typeof everydayShot>[0]) => evidenceOf([everydayShot(measured)]).strayed;

  it.each([
    [{ doseGrams: 17.4 }, null],
    [{ doseGrams: 16.5 }, 'doseGrams'],
    [{ doseGrams: 19.2 }, 'doseGrams'],
    [{ yieldGrams: 38.5 }, null],
    [{ yieldGrams: 44 }, 'yieldGrams'],
    [{ yieldGrams: 30 }, 'yieldGrams'],
  ] as const)('is told from a hand that misses by a little: %j → %s', (measured, expected) => {
    expect(strayedBy(measured)).toBe(expected);
  });
});

describe('a shot measured without a scale', () => {
  it('has not strayed because the glass reads 8 g more', () => {
    const measuring = { doseSdGrams: 0.4, yieldSdGrams: 3 };
    expect(evidenceOf([everydayShot({ yieldGrams: 44 })], { measuring }).strayed).toBeNull();
  });
});

describe('a change of grind on a known grinder', () => {
  const missing = (grind: number, timeSeconds: number, sd = 0.01, change: object = {}) => {
    const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd, shots: 40 } };
    const shots = [everydayShot({ timeSeconds: 20 }), everydayShot({ grind, timeSeconds, ...change })];
    return evidenceOf(shots, { grinder }).missing?.expectedSeconds ?? null;
  };

  it('is missed where it should have moved the time by 4 s and hardly did', () => {
    // 20 s · (e^(3 · 0.08) − 1)
    expect(missing(11, 20.5)).toBeCloseTo(5.42, 2);
    expect(missing(11, 24)).toBeNull();
    expect(missing(17, 20)).toBeCloseTo(20 * Math.expm1(-0.24), 2);
    // Rounded as at the bar: 3.8 s, and 3.2.
    expect([missing(11.8, 20.5), missing(12.15, 20.5)]).toEqual([expect.closeTo(3.85, 2), null]);
  });

  it('is not missed where little was to be expected, or the grinder is hardly known, or more was changed', () => {
    expect(missing(13, 20)).toBeNull();
    expect(missing(11, 21, 0.04)).toBeNull();
    expect(missing(11, 20, 0.01, { planned: { doseGrams: 17, yieldGrams: 34 } })).toBeNull();
  });
});

describe('a change of grind on a grinder nobody knows', () => {
  const missing = (grind: number, timeSeconds: number, step = 0.5) => {
    const grinder = { ...everydayRequest().grinder, step, logTimePerUnit: null };
    return evidenceOf([everydayShot({ timeSeconds: 22 }), everydayShot({ grind, timeSeconds })], { grinder }).missing;
  };

  it('is doubted where the time went the other way, or did not move at all', () => {
    expect(missing(11, 19)).toMatchObject({ seenSeconds: -3 });
    expect(missing(11, 22)).toMatchObject({ seenSeconds: 0 });
    expect(missing(17, 25)).toMatchObject({ seenSeconds: 3 });
    expect(missing(11, 19)!.expectedSeconds).toBeGreaterThan(4);
    expect(missing(17, 25)!.expectedSeconds).toBeLessThan(-4);
  });

  it('is doubted after two notches that should have told, and did nothing', () => {
    // About 22 s · (e^(2 · 0.078) − 1): less than tells on a grinder that is known.
    expect(missing(12, 22)!.expectedSeconds).toBeCloseTo(3.7, 1);
    expect([missing(12, 22.5), missing(13, 22)]).toEqual([null, null]);
  });

  it('is doubted after less, too, where the time went far the other way', () => {
    expect(missing(12.5, 20)).toMatchObject({ seenSeconds: -2 });
    expect(missing(15.5, 24)).toMatchObject({ seenSeconds: 2 });
    expect([missing(12.5, 21.5), missing(13.5, 19)]).toEqual([null, null]);
  });

  it('is believed where it did little, which the grinder may be like, or where little was turned', () => {
    expect([missing(11, 23), missing(17, 21), missing(13.5, 19)]).toEqual([null, null, null]);
  });
});

describe('one shot outside the window', () => {
  const isOdd = (times: (number | null)[], change: object = {}) =>
    evidenceOf(
      times.map((timeSeconds) => everydayShot({ timeSeconds })),
      change,
    ).isOddAfterSeries;

  it('is odd after two inside it, and not after one, nor twice, nor at the end of a creep', () => {
    expect([isOdd([28, 29, 23]), isOdd([28, 29, 36])]).toEqual([true, true]);
    expect([isOdd([28, 23]), isOdd([28, 29, 23, 23]), isOdd([28, 29, 32.3, 34])]).toEqual([false, false, false]);
    expect([isOdd([28, 29, 30]), isOdd([28, null, 23]), isOdd([28, 29, null])]).toEqual([false, false, false]);
  });

  it('is not odd where time is an outcome', () => {
    expect(isOdd([28, 29, 45], { method: 'open-light' })).toBe(false);
  });
});

describe('a shot that says nothing', () => {
  const blank = { timeSeconds: null, taste: null };

  it('was neither timed nor tasted nor seen to gush, and nor were the others at its settings', () => {
    expect(evidenceOf([everydayShot(blank)]).isBlank).toBe(true);
    expect(evidenceOf([everydayShot({ ...blank, taste: { balance: null, sweetness: 7 } })]).isBlank).toBe(true);
    expect(evidenceOf([everydayShot({ ...blank, seen: ['gushing'] })]).isBlank).toBe(false);
    expect(evidenceOf([everydayShot({ ...blank, taste: { overall: 8 } })]).isBlank).toBe(false);
    const better = everydayShot({ ...blank, grind: 12, versusLast: 'better' });
    expect(evidenceOf([everydayShot(), better]).isBlank).toBe(false);
    expect(evidenceOf([everydayShot({ timeSeconds: 28, taste: null }), everydayShot(blank)]).isBlank).toBe(false);
    expect(evidenceOf([everydayShot({ grind: 12 }), everydayShot(blank)]).isBlank).toBe(true);
  });

  it('tells whether anybody tasted what the settings bring: a word of a sound shot there, or which was better', () => {
    const untasted = everydayShot({ taste: null });
    const spoilt = everydayShot({ seen: ['spurts'], taste: { balance: -1 } });
    const isUntasted = (...shots: AdviceRequest['shots']): boolean => evidenceOf(shots).isUntasted;
    expect([isUntasted(untasted), isUntasted(everydayShot({ grind: 12 }), untasted)]).toEqual([true, true]);
    expect(isUntasted(spoilt, untasted)).toBe(true);
    expect([isUntasted(everydayShot(), untasted), isUntasted(untasted, everydayShot())]).toEqual([false, false]);
    expect(isUntasted(untasted, { ...untasted, versusLast: 'better' })).toBe(false);
    expect(isUntasted(spoilt)).toBe(false);
  });
});

describe('a run of shots that left what the earlier ones showed', () => {
  const staleIn = (times: (number | null)[], last: Parameters<typeof everydayShot>[0] = {}) => {
    const shots = times.map((timeSeconds) => everydayShot({ timeSeconds }));
    shots[shots.length - 1] = { ...shots.at(-1)!, ...last };
    return problemOf({ shots }).pours.filter(({ stale }) => stale).length;
  };

  it('makes the earlier ones count little once it happened twice', () => {
    expect(staleIn([28, 29, 28, 34])).toBe(0);
    expect(staleIn([28, 29, 28, 34, 34])).toBe(3);
    expect(staleIn([28, 29, 23, 24])).toBe(2);
    // One of two before was like these: nothing has shifted.
    expect(staleIn([29, 36, 29, 29])).toBe(0);
    expect(staleIn([29, 36, 24, 24])).toBe(2);
  });

  it('is remembered once the settings are changed, and forgotten when the shots come back', () => {
    const moved = (times: number[], after: number[]) => [
      ...times.map((timeSeconds) => everydayShot({ timeSeconds })),
      ...after.map((timeSeconds) => everydayShot({ grind: 15, timeSeconds })),
    ];
    const stale = (shots: Shots) => problemOf({ shots }).pours.filter((pour) => pour.stale).length;
    expect(stale(moved([28, 29, 28, 34, 34], [30]))).toBe(3);
    expect(stale(moved([28, 29, 28, 34, 34], [30, 29, 30, 31]))).toBe(3);
    expect(staleIn([28, 29, 28, 34, 34, 28, 29])).toBe(0);
  });

  it('must be on one side, sound, and against at least two', () => {
    expect(staleIn([28, 29, 28, 34, 23])).toBe(0);
    expect(staleIn([28, 34, 34])).toBe(0);
    expect(staleIn([28, 29, 28, 34, 34], { seen: ['spurts'] })).toBe(0);
    expect(staleIn([28, 29, 28, 34, 34], { grind: 13 })).toBe(0);
  });
});
