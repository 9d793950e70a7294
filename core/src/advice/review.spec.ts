import { everydayRequest, everydayShot } from './advice.fixture';
import { advise } from './advise';
import { infer } from '../belief/infer';
import { believe } from '../belief/mixture';
import { P } from '../belief/parameters';
import { readProblem } from '../belief/problem';
import { adviceRequestSchema, type AdviceRequest } from '../contract/request';
import { reviewRun } from './review';

const valid = (change: Partial<AdviceRequest>) => adviceRequestSchema.parse(everydayRequest(change));
const steady = Array.from({ length: 4 }, () => everydayShot({ timeSeconds: 28 }));

describe('the review of a run', () => {
  it('predicts each shot from those before it: narrower as the run goes on', () => {
    const { shots } = reviewRun(valid({ shots: steady }));
    const widths = shots.map(({ predicted }) => predicted.timeSeconds.p90 - predicted.timeSeconds.p10);
    expect(shots).toHaveLength(4);
    expect(widths[3]!).toBeLessThan(widths[0]! / 2);
  });

  it('shows what the run taught of the grinder once the grind has moved', () => {
    const shots = [16, 14, 12].map((grind) => everydayShot({ grind, timeSeconds: 28 - 2.5 * (grind - 13) }));
    const { slope } = reviewRun(valid({ shots }));
    expect(slope.now.sd / slope.now.mean).toBeLessThan(0.7 * (slope.before.sd / slope.before.mean));
  });

  it('is of the same run whether the start was named or taken from the first shot', () => {
    const named = reviewRun(valid({ shots: steady }));
    const taken = reviewRun(valid({ shots: steady, start: { grind: 14 } }));
    expect(taken).toEqual(named);
  });

  it('marks the shot that fell outside its own prediction, with the suspects in order', () => {
    const odd = [...steady, everydayShot({ timeSeconds: 19 })];
    const review = reviewRun(valid({ shots: odd })).shots.at(-1)!;
    expect(review.surprising).toBe(true);
    expect(review.sigmas!).toBeLessThan(-2.3);
    // The grind was not touched: nobody can have forgotten to purge.
    expect(review.suspects).toEqual(['channelled', 'dose-off', 'cold-group']);
    const moved = [...steady, everydayShot({ grind: 12, timeSeconds: 19 })];
    expect(reviewRun(valid({ shots: moved })).shots.at(-1)!.suspects[0]).toBe('not-purged');
  });

  it('marks what the advice answers with "again": a shot out of a good series, and a change of grind that did not show', () => {
    const marks = (shots: AdviceRequest['shots'], mean = 0.08) => {
      const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean, sd: 0.01, shots: 40 } };
      return reviewRun(valid({ grinder, shots })).shots.map(({ surprising }) => surprising);
    };
    const [good, fast] = [everydayShot({ timeSeconds: 29 }), everydayShot({ timeSeconds: 24 })];
    expect(marks([good, good, fast])).toEqual([false, false, true]);
    // Beside the window, but as predicted of a series at its edge.
    const edge = everydayShot({ timeSeconds: 25.2 });
    expect(marks([edge, edge, everydayShot({ timeSeconds: 24.3 })])).toEqual([false, false, false]);
    const finer = everydayShot({ timeSeconds: 20.5, grind: 11 });
    expect(marks([everydayShot({ timeSeconds: 20 }), finer])).toEqual([false, true]);
    expect(marks([everydayShot({ timeSeconds: 20 }), { ...finer, timeSeconds: 25 }])).toEqual([false, false]);
    expect(marks([everydayShot({ timeSeconds: 20 }), { ...finer, purged: false }])).toEqual([false, false]);
  });

  it('marks nothing in a steady series, and no longer what somebody has explained', () => {
    expect(reviewRun(valid({ shots: steady })).shots.some(({ surprising }) => surprising)).toBe(false);
    const explained = [...steady, everydayShot({ timeSeconds: 19, cause: 'cold-group' })];
    expect(reviewRun(valid({ shots: explained })).shots.at(-1)!.surprising).toBe(false);
  });
});

describe('a named cause', () => {
  const logPuck = (cause: 'cold-group' | 'dose-off' | 'channelled' | null) =>
    infer(readProblem(valid({ shots: [...steady.slice(0, 2), everydayShot({ timeSeconds: 21, cause })] }))).mean[
      P.logPuck
    ]!;
  const undisturbed = infer(readProblem(valid({ shots: steady.slice(0, 2) }))).mean[P.logPuck]!;

  it.each(['cold-group', 'dose-off', 'channelled'] as const)('makes the shot count for little: %s', (cause) => {
    expect(Math.abs(logPuck(cause) - undisturbed)).toBeLessThan(0.5 * Math.abs(logPuck(null) - undisturbed));
  });

  it('asks for the same shot again and says why', () => {
    const advice = advise(
      valid({ shots: [...steady.slice(0, 2), everydayShot({ timeSeconds: 21, cause: 'cold-group' })] }),
    );
    expect(advice.action).toBe('repeat');
    expect(advice.why.map(({ text }) => text).join(' ')).toContain('The group had not settled.');
  });

  it('of old grounds turns the shot into a mixture of two grinds', () => {
    const shots = [
      everydayShot({ timeSeconds: 20 }),
      everydayShot({ grind: 12, timeSeconds: 22, cause: 'not-purged' }),
    ];
    const advice = advise(valid({ shots }));
    expect(advice.action).toBe('repeat');
    expect(advice.why.some(({ code }) => code === 'not-purged')).toBe(true);
  });
});

describe('better or worse than the last one', () => {
  const tasted = (versusLast: 'better' | 'worse' | null) => {
    const shots = [
      everydayShot({ yieldGrams: 36, taste: { balance: -1 } }),
      everydayShot({ yieldGrams: 40, planned: { doseGrams: 18, yieldGrams: 40 }, taste: null, versusLast }),
    ];
    const { mean } = infer(readProblem(valid({ shots })));
    return { centre: mean[P.balanceAtCentre]! };
  };

  it('moves the belief the way it was said', () => {
    // Sour before and better when longer: on the way to balanced. Worse: the other side of it, or no help.
    expect(tasted('better').centre).not.toBeCloseTo(tasted('worse').centre, 2);
    const plain = tasted(null);
    expect(tasted('better').centre).toBeLessThan(tasted('worse').centre);
    expect(tasted('better').centre).not.toBe(plain.centre);
  });

  it('counts for nothing on the first shot, or beside a spoilt one', () => {
    const first = (versusLast: 'better' | null) => infer(readProblem(valid({ shots: [everydayShot({ versusLast })] })));
    expect([...first('better').mean]).toEqual([...first(null).mean]);
    const spoilt = (versusLast: 'better' | null) =>
      infer(readProblem(valid({ shots: [everydayShot({ seen: ['spurts'] }), everydayShot({ versusLast })] })));
    expect([...spoilt('better').mean]).toEqual([...spoilt(null).mean]);
  });
});

describe('two stories of a run', () => {
  const keptShare = (shot: Parameters<typeof everydayShot>[0]) =>
    believe(readProblem(valid({ shots: [everydayShot(shot)] }))).keptShare;

  it('start at the odds of ordinary life', () => {
    expect(believe(readProblem(valid({}))).keptShare).toBeCloseTo(0.25, 6);
    const dark = valid({ coffee: { ...everydayRequest().coffee, roast: 'dark' } });
    expect(believe(readProblem(dark)).keptShare).toBeCloseTo(0.25, 6);
  });

  it('hold a first shot on target for a kept recipe, and one far off for a new one', () => {
    expect(keptShare({ timeSeconds: 28.5, taste: { balance: 0, body: 0, overall: 8 } })).toBeGreaterThan(0.5);
    expect(keptShare({ timeSeconds: 18, taste: { balance: -2, body: -1, overall: 4 } })).toBeLessThan(0.05);
  });

  it('keep a hand from fiddling with what is right', () => {
    const advice = advise(
      valid({ shots: [everydayShot({ timeSeconds: 29, taste: { balance: 0.5, body: 0, overall: 7.5 } })] }),
    );
    expect(['repeat', 'dialled']).toContain(advice.action);
  });
});
