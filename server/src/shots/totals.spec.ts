import { v7 } from 'uuid';
import { dtoOf, furnish, shotBody, testHouse } from '../testing/testHouse';

const house = testHouse();

interface Total {
  stationId: string;
  shots: number;
  grams: number;
}

const rows = async (sql: string): Promise<Total[]> => (await house.sequelize.query(sql))[0] as Total[];

/** What the database keeps, and what a count of every shot says. */
async function totals(): Promise<{ kept: Total[]; counted: Total[] }> {
  const kept = `SELECT "stationId", "shots", round("grams"::numeric, 6)::float8 AS "grams" FROM station_totals`;
  const counted = `SELECT "stationId", count(*)::int AS "shots",
    round(coalesce(sum("doseGrams") FILTER (WHERE "removedAt" IS NULL), 0)::numeric, 6)::float8 AS "grams"
    FROM shots GROUP BY "stationId"`;
  return { kept: await rows(`${kept} ORDER BY 1`), counted: await rows(`${counted} ORDER BY 1`) };
}

it('keeps the totals of every station through new, corrected, removed and moved shots', async () => {
  const [left, right] = [await furnish(house, ' left'), await furnish(house, ' right')];
  const ids = Array.from({ length: 6 }, () => v7());
  const change = async (id: string, part: object): Promise<void> => {
    const stored = dtoOf(await house.get(`shots/${id}`));
    await house.put(`shots/${id}`, { ...stored, ...part }).expect(200);
  };
  // Sent at once, as several tablets would: none may be counted over by another.
  await Promise.all(
    ids.map((id, n) => house.put(`shots/${id}`, shotBody(left, { doseGrams: 17 + n / 2 })).expect(200)),
  );
  await house.put(`shots/${v7()}`, shotBody(right, { doseGrams: null, runId: null })).expect(200);
  await change(ids[0]!, { doseGrams: 18.4 });
  await change(ids[1]!, { doseGrams: null });
  await change(ids[2]!, { removedAt: '2026-03-02T08:00:00.000Z' });
  await change(ids[3]!, { runId: null, stationId: right.stationId });
  await house.sequelize.query(`DELETE FROM shots WHERE "id" = '${ids[4]}'`);
  const { kept, counted } = await totals();
  expect(kept).toEqual(counted);
  expect(kept.map(({ shots }) => shots).sort()).toEqual([2, 4]);
  const { total } = await house.get<{ total: number }>('shots', { stationId: left.stationId, pageSize: 1 });
  expect(total).toBe(4);
  expect((await house.get<{ total: number }>('shots')).total).toBe(6);
});
