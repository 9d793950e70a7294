import type { Traced } from '@olvet/core';
import { makeHistory } from './history';

const NOW = new Date('2026-05-04T09:30:00');

describe('Lantern Quay', () => {
  const rows = makeHistory(NOW);

  it('is the same to the last digit for the same day', () => {
    expect(makeHistory(NOW)).toEqual(rows);
  });

  it('has three stations, eight weeks, some six hundred shots and one dial-in under way', () => {
    expect(rows.stations).toHaveLength(3);
    expect(rows.shots.length).toBeGreaterThan(550);
    expect(rows.shots.length).toBeLessThan(700);
    const days = rows.shots.map(({ pulledAt }) => (pulledAt as Date).getTime());
    expect((Math.max(...days) - Math.min(...days)) / 86_400_000).toBeGreaterThan(55);
    expect(Math.max(...days)).toBeLessThanOrEqual(NOW.getTime());
    expect(rows.runs.filter(({ status }) => status === 'open')).toHaveLength(1);
  });

  it('ends with one station drifting and one at peace', () => {
    const times = (name: string): number[] => {
      const station = rows.stations.find((s) => s.name === name)!;
      const own = rows.shots.filter((shot) => shot.stationId === station.id);
      return own.slice(-3).map((shot) => shot.timeSeconds as number);
    };
    const mean = (values: number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
    expect(mean(times('Right bar'))).toBeGreaterThan(31);
    expect(mean(times('Small bar, decaf'))).toBeGreaterThan(24.5);
    expect(mean(times('Small bar, decaf'))).toBeLessThan(32.5);
  });

  it('has a day with a story: damp comes up, and the station that is kept was turned once', () => {
    const damp = rows.room_readings.map(({ humidityPercent }) => humidityPercent as number);
    expect(damp.at(-1)! - damp[0]!).toBeGreaterThan(8);
    const [turn] = rows.day_moves;
    expect(rows.day_moves).toHaveLength(1);
    expect(turn).toMatchObject({ isKeeper: true, stationId: rows.keepers[0]!.id });
    const station = rows.stations.find(({ id }) => id === turn!.stationId)!;
    expect(station.grind).toBe(turn!.toGrind);
  });

  it('has the flight of every shot of a dial-in, and of each card the shot it was kept from', () => {
    const traced = rows.shots.filter(({ traced }) => traced !== undefined) as unknown as {
      id: string;
      runId: string | null;
      yieldGrams: number;
      timeSeconds: number;
      traced: Traced;
    }[];
    expect(traced.map(({ id }) => id)).toEqual(rows.shots.filter(({ runId }) => runId !== null).map(({ id }) => id));
    for (const { traced: told, yieldGrams, timeSeconds } of traced) {
      expect(Math.abs(told.summary!.yieldGrams - yieldGrams)).toBeLessThan(0.4);
      expect(told.summary!.timeSeconds).toBeCloseTo(timeSeconds, 1);
    }
    const ids = new Set(traced.map(({ id }) => id));
    for (const { shotId } of rows.card_versions) expect(ids).toContain(shotId);
  });

  it.each(['2026-05-04T00:10:00', '2026-05-04T04:05:00'])(
    'works at %s, around the first hour of its day, too',
    (now) => {
      const early = makeHistory(new Date(now));
      const last = Math.max(...early.shots.map(({ pulledAt }) => (pulledAt as Date).getTime()));
      expect(last).toBeLessThanOrEqual(new Date(now).getTime());
      const days = new Set(early.openings.map(({ day }) => day));
      expect([...days].sort().at(-1)).toBe(now.includes('T00') ? '2026-05-03' : '2026-05-04');
    },
  );
});
