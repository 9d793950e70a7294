import { foundTime, type FoundTime } from '@olvet/core';
import { migrate, MIGRATIONS } from '../src/database/migrate';
import type { MigrationContext } from '../src/database/migration';
import { testHouse } from '../src/testing/testHouse';
import { loadDemo } from './load';

/** The last schema before rules, totals and traces were the database's own. */
const OLD = '0006-start-sd';

const house = testHouse();
const rows = async <T>(sql: string): Promise<T[]> => (await house.sequelize.query(sql))[0] as T[];
const context: MigrationContext = { run: async (sql) => void (await house.sequelize.query(sql)) };

type ShotLike = Parameters<typeof foundTime>[0][number];
type RecipeLike = Parameters<typeof foundTime>[1];
type Columns = Record<string, string[]>;

async function columnsNow(): Promise<Columns> {
  const found = await rows<{ table: string; columns: string[] }>(
    `SELECT "table_name" AS "table", array_agg("column_name"::text ORDER BY "column_name") AS "columns"
     FROM information_schema.columns WHERE "table_schema" = 'public' AND "table_name" <> 'migrations' GROUP BY 1`,
  );
  return Object.fromEntries(found.map(({ table, columns }) => [table, columns]));
}

/** How many rows each table has, and a digest of every value in these columns. */
async function contents(columns: Columns): Promise<object> {
  const digests: Record<string, unknown> = {};
  for (const [table, names] of Object.entries(columns)) {
    const list = names.map((name) => `"${name}"`).join(', ');
    [digests[table]] = await rows(
      `SELECT count(*)::int AS "rows", md5(coalesce(string_agg(x::text, '|' ORDER BY x::text), '')) AS "digest"
       FROM (SELECT ${list} FROM ${table}) x`,
    );
  }
  return digests;
}

it('keeps every row of the demo shop on the way from the old schema', async () => {
  await house.sequelize.query('DELETE FROM shops');
  const shots = await loadDemo(house.sequelize, new Date());
  expect(shots).toBeGreaterThan(500);
  const steps = Object.entries(MIGRATIONS).filter(([name]) => name > OLD);
  for (const [, { down }] of [...steps].reverse()) await down(context);
  const columns = await columnsNow();
  const old = await contents(columns);
  expect(old).toMatchObject({ shots: { rows: shots } });
  for (const [, { up }] of steps) await up(context);
  // Some columns have another name since; on the way back nothing is left that was lost on the way forward.
  for (const [, { down }] of [...steps].reverse()) await down(context);
  expect(await contents(columns)).toEqual(old);
  // As a start does it: all of them in one transaction.
  await house.sequelize.query('DELETE FROM migrations WHERE "name" > :name', { replacements: { name: OLD } });
  expect(await migrate(house.sequelize)).toEqual(steps.map(([name]) => name));
  const rules = await rows<{ table: string; name: string }>(
    `SELECT conrelid::regclass::text AS "table", conname AS "name" FROM pg_constraint WHERE NOT convalidated`,
  );
  expect(rules.length).toBeGreaterThan(10);
  // Throws where a row of the demo shop breaks it.
  for (const { table, name } of rules) await context.run(`ALTER TABLE ${table} VALIDATE CONSTRAINT "${name}"`);
  await expectTrueRecords();
}, 60_000);

/** What shots and cards of before tell once there is a place for it. */
async function expectTrueRecords(): Promise<void> {
  expect(
    await rows(`SELECT DISTINCT "kind", "runId" IS NULL AS "alone", "coffeeId" IS NULL AS "nothing" FROM shots`),
  ).toEqual(
    expect.arrayContaining([
      { kind: 'dial-in', alone: false, nothing: false },
      { kind: 'service', alone: true, nothing: false },
    ]),
  );
  const cards = await rows<{ found: FoundTime; shots: ShotLike[]; recipe: RecipeLike }>(
    `SELECT v."found", v."recipe", (SELECT json_agg(x.* ORDER BY x."pulledAt") FROM shots x WHERE x."runId" = v."runId") AS "shots"
     FROM card_versions v`,
  );
  expect(cards.length).toBeGreaterThan(5);
  for (const { found, shots, recipe } of cards) expect(found).toEqual(foundTime(shots, recipe) ?? found);
  expect(cards.filter(({ found }) => found === null)).toEqual([]);
}
