import { LIMITS, MOST_SIGNS } from '@olvet/core';
import { v7 } from 'uuid';
import { cardBody, dtoOf, furnish, RECIPE, shotBody, testHouse, type Furnished } from '../testing/testHouse';

const house = testHouse();
let ids: Furnished;
beforeAll(async () => {
  ids = await furnish(house, ' possible');
});

const refusalOf = async (path: string, body: object): Promise<string> => {
  const answer = await house.put(path, body);
  expect([400, 422]).toContain(answer.status);
  return (answer.body as { errors: { path: string }[] }).errors[0]!.path;
};

describe('a shot', () => {
  it.each([
    ['pulledAt', { pulledAt: '1999-12-31T08:00:00Z' }],
    ['pulledAt', { pulledAt: '2099-01-01T08:00:00Z' }],
    ['grind', { grind: 40.5 }],
    ['grind', { grind: -0.5 }],
    ['firstDripSeconds', { timeSeconds: 20, firstDripSeconds: 21 }],
    ['tdsPercent', { doseGrams: 18, yieldGrams: 36, tdsPercent: 15.1 }],
    ['timeSeconds', { timeSeconds: LIMITS.timeSeconds.max + 1 }],
    ['seen', { seen: Array<object>(MOST_SIGNS + 1).fill({ sign: 'spurts', clock: 2 }) }],
  ])('is refused at %s where it cannot be: %j', async (path, change) => {
    const id = v7();
    expect((await refusalOf(`shots/${id}`, shotBody(ids, change))).split('.')[0]).toBe(path);
    await house.api.get(`/api/shots/${id}`).expect(404);
  });

  it.each([
    ['choked for a quarter of an hour', { timeSeconds: 900 }],
    [
      'its first drip later than a clock that began with it',
      { timer: 'first-drip', timeSeconds: 6, firstDripSeconds: 7 },
    ],
    ['at the very end of the scale', { grind: 40 }],
    ['all a coffee can give', { doseGrams: 18, yieldGrams: 36, tdsPercent: 15 }],
  ])('is taken with %s', async (_, change) => {
    await house.put(`shots/${v7()}`, shotBody(ids, change)).expect(200);
  });

  it('keeps a setting of a scale that has changed since, until it is touched', async () => {
    const id = v7();
    await house.put(`shots/${id}`, shotBody(ids)).expect(200);
    await house.sequelize.query(`UPDATE shots SET "grind" = 99 WHERE "id" = '${id}'`);
    const stored = dtoOf(await house.get(`shots/${id}`));
    await house.put(`shots/${id}`, { ...stored, note: 'cup was cold' }).expect(200);
    expect(await refusalOf(`shots/${id}`, { ...stored, grind: 98, revision: 2 })).toBe('grind');
  });
});

describe('a dial-in', () => {
  it('does not end before it began', async () => {
    const run = dtoOf(await house.get(`runs/${ids.runId}`));
    const ended = { ...run, status: 'given-up', endedAt: '2026-03-01T06:40:00.000Z' };
    expect(await refusalOf(`runs/${ids.runId}`, ended)).toBe('endedAt');
  });

  it('begins on its grinder’s scale', async () => {
    const run = dtoOf(await house.get(`runs/${ids.runId}`));
    expect(await refusalOf(`runs/${v7()}`, { ...run, startGrind: 41, revision: undefined })).toBe('startGrind');
  });
});

describe('a card', () => {
  it('has a setting of its grinder', async () => {
    const body = cardBody({ recipe: { ...RECIPE, grind: 55 } });
    expect(await refusalOf(`runs/${ids.runId}/card`, body)).toBe('recipe.grind');
  });

  it('leaves a station that can be saved, at both ends of what it may hold', async () => {
    for (const end of ['min', 'max'] as const) {
      const own = await furnish(house, ` card ${end}`);
      const recipe = { ...RECIPE, doseGrams: LIMITS.doseGrams[end], yieldGrams: LIMITS.yieldGrams[end] };
      await house.put(`runs/${own.runId}/card`, cardBody({ recipe })).expect(200);
      const station = dtoOf(await house.get(`stations/${own.stationId}`));
      await house.put(`stations/${own.stationId}`, { ...station, position: 3 }).expect(200);
    }
  });
});
