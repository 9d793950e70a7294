import { findMethod, METHODS } from '../index';
import { everydayRequest, everydayShot } from './advice.fixture';
import type { Settings } from './answer';
import { infer } from './infer';
import { changesBetween } from './changes';
import { directionOf, grindStep, movesOf, standStill } from './moves';
import { readProblem } from './problem';
import { adviceRequestSchema, type AdviceRequest } from './request';

const problemOf = (change: Partial<AdviceRequest> = {}) =>
  readProblem(adviceRequestSchema.parse(everydayRequest(change)));
const from: Settings = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };
const moves = (lever: Parameters<typeof movesOf>[3], change: Partial<AdviceRequest> = {}, at = from) => {
  const problem = problemOf(change);
  return movesOf(problem, infer(problem), at, lever);
};

describe('legal moves', () => {
  it('change one variable, or dose with yield in ratio', () => {
    for (const lever of ['grind', 'yield', 'temperature', 'dose'] as const) {
      for (const { settings, coupled } of moves(lever)) {
        const changed = changesBetween(from, settings).map(({ variable }) => variable);
        expect(changed).toHaveLength(coupled ? 2 : 1);
        if (coupled) expect(settings.yieldGrams / settings.doseGrams).toBeCloseTo(2, 1);
      }
    }
  });

  it('stay on the clicks of grinder and machine', () => {
    const grinder = { ...everydayRequest().grinder, min: 0.25, step: 0.5 };
    for (const { settings } of moves('grind', { grinder }, { ...from, grind: 14.25 })) {
      expect((settings.grind - 0.25) % 0.5).toBeCloseTo(0, 9);
    }
    for (const { settings } of moves('temperature')) expect((settings.temperatureC! * 2) % 1).toBe(0);
  });

  it('end where the equipment ends', () => {
    const grinder = { ...everydayRequest().grinder, min: 14, max: 15 };
    expect(
      moves('grind', { grinder })
        .map(({ settings }) => settings.grind)
        .sort(),
    ).toEqual([14.5, 15]);
    expect(moves('temperature', { machine: null }, { ...from, temperatureC: null })).toEqual([]);
    const basket = { nominalGrams: 18, minGrams: 18, maxGrams: 18.2 };
    expect(moves('dose', { basket })).toEqual([]);
  });

  it.each([
    [36, 54],
    [54, 59.4],
    [20, 32],
  ])('end at a lungo, or a tenth beyond a recipe that is one: %d g of 18 asked for, %d g at most', (wanted, most) => {
    const target = { ...everydayRequest().target, yieldGrams: wanted };
    const yields = [from, { ...from, yieldGrams: Math.min(50, 1.4 * wanted) }].flatMap((at) =>
      moves('yield', { target }, at).map(({ settings }) => settings.yieldGrams),
    );
    expect(Math.max(...yields)).toBeLessThanOrEqual(most);
    expect(Math.max(...yields)).toBeGreaterThan(0.9 * most);
  });

  it('do not stretch a lungo by taking coffee out of it', () => {
    const lungo = { ...from, yieldGrams: 54 };
    const doses = moves('dose', {}, lungo).map(({ coupled, settings }) => [settings.doseGrams, coupled]);
    expect(doses).toEqual([
      [17.5, true],
      [18.5, true],
      [18.5, false],
    ]);
  });

  it('go both ways, small steps first to be had', () => {
    const grinds = moves('grind').map(({ settings }) => settings.grind);
    expect(grinds).toContain(13.5);
    expect(grinds).toContain(14.5);
    expect(Math.min(...grinds)).toBeLessThan(10);
    expect(new Set(grinds).size).toBe(grinds.length);
  });

  it('reach no further than the near-log law can be trusted', () => {
    const problem = problemOf({
      grinder: { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.1, sd: 0.005, shots: 50 } },
    });
    const grinds = movesOf(problem, infer(problem), from, 'grind').map(({ settings }) => settings.grind);
    expect(Math.max(...grinds.map((grind) => Math.abs(grind - 14)))).toBeLessThanOrEqual(7.5);
  });

  it('are dense enough on a stepless collar, and on round numbers', () => {
    const grinder = {
      ...everydayRequest().grinder,
      step: 0,
      max: 12,
      logTimePerUnit: { mean: 0.3, sd: 0.02, shots: 30 },
    };
    const problem = problemOf({ grinder, start: { grind: 6 } });
    expect(grindStep(problem, infer(problem))).toBeCloseTo(0.05, 9);
  });
});

describe('standing still', () => {
  it('keeps settings that are legal and brings back those that are not', () => {
    expect(standStill(problemOf(), from).settings).toEqual(from);
    const strayed = { grind: 99, doseGrams: 25, yieldGrams: 36, temperatureC: 120 };
    expect(standStill(problemOf(), strayed).settings).toEqual({
      grind: 40,
      doseGrams: 20,
      yieldGrams: 36,
      temperatureC: 97,
    });
  });
});

describe('directions', () => {
  it('count finer as up, whichever way the collar is numbered', () => {
    const change = { variable: 'grind' as const, from: 14, to: 12 };
    expect(directionOf(problemOf(), change)).toBe(1);
    expect(directionOf(problemOf({ grinder: { ...everydayRequest().grinder, finer: 'higher' } }), change)).toBe(-1);
  });
});

describe('reading a request', () => {
  it('fills what was left out from the plan, the shot before, and the start', () => {
    const shots = [
      everydayShot({ grind: 13 }),
      { timeSeconds: 25 },
      { planned: { doseGrams: 17 }, doseGrams: 17.2, seen: ['spurts' as const] },
    ];
    const { pours } = problemOf({ shots });
    expect(pours[1]!.planned).toEqual({ grind: 13, doseGrams: 18, yieldGrams: 36, temperatureC: 93 });
    expect(pours[2]!.planned.doseGrams).toBe(17);
    expect(pours[2]!.measured.doseGrams).toBe(17.2);
    expect(pours.map(({ channelled }) => channelled)).toEqual([false, false, true]);
  });

  it('reads another clock on the target’s; where the first drip is not known, by the usual one, and keeps what was read', () => {
    const target = { ...everydayRequest().target, timer: 'first-drip' as const };
    const { pours } = problemOf({
      target,
      shots: [
        everydayShot({ timeSeconds: 28, firstDripSeconds: 6 }),
        everydayShot({ timeSeconds: 28, firstDripSeconds: null }),
      ],
    });
    const usual = findMethod('balance-walk')!.leadSeconds;
    expect(pours.map(({ timeSeconds, clockSeconds, clock }) => [timeSeconds, clockSeconds, clock])).toEqual([
      [22, 22, 'first-drip'],
      [28 - usual, 28, 'pump-on'],
    ]);
  });

  it('starts at the recipe as it was asked for, and in its ratio where the basket holds less', () => {
    const target = { ...everydayRequest().target, yieldGrams: 36.25 };
    expect(problemOf({ target }).start).toMatchObject({ doseGrams: 18, yieldGrams: 36.25 });
    const basket = { nominalGrams: 16, minGrams: 14, maxGrams: 16.8 };
    expect(problemOf({ target, basket }).start).toMatchObject({ doseGrams: 16.8, yieldGrams: 33.8 });
  });

  it('takes a whole method object as it takes a name', () => {
    const named = problemOf({ method: 'slow-soak' });
    const whole = problemOf({ method: METHODS.find(({ id }) => id === 'slow-soak')! });
    expect(whole.method).toEqual(named.method);
  });

  it('guesses a start on the fine side of an unknown scale, in its own direction', () => {
    expect(problemOf({ start: null }).start.grind).toBe(16);
    expect(problemOf({ start: null, grinder: { ...everydayRequest().grinder, finer: 'higher' } }).start.grind).toBe(24);
  });
});
