import { v7 } from 'uuid';
import { cardBody, furnish, RECIPE, shotBody, testHouse, type Furnished } from '../testing/testHouse';
import type { LearnedHereView } from './effects.dto';

const DAY_MS = 24 * 3600_000;
let now = Date.parse('2026-03-02T09:00:00Z');
const house = testHouse({ now: () => now });
const iso = (at = now) => new Date(at).toISOString();

async function kept(tag: string): Promise<Furnished & { versionId: string }> {
  const ids = await furnish(house, ` ${tag}`);
  const shot = { grind: 11.5, yieldGrams: 37, doseGrams: 18, seen: [], pulledAt: iso() };
  for (const timeSeconds of [29.5, 30.5, 30]) {
    await house.put(`shots/${v7()}`, shotBody(ids, { ...shot, timeSeconds })).expect(200);
  }
  const card = cardBody({ recipe: RECIPE });
  await house.put(`runs/${ids.runId}/card`, card).expect(200);
  return { ...ids, versionId: card.versionId };
}
const learnedAt = async ({ stationId }: Furnished) =>
  (await house.get<LearnedHereView[]>('learned-here')).find((each) => each.stationId === stationId)!;

describe('what a station’s own days have taught', () => {
  it('follows what humidity did to its times', async () => {
    const ids = await kept('damp');
    const humidity = ({ effects }: LearnedHereView) => effects.find(({ name }) => name === 'humidity')!;
    const before = humidity(await learnedAt(ids));
    expect(before).toMatchObject({ days: 0, mean: 0.003 });
    for (let day = 0; day < 14; day += 1) {
      now += DAY_MS;
      const damp = 40 + 3 * (day % 8);
      await house.put(`room-readings/${v7()}`, { at: iso(), humidityPercent: damp, celsius: 21 }).expect(200);
      for (let i = 0; i < 5; i += 1) {
        const timeSeconds = 30 * Math.exp(0.008 * (damp - 50)) + (i - 2) / 4;
        const shot = {
          grind: 11.5,
          yieldGrams: 37,
          doseGrams: 18,
          seen: [],
          runId: null,
          cardVersionId: ids.versionId,
        };
        const body = shotBody(ids, { ...shot, timeSeconds, pulledAt: iso(now + i * 60_000 - 600_000) });
        await house.put(`shots/${v7()}`, body).expect(200);
      }
    }
    const after = humidity(await learnedAt(ids));
    expect(after.days).toBe(14);
    // Shrunk: fourteen days go part of the way from 0.003 to 0.008.
    expect(after.mean).toBeGreaterThan(0.0037);
    expect(after.sd).toBeLessThan(before.sd);
  });

  it('holds each morning’s forecast against its first shot', async () => {
    const ids = await kept('mornings');
    for (const [day, timeSeconds] of [
      ['2026-04-01', 30.5],
      ['2026-04-02', 36],
    ] as const) {
      now = Date.parse(`${day}T07:00:00Z`);
      const forecast = { grind: 11.5, mean: 30, p10: 28, p90: 32 };
      await house.put(`openings/${v7()}`, { stationId: ids.stationId, day, forecast }).expect(200);
      // The row's own moment is the database's.
      await house.sequelize.query(`UPDATE openings SET "createdAt" = '${iso()}' WHERE "day" = '${day}'`);
      const shot = shotBody(ids, { grind: 11.5, runId: null, timeSeconds, pulledAt: iso(now + 600_000) });
      await house.put(`shots/${v7()}`, shot).expect(200);
    }
    expect((await learnedAt(ids)).forecasts).toEqual({ hits: 1, mornings: 2 });
  });

  it('refuses a forecast that is none', async () => {
    const ids = await furnish(house, ' none');
    const body = { stationId: ids.stationId, day: '2026-03-02', forecast: { grind: 11.5, mean: -3, p10: 28 } };
    const { errors } = (await house.put(`openings/${v7()}`, body).expect(400)).body as { errors: { path: string }[] };
    expect(errors.map(({ path }) => path)).toEqual(['forecast.mean', 'forecast.p90']);
  });
});
