import { randomUUID } from 'node:crypto';
import { Sequelize } from 'sequelize-typescript';
import * as confirmShots from '../../migrations/0004-confirm-shots';
import { administer } from '../testing/testHouse';
import { migrate, MIGRATIONS } from './migrate';
import type { MigrationContext } from './migration';

const address = process.env.TEST_DATABASE_URL!;
const name = `jest_${randomUUID().replaceAll('-', '')}`;
let sequelize: Sequelize;

const rows = async <T>(sql: string): Promise<T[]> => (await sequelize.query(sql))[0] as T[];
const context: MigrationContext = { run: async (sql) => void (await sequelize.query(sql)) };

beforeAll(async () => {
  await administer(address, `CREATE DATABASE ${name}`);
  const url = new URL(address);
  url.pathname = `/${name}`;
  sequelize = new Sequelize(url.href, { logging: false });
});
afterAll(async () => {
  await sequelize.close();
  await administer(address, `DROP DATABASE ${name} WITH (FORCE)`);
});

/** Columns, constraints and indexes of everything but the list of migrations itself. */
async function schema(): Promise<object[]> {
  return rows(`
    SELECT "table_name" AS t, "column_name" AS c, "data_type" || ' ' || "is_nullable" || coalesce("column_default", '') AS d
    FROM information_schema.columns WHERE "table_schema" = 'public' AND "table_name" <> 'migrations'
    UNION ALL SELECT tablename, indexname, indexdef FROM pg_indexes WHERE schemaname = 'public' AND tablename <> 'migrations'
    UNION ALL SELECT conrelid::regclass::text, conname, pg_get_constraintdef(oid) FROM pg_constraint
      WHERE connamespace = 'public'::regnamespace AND conrelid::regclass::text <> 'migrations'
    ORDER BY 1, 2, 3`);
}

describe('migrations', () => {
  it('bring an empty database up to date once, whoever starts at the same time', async () => {
    const ran = await Promise.all([migrate(sequelize), migrate(sequelize), migrate(sequelize)]);
    expect(ran.filter((names) => names.length > 0)).toEqual([Object.keys(MIGRATIONS)]);
    expect(await migrate(sequelize)).toEqual([]);
  });

  it('that fail leave neither a change nor an entry in the book', async () => {
    const before = await schema();
    const broken = {
      up: async ({ run }: MigrationContext) => {
        await run('CREATE TABLE half_done ("id" integer)');
        await run('SELECT nonsense');
      },
      down: () => Promise.resolve(),
    };
    MIGRATIONS['9999-broken'] = broken;
    try {
      await expect(migrate(sequelize)).rejects.toThrow(/nonsense/);
    } finally {
      delete MIGRATIONS['9999-broken'];
    }
    expect(await schema()).toEqual(before);
    expect(await migrate(sequelize)).toEqual([]);
  });

  it('of a newer Olvet stop this one with words, and nothing is changed', async () => {
    await sequelize.query(`INSERT INTO migrations ("name") VALUES ('9999-of-tomorrow')`);
    await expect(migrate(sequelize)).rejects.toThrow(/newer Olvet.*9999-of-tomorrow/s);
    await sequelize.query(`DELETE FROM migrations WHERE "name" = '9999-of-tomorrow'`);
    expect(await migrate(sequelize)).toEqual([]);
  });

  it('can be taken back one by one and done again, to the same schema', async () => {
    const before = await schema();
    expect(before.length).toBeGreaterThan(100);
    const all = Object.values(MIGRATIONS);
    for (const migration of [...all].reverse()) await migration.down(context);
    expect(await schema()).toEqual([]);
    for (const migration of all) await migration.up(context);
    expect(await schema()).toEqual(before);
  });

  it('say of methods kept before that nothing must confirm, and leave the others alone', async () => {
    const shopId = randomUUID();
    await sequelize.query(`INSERT INTO shops ("id", "name") VALUES ('${shopId}', 'Old')`);
    const keep = (method: object) =>
      sequelize.query(
        `INSERT INTO methods ("shopId", "id", "name", "basedOn", "method") VALUES
         ('${shopId}', '${randomUUID()}', '${JSON.stringify(method)}', 'one-lever', '${JSON.stringify(method)}')`,
      );
    await keep({ id: 'old' });
    await keep({ id: 'new', confirmShots: 2 });
    await confirmShots.up(context);
    const kept = await rows<{ method: object }>(`SELECT "method" FROM methods ORDER BY "name" DESC`);
    expect(kept.map(({ method }) => method)).toEqual([
      { id: 'old', confirmShots: 0 },
      { id: 'new', confirmShots: 2 },
    ]);
  });
});
