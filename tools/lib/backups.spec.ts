import { mkdtempSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { backUp, backupsFolder, backupsIn, dateIn, restoreFrom } from './backups';
import { createDatabase, withDatabase } from './cluster';

const admin = process.env.TEST_DATABASE_URL!;
const name = `backups_${process.pid}`;
const address = withDatabase(admin, name);
const home = mkdtempSync(join(tmpdir(), 'olvet-backups-'));

beforeAll(() => createDatabase(admin, name));
afterAll(async () => {
  rmSync(home, { recursive: true, force: true });
  await asked(admin, `DROP DATABASE ${name} WITH (FORCE)`);
});

async function asked(at: string, sql: string): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: at });
  await client.connect();
  try {
    return (await client.query<Record<string, unknown>>(sql)).rows;
  } finally {
    await client.end();
  }
}

const cups = async (): Promise<unknown[]> =>
  (await asked(address, 'SELECT "n" FROM cups ORDER BY 1')).map(({ n }) => n);

describe('a backup', () => {
  it('comes back in place of what stands, tables made since included, or not at all', async () => {
    await asked(address, 'CREATE TABLE cups ("n" integer); INSERT INTO cups VALUES (1), (2)');
    const path = await backUp(home, address, new Date('2026-03-02T02:10:00Z'));
    await asked(address, 'INSERT INTO cups VALUES (3); CREATE TABLE later ("n" integer)');

    const cut = join(home, 'cut.dump');
    writeFileSync(cut, 'PGDMP and no more');
    await expect(restoreFrom(cut, address)).rejects.toThrow();
    expect(await cups()).toEqual([1, 2, 3]);

    await restoreFrom(path, address);
    expect(await cups()).toEqual([1, 2]);
    expect(await asked(address, `SELECT to_regclass('later') AS later`)).toEqual([{ later: null }]);

    await asked(address, 'INSERT INTO cups VALUES (4)');
    truncateSync(path, 1200);
    await expect(restoreFrom(path, address)).rejects.toThrow();
    expect(await cups()).toEqual([1, 2, 4]);
  });

  it('is one of fourteen', async () => {
    for (let day = 1; day <= 16; day += 1) {
      await backUp(home, address, new Date(Date.UTC(2026, 4, day, 2, 30)));
    }
    const names = backupsIn(home);
    expect(names).toHaveLength(14);
    expect([names[0], names.at(-1)]).toEqual(['olvet-2026-05-16T023000Z.dump', 'olvet-2026-05-03T023000Z.dump']);
    expect(dateIn(names[0]!).toISOString()).toBe('2026-05-16T02:30:00.000Z');
    expect(backupsFolder(home)).toBe(join(home, 'backups'));
  });
});
