import { LIMITS, MOST_EXTRACTED_PERCENT, MOST_SIGNS } from '@olvet/core';
import { v7 } from 'uuid';
import * as possible from '../../migrations/0010-possible';
import { dtoOf, furnish, shotBody, testHouse, type Furnished } from '../testing/testHouse';

const house = testHouse();
let ids: Furnished;
let shotId: string;
beforeAll(async () => {
  ids = await furnish(house, ' corrections');
  shotId = v7();
  await house.put(`shots/${shotId}`, shotBody(ids)).expect(200);
});

const run = async (sql: string): Promise<void> => void (await house.sequelize.query(sql));
const set = (values: string): Promise<void> => run(`UPDATE shots SET ${values} WHERE "id" = '${shotId}'`);

/** As before there were rules. */
async function storeFreely(sql: string): Promise<void> {
  await possible.down({ run });
  await run(sql);
  await possible.up({ run });
}

describe('the database', () => {
  const figures = ['grind', 'doseGrams', 'yieldGrams', 'temperatureC', 'timeSeconds', 'grindSeconds'] as const;

  it.each(figures)('holds %s within the table of limits', async (figure) => {
    const { min, max } = LIMITS[figure];
    for (const end of [min, max]) await set(`"${figure}" = ${end}, "tdsPercent" = NULL, "firstDripSeconds" = NULL`);
    await expect(set(`"${figure}" = ${min - 0.01}`)).rejects.toThrow(`possible_${figure}`);
    await expect(set(`"${figure}" = ${max + 0.01}`)).rejects.toThrow(`possible_${figure}`);
  });

  it('knows what no shot can be', async () => {
    await set(`"doseGrams" = 18, "yieldGrams" = 36, "timeSeconds" = 30, "timer" = 'pump-on'`);
    await set(`"tdsPercent" = ${MOST_EXTRACTED_PERCENT / 2}, "firstDripSeconds" = 30`);
    await expect(set(`"tdsPercent" = ${MOST_EXTRACTED_PERCENT / 2 + 0.1}`)).rejects.toThrow('possible_tdsPercent');
    await expect(set(`"firstDripSeconds" = 30.1`)).rejects.toThrow('possible_firstDripSeconds');
    await expect(set(`"pulledAt" = '1900-01-01Z'`)).rejects.toThrow('possible_pulledAt');
    const signs = JSON.stringify(Array<object>(MOST_SIGNS + 1).fill({ sign: 'spurts' }));
    await expect(set(`"seen" = '${signs}'`)).rejects.toThrow('possible_seen');
  });
});

describe('what was stored before there was a rule', () => {
  it('is kept, listed, and off the list once it is corrected', async () => {
    expect(await house.get('corrections')).toEqual([]);
    await storeFreely(`UPDATE shots SET "timeSeconds" = 30, "firstDripSeconds" = 60 WHERE "id" = '${shotId}'`);
    await storeFreely(`UPDATE shops SET "currency" = '???'`);
    expect(await house.get('corrections')).toMatchObject([
      { kind: 'shops', path: 'currency' },
      { kind: 'shots', id: shotId, path: 'firstDripSeconds', within: ids.runId },
    ]);
    const stored = dtoOf(await house.get(`shots/${shotId}`));
    const refused = await house.put(`shots/${shotId}`, { ...stored, note: 'cup was cold' }).expect(422);
    expect(refused.body.errors).toMatchObject([{ path: 'firstDripSeconds' }]);
    await house.put(`shots/${shotId}`, { ...stored, firstDripSeconds: 6 }).expect(200);
    expect(await house.get('corrections')).toMatchObject([{ kind: 'shops' }]);
  });

  it('does not keep an old dial-in from learning', async () => {
    const made = `"createdAt" = '2026-06-01Z', "endedAt" = "startedAt" - interval '1 hour'`;
    await storeFreely(`UPDATE runs SET ${made} WHERE "id" = '${ids.runId}'`);
    await run(`UPDATE runs SET "lesson" = NULL WHERE "id" = '${ids.runId}'`);
    await expect(run(`UPDATE runs SET "createdAt" = '2027-01-01Z' WHERE "id" = '${ids.runId}'`)).rejects.toThrow(
      'possible_endedAt',
    );
  });
});
