import { everydayRequest, everydayShot, problemOf } from '../advice.fixture';
import type { Settings } from '../../contract/answer';
import { infer } from '../../belief/infer';
import { changesBetween } from '../../contract/changes';
import { movesOf, standStill } from './moves';
import type { AdviceRequest } from '../../contract/request';

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

  it('grow no more than twice and a half from one step of the grind to the next, however little it answered', () => {
    const shots = (...grinds: number[]) =>
      grinds.map((grind) => everydayShot({ grind, timeSeconds: 22, taste: { balance: -1.5, body: 0 } }));
    const furthest = (request: Partial<AdviceRequest>): number => {
      const at = { ...from, grind: request.shots!.at(-1)!.grind! };
      return Math.max(...moves('grind', request, at).map(({ settings }) => Math.abs(settings.grind - at.grind)));
    };
    const grinder = { ...everydayRequest().grinder, step: 0 };
    // Two units, and then three, changed nothing: belief in the slope is down, and 0.7 of it would be eight units and more.
    expect(furthest({ grinder, shots: shots(14, 12, 12) })).toBeCloseTo(5, 0);
    expect(furthest({ grinder, shots: shots(14, 11, 11) })).toBeCloseTo(7.5, 0);
    // After a small step what moves the time by a third is still open, by what is known of the grinder.
    const known = { ...grinder, logTimePerUnit: { mean: 0.1, sd: 0.01, shots: 30 } };
    expect(furthest({ grinder: known, shots: shots(14, 13.9) })).toBeCloseTo(3.5, 0);
    expect(furthest({ grinder: known, shots: shots(14, 14) })).toBeGreaterThan(5);
  });

  it('reach no further than the near-log law can be trusted', () => {
    const problem = problemOf({
      grinder: { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.1, sd: 0.005, shots: 50 } },
    });
    const grinds = movesOf(problem, infer(problem), from, 'grind').map(({ settings }) => settings.grind);
    expect(Math.max(...grinds.map((grind) => Math.abs(grind - 14)))).toBeLessThanOrEqual(7.5);
  });

  it('are dense enough on a stepless collar, and by round figures', () => {
    const grinder = {
      ...everydayRequest().grinder,
      step: 0,
      max: 12,
      logTimePerUnit: { mean: 0.3, sd: 0.02, shots: 30 },
    };
    const turned = moves('grind', { grinder, start: { grind: 6 } }, { ...from, grind: 6 });
    const settings = turned.map(({ settings: { grind } }) => grind).sort((a, b) => a - b);
    expect(settings.filter((grind) => Math.abs(grind - 6) < 0.22)).toEqual([
      5.8, 5.85, 5.9, 5.95, 6.05, 6.1, 6.15, 6.2,
    ]);
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
