import type { Client } from 'pg';
import { columnsOf } from './columns';
import { isRow, referencesOf } from './outcomes';
import { usualValues } from './staging';
import { SHOP_TABLE, TABLES } from './tables';

const CHANNEL = 'olvet_live';
/** Told once of each, so that every page reads its lists again. */
const TOLD = [
  'Cards',
  'CareDone',
  'CareRules',
  'CoffeeChanges',
  'DayMoves',
  'HandOvers',
  'Keepers',
  'Openings',
  'RoomReadings',
  'Runs',
  'Shots',
  'StationEvents',
];

async function within(client: Client, work: () => Promise<void>): Promise<void> {
  await client.query('BEGIN');
  try {
    await client.query(`SET LOCAL olvet.quiet = 'on'`);
    await client.query('SET CONSTRAINTS ALL DEFERRED');
    await work();
    await client.query('COMMIT');
  } catch (error) {
    await client.query('ROLLBACK');
    throw error;
  }
}

const OF = `"shopId" = $1 AND "importId" = $2`;

/** Takes every new row, in one transaction: all of them or none. Taken already, it changes nothing. */
export async function takeImport(client: Client, shopId: string, importId: string, person: string): Promise<void> {
  await within(client, async () => {
    // Sent again while it goes on, it waits here and then finds it done.
    const { rowCount } = await client.query(
      `UPDATE imports SET "state" = 'taken', "takenAt" = now(), "changedBy" = $3, "updatedAt" = now()
       WHERE "shopId" = $1 AND "id" = $2 AND "state" IN ('read', 'taking')`,
      [shopId, importId, person],
    );
    if (rowCount === 0) return;
    await takeShop(client, shopId, importId);
    for (const table of TABLES) {
      const columns = columnsOf(table).map(({ name }) => `"${name}"`);
      await client.query(
        `INSERT INTO ${table.name} ("shopId", ${columns.join(', ')}) SELECT $1, ${columns.map((column) => `n.${column}`).join(', ')}
         FROM import_rows, jsonb_populate_record(null::${table.name}, $4 || "body") n
         WHERE import_rows."shopId" = $1 AND "importId" = $2 AND "table" = $3 AND "outcome" = 'new' ORDER BY "seq"`,
        [shopId, importId, table.name, usualValues(table, new Date())],
      );
    }
    await client.query(
      `INSERT INTO shot_traces ("shopId", "shotId", "body", "createdAt")
       SELECT $1, "key"::uuid, decode("body" ->> 'body', 'base64'), now() FROM import_rows
       WHERE ${OF} AND "table" = 'shot_traces' AND "outcome" = 'new'`,
      [shopId, importId],
    );
    await tell(client, shopId, importId);
  });
}

/** A shop that has nothing yet becomes the one in the file; its id stays its own. */
async function takeShop(client: Client, shopId: string, importId: string): Promise<void> {
  const columns = columnsOf(SHOP_TABLE).filter(({ name }) => name !== 'id');
  const named = columns.map(({ name }) => `"${name}"`).join(', ');
  await client.query(
    `UPDATE shops s SET (${named}) = (SELECT ${columns.map(({ name }) => `n."${name}"`).join(', ')}
       FROM imports i, jsonb_populate_record(s, i."shop") n WHERE i."shopId" = $1 AND i."id" = $2)
     WHERE s."id" = $1 AND NOT EXISTS (SELECT 1 FROM stations WHERE "shopId" = $1)
       AND EXISTS (SELECT 1 FROM imports WHERE "shopId" = $1 AND "id" = $2 AND "shop" IS NOT NULL)`,
    [shopId, importId],
  );
}

export interface ChangedRows {
  table: string;
  rows: number;
}

/** Corrections go with what they correct, and are told with it. */
const NOT_HUNG_ON = new Set(['shot_edits', 'tasting_edits']);

/** Rows written since that refer to what the import brought: taken back, it would take them along. */
export async function hungOnSince(client: Client, shopId: string, importId: string): Promise<ChangedRows[]> {
  const found: ChangedRows[] = [];
  const tables = [...TABLES.filter(({ name }) => !NOT_HUNG_ON.has(name)), { name: 'shot_traces', key: ['shotId'] }];
  for (const { name, key } of tables) {
    const references = await referencesOf(client, name);
    const isOnIt = references.map(
      ({ column, to }, i) => `EXISTS (SELECT 1 FROM import_rows p WHERE p."shopId" = $1 AND p."importId" = $2
      AND p."table" = $${i + 4} AND p."outcome" = 'new' AND p."key" = t."${column}"::text) /* ${to} */`,
    );
    if (isOnIt.length === 0) continue;
    const { rows } = await client.query<{ n: number }>(
      `SELECT count(*)::integer AS n FROM ${name} t WHERE t."shopId" = $1 AND (${isOnIt.join(' OR ')})
       AND NOT EXISTS (SELECT 1 FROM import_rows r WHERE r."shopId" = $1 AND r."importId" = $2 AND r."table" = $3
         AND r."outcome" = 'new' AND r."key" = t."${key[0]}"::text)`,
      [shopId, importId, name, ...references.map(({ to }) => to)],
    );
    if (rows[0]!.n > 0) found.push({ table: name, rows: rows[0]!.n });
  }
  return found;
}

/** What was changed here since the import brought it in. */
export async function editedSince(client: Client, shopId: string, importId: string): Promise<ChangedRows[]> {
  const edited: ChangedRows[] = [];
  for (const table of TABLES.filter(({ model }) => 'updatedAt' in model.getAttributes())) {
    const { rows } = await client.query<{ n: number }>(
      `SELECT count(*)::integer AS n FROM imports i
       JOIN import_rows r ON r."shopId" = i."shopId" AND r."importId" = i."id" AND r."table" = $3 AND r."outcome" = 'new'
       JOIN ${table.name} t ON t."shopId" = i."shopId" AND ${isRow(table)}
       WHERE i."shopId" = $1 AND i."id" = $2 AND t."updatedAt" > i."takenAt"`,
      [shopId, importId, table.name],
    );
    if (rows[0]!.n > 0) edited.push({ table: table.name, rows: rows[0]!.n });
  }
  return edited;
}

/** Removes every row an import brought in; what has been hung on them since keeps them. */
export async function takeBackImport(client: Client, shopId: string, importId: string, person: string): Promise<void> {
  await within(client, async () => {
    const { rowCount } = await client.query(
      `UPDATE imports SET "state" = 'taken-back', "takenBackAt" = now(), "changedBy" = $3, "updatedAt" = now()
       WHERE "shopId" = $1 AND "id" = $2 AND "state" = 'taken'`,
      [shopId, importId, person],
    );
    if (rowCount === 0) return;
    for (const table of [...TABLES].reverse()) {
      await client.query(
        `DELETE FROM ${table.name} t USING import_rows r WHERE r."shopId" = $1 AND r."importId" = $2 AND r."table" = $3
           AND r."outcome" = 'new' AND t."shopId" = $1 AND ${isRow(table)}`,
        [shopId, importId, table.name],
      );
    }
    await tell(client, shopId, importId);
  });
}

async function tell(client: Client, shopId: string, importId: string): Promise<void> {
  for (const type of TOLD) {
    const told = { shopId, event: { kind: 'row', type, id: importId } };
    await client.query('SELECT pg_notify($1, $2)', [CHANNEL, JSON.stringify(told)]);
  }
}
