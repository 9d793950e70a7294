import { answer, type Advice, type AdviceRequest } from '..';
import { everydayRequest, everydayShot } from '../advice/advice.fixture';
import { beansInWords, expectedCup, gasScatter } from './beans';
import { P } from './parameters';
import { priorFor } from './prior';
import { readProblem } from './problem';
import { adviceRequestSchema } from '../contract/request';
import { reviewRun } from '../advice/review';

const medium = { roast: 'medium' } as const;

describe('what a coffee is expected to be before anybody tasted it', () => {
  it('lies where its roast puts it when nothing else is known', () => {
    expect(expectedCup({ roast: 'light' })).toEqual({ balance: -0.7, body: -0.4, flatness: 0 });
    expect(expectedCup({ roast: 'dark', process: 'washed', altitudeM: 1500, ageDays: 12 })).toEqual({
      balance: 0.6,
      body: 0.2,
      flatness: 0,
    });
  });

  it('is sourer the higher it grew, though a mountain is not everything', () => {
    const balance = (altitudeM: number) => expectedCup({ ...medium, altitudeM }).balance;
    expect(balance(1900)).toBeCloseTo(-0.1, 9);
    expect(balance(1100)).toBeCloseTo(0.1, 9);
    expect([balance(2600), balance(4000), balance(-100)]).toEqual([-0.2, -0.2, 0.2]);
  });

  it.each([
    ['natural', 0.1, 0.2],
    ['Anaerobic Natural', 0.1, 0.2],
    ['pulped natural', 0.05, 0.1],
    ['red honey', 0.05, 0.1],
    ['wet-hulled', 0.15, 0.25],
    ['fully washed', 0, 0],
    ['something new', 0, 0],
  ])('reads the process “%s”', (process, balance, body) => {
    expect(expectedCup({ ...medium, process })).toEqual({ balance, body, flatness: 0 });
  });

  it('is thin and flat when the bag is long past its best', () => {
    const at = (ageDays: number) => expectedCup({ ...medium, ageDays });
    expect(at(20)).toEqual(expectedCup(medium));
    expect(at(35)).toMatchObject({ body: -0.1, flatness: 0.2 });
    expect(at(90)).toMatchObject({ body: -0.3, flatness: 0.7 });
  });

  it('pours less evenly while it is full of gas, longer so for a light roast', () => {
    const scatter = (roast: 'light' | 'dark') => [2, 8, 20].map((ageDays) => gasScatter({ roast, ageDays }));
    expect(scatter('light')).toEqual([0.04, 0.02, 0]);
    expect(scatter('dark')).toEqual([0.04, 0, 0]);
    expect(gasScatter(medium)).toBe(0);
  });

  it('is put into words only where there is something to say', () => {
    expect(beansInWords({ ...medium, process: 'washed', altitudeM: 1650 })).toBe('');
    expect(beansInWords({ ...medium, process: 'natural', altitudeM: 2050 })).toBe(
      'A natural: as a rule heavier and less sharp than a washed coffee. Grown at 2050 m, so dense: it gives less easily and may begin sour.',
    );
    expect(beansInWords({ ...medium, altitudeM: 800 })).toMatch(/^Grown low, at 800 m/);
  });
});

describe('what the beans do to an answer', () => {
  const ask = (coffee: Partial<AdviceRequest['coffee']>, shots: AdviceRequest['shots'] = []) =>
    answer(everydayRequest({ coffee: { roast: 'medium', ...coffee }, shots })) as Advice;

  it('predicts a high-grown coffee sourer and a natural heavier, and says so until the coffee is known', () => {
    const plain = ask({});
    const high = ask({ altitudeM: 2100 });
    const natural = ask({ process: 'natural' });
    expect(high.expect.balance.mean).toBeLessThan(plain.expect.balance.mean);
    expect(natural.expect.body.mean).toBeGreaterThan(plain.expect.body.mean);
    const codes = ({ why }: Advice) => why.map(({ code }) => code);
    expect([codes(plain).includes('beans'), codes(high).includes('beans')]).toEqual([false, true]);
    expect(codes(ask({ altitudeM: 2100 }, [everydayShot()]))).not.toContain('beans');
    const even = { mean: 0, sd: 0.3 };
    const learned = { balance: even, body: even, ratio: 2, middleSeconds: 28.5, shots: 20 };
    expect(codes(ask({ altitudeM: 2100, learned }))).not.toContain('beans');
  });

  it('predicts the time of a gassy coffee less surely', () => {
    const width = ({ expect: { timeSeconds } }: Advice) => timeSeconds.p90 - timeSeconds.p10;
    const shots = [everydayShot({ timeSeconds: 28 }), everydayShot({ timeSeconds: 28.4 })];
    expect(width(ask({ ageDays: 2 }, shots))).toBeGreaterThan(1.05 * width(ask({ ageDays: 14 }, shots)));
    // Three seconds more than ever before are less odd of a gassy coffee.
    const series = [28, 28.2, 28.1, 28.3, 31.6].map((timeSeconds) => everydayShot({ timeSeconds }));
    const surprise = (ageDays: number) => {
      const request = everydayRequest({ coffee: { ...medium, ageDays }, shots: series });
      return Math.abs(reviewRun(adviceRequestSchema.parse(request)).shots.at(-1)!.sigmas!);
    };
    expect(surprise(2)).toBeLessThan(0.92 * surprise(14));
  });

  it('expects lower marks of an old bag at its best, also from a person whose marks are known', () => {
    const best = (ageDays: number, taster?: AdviceRequest['taster']) => {
      const request = adviceRequestSchema.parse(everydayRequest({ coffee: { ...medium, ageDays }, taster }));
      return priorFor(readProblem(request)).mean[P.overallBest];
    };
    expect([best(14), best(120)]).toEqual([8.3, expect.closeTo(7.6, 9)]);
    const known = { overall: { best: { mean: 9, sd: 0.2 }, loss: { mean: 1.5, sd: 0.2 }, cups: 20 } };
    expect([best(14, known), best(120, known)]).toEqual([9, expect.closeTo(8.3, 9)]);
  });
});
