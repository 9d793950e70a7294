import type { Lever } from '../../method/Method';
import { everydayRequest, everydayShot, problemOf } from '../advice.fixture';
import { isEarly } from './tried';
import { leversToTry } from './levers';
import { readEvidence } from '../shots/evidence';
import { believe } from '../../belief/mixture';
import { standStill } from '../lookahead/moves';
import { drawParticles, lookAt } from '../../belief/particles';
import type { AdviceRequest } from '../../contract/request';

const planned = (shots: AdviceRequest['shots'], change: Partial<AdviceRequest> = {}) => {
  const problem = problemOf({ ...change, shots });
  const mixture = believe(problem);
  const particles = drawParticles(mixture, 'levers');
  const evidence = readEvidence(problem, mixture.main)!;
  const move = standStill(problem, evidence.last.planned);
  const still = { move, outlook: lookAt(problem, mixture.main, particles, move.settings) };
  return { problem, ...leversToTry({ problem, evidence, mixture, particles, still }) };
};
const cup = (balance: number, body = 0) => ({ balance, body });
const bitter = (grind: number) => everydayShot({ grind, timeSeconds: 29, taste: cup(1.5) });

describe('the levers to reach for', () => {
  it('is grind alone while the time is out of the window', () => {
    const { levers, stage } = planned([everydayShot({ timeSeconds: 18, taste: cup(-2) })]);
    expect([levers, stage]).toEqual([['grind'], 'window']);
  });

  it('is grind, and no waiting, once two in a row ran out on one side, however well these settings began', () => {
    const known = { grinder: { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.008, shots: 40 } } };
    const run = (...times: number[]) =>
      planned(
        times.map((timeSeconds) => everydayShot({ timeSeconds, taste: cup(-0.5) })),
        known,
      );
    expect(run(31.5, 32, 33.5, 34)).toMatchObject({
      levers: ['grind'],
      stage: 'window',
      mustSlow: false,
      mayStay: false,
    });
    expect(run(25.5, 25, 23.5, 23)).toMatchObject({
      levers: ['grind'],
      stage: 'window',
      mustSlow: true,
      mayStay: false,
    });
    // On two sides it is noise.
    expect(run(28, 29, 23.5, 34).mayStay).toBe(true);
  });

  it('is grind or patience, neither yield nor temperature, after one shot plainly outside', () => {
    const shots = [29, 29.5, 34.5].map((timeSeconds) => everydayShot({ timeSeconds, taste: cup(-1.5) }));
    expect(planned(shots)).toMatchObject({ levers: ['grind'], stage: 'window', mustSlow: false, mayStay: true });
    expect(planned(shots.slice(0, 2)).stage).toBe('taste');
  });

  it('is grind or patience where the clock read in the window and only the belief doubts it', () => {
    const known = { grinder: { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.008, shots: 40 } } };
    const after = (timeSeconds: number) =>
      planned(
        [
          everydayShot({ grind: 14, timeSeconds: 20.5, taste: cup(-1) }),
          everydayShot({ grind: 13, timeSeconds, taste: cup(0.5) }),
        ],
        known,
      );
    expect(after(25.1)).toMatchObject({ levers: ['grind'], stage: 'window', mustSlow: true, mayStay: true });
    expect(after(24.4)).toMatchObject({ levers: ['grind'], stage: 'window', mustSlow: true, mayStay: false });
  });

  it('does not run after the clock where time is an outcome', () => {
    const shots = [19, 18.5].map((timeSeconds) => everydayShot({ timeSeconds, taste: cup(0) }));
    expect(planned(shots, { method: 'open-light' }).stage).not.toBe('window');
  });

  it('is never grind for body alone', () => {
    const shots = [0, 1, 2].map(() => everydayShot({ timeSeconds: 29, taste: cup(0, -2) }));
    expect(planned(shots).levers).toEqual(['yield']);
  });

  it.each([
    [-0.5, -2, true],
    [0.5, 2, true],
    [0.5, -2, false],
    [-0.5, 2, false],
  ])('may be grind where it fixes balance and body together: balance %d, body %d', (balance, body, mayGrind) => {
    const shots = [0, 1, 2].map(() => everydayShot({ timeSeconds: 29, taste: cup(balance, body) }));
    expect(planned(shots).levers.includes('grind')).toBe(mayGrind);
  });

  it('follows the method’s order for balance, temperature last and not before another lever was turned', () => {
    expect(planned([bitter(14), bitter(14)]).levers).toEqual(['grind', 'yield']);
    expect(planned([bitter(14), bitter(14.5)]).levers).toEqual(['grind', 'yield', 'temperature']);
  });

  it('begins with temperature in the open, and moves it once', () => {
    const target = { ...everydayRequest().target, yieldGrams: 45, timeSeconds: { min: 20, max: 38 }, temperatureC: 94 };
    const open = { method: 'open-light' as const, coffee: { roast: 'light' as const }, target };
    const sour = (temperatureC: number) =>
      everydayShot({ yieldGrams: 45, temperatureC, timeSeconds: 27, taste: cup(-2.5) });
    const plan = (shots: AdviceRequest['shots']) =>
      planned(
        shots.map((shot) => ({ ...shot, planned: { doseGrams: 18, yieldGrams: 45 } })),
        open,
      ).levers;
    expect(plan([sour(94), sour(94)])).toEqual(['temperature']);
    expect(plan([sour(94), sour(96)])).not.toContain('temperature');
  });

  it('touches nothing a method locks', () => {
    expect(planned([bitter(14), bitter(14.5)], { method: 'one-lever' }).levers).toEqual(['grind']);
  });
});

describe('temperature before its time', () => {
  const at = (grind: number, yieldGrams: number, timeSeconds: number) =>
    everydayShot({ grind, yieldGrams, planned: { doseGrams: 18, yieldGrams }, timeSeconds, taste: cup(1) });
  const early = (shots: AdviceRequest['shots'], usable: Lever[] = ['grind', 'yield', 'temperature']) =>
    isEarly(planned(shots).problem, 'temperature', usable);

  it('is early until each lever before it was tried for the taste, from a setting in the window', () => {
    expect(early([at(14, 36, 29)])).toBe(true);
    expect(early([at(14, 36, 29), at(14.5, 36, 28)])).toBe(true);
    expect(early([at(14, 36, 29), at(14.5, 36, 28), at(14.5, 34, 27)])).toBe(false);
  });

  it('does not count a grind that only brought the time back', () => {
    expect(early([at(14, 36, 40), at(15.5, 36, 29), at(15.5, 34, 27)])).toBe(true);
  });

  it('asks for no lever that cannot be had', () => {
    expect(early([at(14, 36, 29), at(14, 34, 27)], ['yield', 'temperature'])).toBe(false);
  });

  it('is a question of temperature alone', () => {
    const { problem } = planned([bitter(14)]);
    expect(isEarly(problem, 'yield', ['grind', 'yield'])).toBe(false);
    expect(isEarly(problem, null, [])).toBe(false);
  });
});
