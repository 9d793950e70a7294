import { createWriteStream } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Client } from 'pg';
import { v7 } from 'uuid';
import { loadDemo } from '../../demo/load';
import { testHouse } from '../testing/testHouse';
import { columnsOf } from './columns';
import { exportShop } from './exportShop';
import { readImport } from './readImport';
import { csvOf, jsonRowsOf } from './rowsOut';
import { SHOP_TABLE, TABLES } from './tables';
import { editedSince, takeBackImport, takeImport } from './takeImport';

// Before the house is closed, and its database with it.
afterAll(async () => {
  await client.end();
  await rm(folder, { recursive: true, force: true });
});

const house = testHouse();
const now = new Date('2026-03-02T09:00:00Z');
let client: Client;
let folder: string;
let demoId: string;

beforeAll(async () => {
  client = new Client({ connectionString: addressOf() });
  await client.connect();
  folder = await mkdtemp(join(tmpdir(), 'olvet-spec-'));
  await client.query('DELETE FROM shops');
  await loadDemo(house.sequelize, now);
  // A loop that finds no machine holds itself at once.
  await client.query('UPDATE keepers SET "isOn" = false');
  demoId = (await client.query<{ id: string }>('SELECT "id" FROM shops')).rows[0]!.id;
}, 120_000);

function addressOf(): string {
  const { database } = house.sequelize.config;
  const url = new URL(process.env.TEST_DATABASE_URL!);
  url.pathname = `/${database}`;
  return url.href;
}

async function emptyShop(): Promise<string> {
  const id = v7();
  await client.query(`INSERT INTO shops ("id", "name", "createdAt", "updatedAt") VALUES ($1, 'Empty', now(), now())`, [
    id,
  ]);
  return id;
}

async function bringIn(shopId: string, ...paths: string[]): Promise<string> {
  const importId = v7();
  await client.query(`INSERT INTO imports ("shopId", "id", "fileName", "state") VALUES ($1, $2, $3, 'reading')`, [
    shopId,
    importId,
    basename(paths[0]!),
  ]);
  await readImport(
    { client, shopId, importId, now },
    paths.map((path) => ({ path, name: basename(path), match: null })),
  );
  return importId;
}

const importRow = async (id: string): Promise<Record<string, unknown>> =>
  (await client.query('SELECT * FROM imports WHERE "id" = $1', [id])).rows[0] as Record<string, unknown>;

/** Everything a shop holds, table by table, but for the shop's own id. */
async function contents(shopId: string): Promise<Record<string, unknown[]>> {
  const found: Record<string, unknown[]> = {};
  for (const { name, key } of [...TABLES, { name: 'shot_traces', key: ['shotId'] }]) {
    const but = name === 'shot_traces' ? ` - 'createdAt'` : '';
    const { rows } = await client.query<{ row: unknown }>(
      `SELECT to_jsonb(t) - 'shopId'${but} AS row FROM ${name} t WHERE "shopId" = $1
       ORDER BY ${key.map((column) => `"${column}"`).join(', ')}`,
      [shopId],
    );
    found[name] = rows.map(({ row }) => row);
  }
  const { rows } = await client.query<{ row: unknown }>(
    `SELECT to_jsonb(t) - 'id' AS row FROM shops t WHERE "id" = $1`,
    [shopId],
  );
  found.shops = rows.map(({ row }) => row);
  return found;
}

async function zipOfDemo(): Promise<string> {
  const path = join(folder, `${v7()}.zip`);
  const own = new Client({ connectionString: addressOf() });
  await own.connect();
  const { stream, done } = exportShop(own, demoId, now);
  await Promise.all([pipeline(stream, createWriteStream(path)), done]);
  await own.end();
  return path;
}

describe('a shop that leaves and comes in again', () => {
  it('is the same shop in an empty one, table by table, and can be taken back whole', async () => {
    const path = await zipOfDemo();
    const shopId = await emptyShop();
    const before = await contents(shopId);
    const importId = await bringIn(shopId, path);
    expect(await importRow(importId)).toMatchObject({ state: 'read', problem: null, notRead: [] });
    expect((await contents(shopId)).shots).toEqual([]);
    await takeImport(client, shopId, importId, 'Ines');
    const there = await contents(demoId);
    const here = await contents(shopId);
    for (const name of Object.keys(there)) expect([name, here[name]]).toEqual([name, there[name]]);
    expect(there.shots!.length).toBeGreaterThan(500);
    expect(await editedSince(client, shopId, importId)).toEqual([]);

    await client.query(
      `UPDATE coffees SET "name" = 'Other', "revision" = "revision" + 1, "updatedAt" = now() WHERE "shopId" = $1 AND "id" = (SELECT max("id"::text)::uuid FROM coffees)`,
      [shopId],
    );
    expect(await editedSince(client, shopId, importId)).toEqual([{ table: 'coffees', rows: 1 }]);
    await takeBackImport(client, shopId, importId, 'Ines');
    const after = await contents(shopId);
    for (const { name } of TABLES) expect([name, after[name]]).toEqual([name, before[name]]);
  }, 120_000);

  it('changes nothing where it stands already', async () => {
    const importId = await bringIn(demoId, await zipOfDemo());
    const { tables } = (await importRow(importId)) as { tables: { table: string; outcomes: object }[] };
    expect(tables.length).toBeGreaterThan(20);
    for (const { table, outcomes } of tables) expect([table, Object.keys(outcomes)]).toEqual([table, ['same']]);
  }, 60_000);

  it.each(['csv', 'json'] as const)(
    'is the same shop through %s files alone',
    async (form) => {
      const shopId = await emptyShop();
      const paths: string[] = [];
      for (const table of TABLES) {
        const path = join(folder, `${table.name}.${form}`);
        const text: string[] = [];
        for await (const part of (form === 'csv' ? csvOf : jsonRowsOf)(client, demoId, table)) text.push(part);
        await writeFile(path, text.join(''));
        paths.unshift(path);
      }
      const importId = await bringIn(shopId, ...paths);
      expect(await importRow(importId)).toMatchObject({ state: 'read', problem: null });
      await takeImport(client, shopId, importId, '');
      const there = await contents(demoId);
      const here = await contents(shopId);
      for (const { name } of TABLES) expect([name, here[name]]).toEqual([name, there[name]]);
    },
    120_000,
  );

  it('has a form for every column of every table', () => {
    for (const table of [SHOP_TABLE, ...TABLES]) {
      const headers = columnsOf(table).map(({ header }) => header);
      expect(new Set(headers).size).toBe(headers.length);
      expect(headers.every((header) => /^[a-z][a-z0-9_]*$/.test(header))).toBe(true);
    }
  });
});
