import { fitTimedDose } from '../../dose';
import { advise } from '../advise';
import { everydayRequest, everydayShot } from '../advice.fixture';
import type { Advice } from '../../contract/answer';
import { moveLine } from '../words/moveLine';
import { parseAdviceRequest, type AdviceRequest } from '../../contract/request';

type Changes = { [K in keyof AdviceRequest]?: Partial<AdviceRequest[K]> };

/** The everyday request with some of its parts changed, answered. */
function adviceWith(changes: Changes, shots: AdviceRequest['shots'] = []): Advice {
  const request = everydayRequest({ shots }) as AdviceRequest & Record<string, unknown>;
  for (const [key, part] of Object.entries(changes)) {
    request[key] = typeof part === 'object' ? { ...(request[key] as object), ...part } : part;
  }
  const parsed = parseAdviceRequest(request);
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return advise(parsed.request);
}

const width = ({ p10, p90 }: { p10: number; p90: number }): number => p90 - p10;

describe('what was prepared changes the advice', () => {
  it('a hand check moves the first grind, and narrows the forecast where it agrees', () => {
    const plain = adviceWith({ start: { grind: 14 } });
    const sand = adviceWith({ start: { grind: 14, handCheck: 'too-coarse' } });
    const flour = adviceWith({ start: { grind: 14, handCheck: 'too-fine' } });
    const near = adviceWith({ start: { grind: 14, handCheck: 'near' } });
    expect(plain.settings.grind).toBe(14);
    expect(sand.settings.grind).toBeLessThan(14);
    expect(flour.settings.grind).toBeGreaterThan(14);
    expect([sand, flour].map(({ action }) => action)).toEqual(['start', 'start']);
    expect(sand.why.some(({ text }) => text.includes('like sand'))).toBe(true);
    expect(near.settings.grind).toBe(14);
    expect(width(near.expect.timeSeconds)).toBeLessThan(width(plain.expect.timeSeconds));
  });

  it('no scale makes every forecast wider and a shot worth less', () => {
    const shots = [everydayShot({ timeSeconds: 29, taste: { balance: 0, body: 0, overall: 8 } })];
    const weighed = adviceWith({}, [...shots, ...shots]);
    const byEye = adviceWith({ measuring: { doseSdGrams: 0.4, yieldSdGrams: 3 } }, [...shots, ...shots]);
    expect(width(byEye.expect.timeSeconds)).toBeGreaterThan(1.2 * width(weighed.expect.timeSeconds));
    expect(byEye.expect.asWanted).toBeLessThan(weighed.expect.asWanted);
  });

  it('a timed dose says how long to grind, longer when finer', () => {
    const law = fitTimedDose({ finer: 'lower', logTimePerUnit: 0.08 }, [{ seconds: 4.5, grams: 18, grind: 14 }])!;
    const { gramsPerSecond, lagSeconds, logRatePerFiner, atGrind } = law;
    const timedDose = { gramsPerSecond, lagSeconds, logRatePerFiner, atGrind };
    const shots = [everydayShot({ grind: 14, timeSeconds: 17, taste: null })];
    const timed = adviceWith({ grinder: { dosing: 'timed', timedDose } }, shots);
    expect(timed.settings.grind).toBeLessThan(14);
    expect(timed.grindSeconds!).toBeGreaterThan(4.5);
    expect(moveLine(timed, 'lower').rest).toContain(`Grind ${timed.grindSeconds} s.`);
    expect(adviceWith({ grinder: { dosing: 'timed' } }, shots).grindSeconds).toBeNull();
  });

  it('a timed dose stands in for one nobody weighed: a short dose explains a fast shot', () => {
    const timedDose = { gramsPerSecond: 4, lagSeconds: 0.3, logRatePerFiner: 0.04, atGrind: 14 };
    const shot = everydayShot({ grind: 14, timeSeconds: 22, taste: null, doseGrams: null });
    const asked = { grinder: { dosing: 'timed' as const, timedDose } };
    const short = adviceWith(asked, [{ ...shot, grindSeconds: 4.4 }]);
    const full = adviceWith(asked, [{ ...shot, grindSeconds: 4.8 }]);
    // 16.4 g poured as fast as 18 g should not be answered by as large a move.
    expect(short.settings.grind).toBeGreaterThan(full.settings.grind);
  });

  it('a dose that was found keeps the dose near it', () => {
    const recipe = { doseGrams: 18.5, yieldGrams: 37 };
    const atTheEnd = everydayShot({ grind: 0, ...recipe, planned: recipe, timeSeconds: 15, taste: null });
    const moves = (found: { grams: number; toleranceGrams: number } | null): number[] => {
      const { settings, alternatives } = adviceWith({ basket: { found } }, [atTheEnd, atTheEnd]);
      return [settings, ...alternatives.map((other) => other.settings)].map(({ doseGrams }) => doseGrams);
    };
    expect(Math.max(...moves(null))).toBeGreaterThan(18.5);
    expect(Math.max(...moves({ grams: 18, toleranceGrams: 0.3 }))).toBeLessThanOrEqual(18.5);
  });

  it('a machine that runs cool starts hotter, and its first drip joins two clocks', () => {
    const heat = (offset: number | null): number =>
      adviceWith({ machine: { temperatureOffsetC: offset }, target: { temperatureC: null } }).settings.temperatureC!;
    expect(heat(-2)).toBe(heat(0) + 2);
    const byDrip = [everydayShot({ timer: 'first-drip', timeSeconds: 20, firstDripSeconds: null, taste: null })];
    const quick = adviceWith({ machine: { firstDripSeconds: { mean: 4, sd: 0.5 } } }, byDrip);
    const slow = adviceWith({ machine: { firstDripSeconds: { mean: 10, sd: 0.5 } } }, byDrip);
    // 20 s from the first drip is 24 s or 30 s from pump on: only the first asks for a finer grind.
    expect(quick.settings.grind).toBeLessThan(slow.settings.grind);
  });
});
