import { boxScale, pathOf, rowsOf, targetOf } from './boxScale';
import type { LivePull } from './livePull';

const plan = {
  settings: { grind: 12, doseGrams: 18, yieldGrams: 36, temperatureC: 93 },
  timeSeconds: { min: 25, max: 32 },
  timer: 'first-drip' as const,
};
const pull: LivePull = {
  ...{ id: 'shot', place: 'run', stationId: 'station', runId: 'run', kind: 'dial-in', plan },
  ...{ startedAt: 10_000, stoppedSeconds: null, marks: [], seen: [], followed: {}, changedAt: 0 },
};

describe('the landing box', () => {
  it('lies where the plan says, on the timer of the plan', () => {
    const late = { ...pull, marks: [{ kind: 'first-drip' as const, seconds: 9 }] };
    const { seconds, grams } = targetOf(late, null);
    expect(seconds).toEqual({ min: 34, max: 41 });
    expect(grams.max - 36).toBeCloseTo(36 - grams.min);
  });

  it('is held by the picture together with the shot, however far that went', () => {
    const size = { width: 800, height: 400 };
    const { x, y, mostSeconds } = boxScale(size, plan, { seconds: 71, grams: 55 });
    expect(mostSeconds).toBeGreaterThanOrEqual(75);
    expect(x(mostSeconds)).toBeLessThanOrEqual(800);
    expect(y(55)).toBeGreaterThan(0);
    expect(y(0)).toBeLessThan(400);
  });

  it('is flown to from the empty cup, not from the dose that lay there before', () => {
    const seen = Array.from({ length: 120 }, (_, i): LivePull['seen'][number] => {
      const since = 0.05 * i - 1;
      return [10_000 + 1000 * since, since < 0.1 ? 17.5 : Math.max(0, since - 4), null, null];
    });
    const path = pathOf({ ...pull, seen });
    expect(Math.max(...path.filter(({ seconds }) => seconds < 4).map(({ grams }) => grams))).toBe(0);
    expect(path.at(-1)).toEqual({ seconds: 4.95, grams: expect.closeTo(0.95) });
  });

  it('has marks whose words keep apart', () => {
    const words = [
      { from: 0, width: 60 },
      { from: 20, width: 60 },
      { from: 70, width: 60 },
      { from: 400, width: 60 },
    ];
    expect(rowsOf(words)).toEqual([0, 1, 0, 0]);
  });
});
