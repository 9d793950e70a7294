import type { Client } from 'pg';
import { columnsOf } from './columns';
import { TABLES, type TransferTable } from './tables';

/** What becomes of a row once the import is taken. */
export const OUTCOMES = ['new', 'same', 'alike', 'differs', 'refused'] as const;
export type Outcome = (typeof OUTCOMES)[number];

export interface Reference {
  column: string;
  to: string;
}

/** References of a table by its foreign keys, those within the shop. */
export async function referencesOf(client: Client, table: string): Promise<Reference[]> {
  const { rows } = await client.query<Reference>(
    `SELECT a.attname AS column, f.relname AS to FROM pg_constraint c
     JOIN pg_class t ON t.oid = c.conrelid JOIN pg_class f ON f.oid = c.confrelid
     JOIN pg_attribute a ON a.attrelid = t.oid AND a.attnum = c.conkey[array_length(c.conkey, 1)]
     WHERE c.contype = 'f' AND t.relname = $1 AND f.relname <> 'shops' AND t.relnamespace = current_schema()::regnamespace
     ORDER BY 1`,
    [table],
  );
  return rows;
}

const quoted = (name: string): string => `"${name}"`;

/**
 * Finds for every staged row whether it is new, here already under its id or under another one, here in another form, or cannot come in.
 * Tables in order: what a row refers to is known before it is looked at.
 */
export async function findOutcomes(client: Client, shopId: string, importId: string): Promise<void> {
  const ids = [shopId, importId];
  await client.query('ANALYZE import_rows');
  const { rows } = await client.query<{ table: string }>(
    'SELECT DISTINCT "table" FROM import_rows WHERE "shopId" = $1 AND "importId" = $2',
    ids,
  );
  const staged = TABLES.filter(({ name }) => rows.some(({ table }) => table === name));
  for (const table of staged) {
    for (const reference of await referencesOf(client, table.name)) await follow(client, ids, table, reference);
    await refuseTwice(client, ids, table);
    await recognise(client, ids, table);
    if (table.alike) await recogniseAlike(client, ids, table, table.alike);
  }
  // A refused row leaves those that refer to it dangling, in tables before its own as after it.
  const refuse = async (): Promise<number> => {
    let refused = 0;
    for (const table of staged) refused += await refuseDangling(client, ids, table);
    return refused;
  };
  while ((await refuse()) > 0);
  await client.query(
    `UPDATE import_rows r SET "outcome" = 'refused', "errors" = '[{"path":"","message":"its shot is neither here nor in the file"}]'
     WHERE "shopId" = $1 AND "importId" = $2 AND "table" = 'shot_traces' AND "outcome" = 'new'
       AND NOT EXISTS (SELECT 1 FROM shots WHERE "shopId" = $1 AND "id" = r."key"::uuid)
       AND NOT EXISTS (SELECT 1 FROM import_rows p WHERE p."shopId" = $1 AND p."importId" = $2 AND p."table" = 'shots'
         AND p."key" = r."key" AND p."outcome" = 'new')`,
    ids,
  );
  await client.query(
    `UPDATE import_rows r SET "outcome" = 'same' WHERE "shopId" = $1 AND "importId" = $2 AND "table" = 'shot_traces'
       AND "outcome" = 'new' AND EXISTS (SELECT 1 FROM shot_traces WHERE "shopId" = $1 AND "shotId" = r."key"::uuid)`,
    ids,
  );
}

/** The condition that `t` of this table is what the staged row `r` is. */
export function isRow({ key }: Pick<TransferTable, 'key'>): string {
  if (key.length === 1 && key[0] === 'id') return `t."id" = r."key"::uuid`;
  return `${key.map((column) => `t."${column}"::text`).join(` || ' ' || `)} = r."key"`;
}

const STAGED = `r."shopId" = $1 AND r."importId" = $2 AND r."table" = $3`;

/** Where what is referred to stands here under another id, that one is meant. */
async function follow(
  client: Client,
  ids: string[],
  { name }: TransferTable,
  { column, to }: Reference,
): Promise<void> {
  const { rowCount } = await client.query(
    `SELECT 1 FROM import_rows r WHERE ${STAGED} AND "standsAs" IS NOT NULL LIMIT 1`,
    [...[...ids, to]],
  );
  if (rowCount === 0) return;
  await client.query(
    `UPDATE import_rows r SET "body" = r."body" || jsonb_build_object($4::text, p."standsAs")
     FROM import_rows p WHERE ${STAGED} AND p."shopId" = $1 AND p."importId" = $2 AND p."table" = $5
       AND p."standsAs" IS NOT NULL AND p."key" = r."body" ->> $4`,
    [...ids, name, column, to],
  );
}

async function refuseTwice(client: Client, ids: string[], { name }: TransferTable): Promise<void> {
  await client.query(
    `UPDATE import_rows r SET "outcome" = 'refused', "errors" = '[{"path":"id","message":"stands twice in the file; the first one counts"}]'
     FROM (SELECT "key", min("seq") AS first FROM import_rows r WHERE ${STAGED} AND "outcome" = 'new' GROUP BY 1 HAVING count(*) > 1) d
     WHERE ${STAGED} AND r."outcome" = 'new' AND r."key" = d."key" AND r."seq" > d.first`,
    [...ids, name],
  );
}

/** By its id: here as it is in the file, or in another form. What stands here stays. */
async function recognise(client: Client, ids: string[], table: TransferTable): Promise<void> {
  await client.query(
    `UPDATE import_rows r SET "outcome" = CASE
       WHEN jsonb_populate_record(t, r."body") IS NOT DISTINCT FROM t THEN 'same' ELSE 'differs' END
     FROM ${table.name} t WHERE ${STAGED} AND r."outcome" = 'new' AND t."shopId" = $1 AND ${isRow(table)}`,
    [...ids, table.name],
  );
}

/** By its content: here under another id. */
async function recogniseAlike(
  client: Client,
  ids: string[],
  table: TransferTable,
  alike: readonly string[],
): Promise<void> {
  const types = new Map(columnsOf(table).map(({ name, kind }) => [name, kind]));
  const staged = (column: string): string => `(r."body" ->> '${column}')${CASTS[types.get(column)!] ?? ''}`;
  const equal = alike.map((column) => {
    const equals = NEVER_NULL.has(column) ? '=' : 'IS NOT DISTINCT FROM';
    return `t.${quoted(column)} ${equals} ${staged(column)}`;
  });
  await client.query(
    `UPDATE import_rows r SET "outcome" = 'alike', "standsAs" = t."id"::text
     FROM ${table.name} t WHERE ${STAGED} AND r."outcome" = 'new' AND t."shopId" = $1 AND ${equal.join(' AND ')}`,
    [...ids, table.name],
  );
}

const CASTS: Readonly<Record<string, string>> = {
  id: '::uuid',
  number: '::double precision',
  integer: '::integer',
  instant: '::timestamptz',
  day: '::date',
};
/** Compared by `=`, for which an index serves. */
const NEVER_NULL = new Set([
  'name',
  'cardId',
  'version',
  'stationId',
  'pulledAt',
  'shotId',
  'person',
  'grinderId',
  'weighedAt',
  'day',
  'at',
]);

/** @returns how many rows are refused because what they refer to is neither here nor in the file */
async function refuseDangling(client: Client, ids: string[], { name }: TransferTable): Promise<number> {
  const references = await referencesOf(client, name);
  let refused = 0;
  for (const { column, to } of await danglingOf(client, ids, name, references)) {
    const { rowCount } = await client.query(
      `UPDATE import_rows r SET "outcome" = 'refused', "errors" = jsonb_build_array(jsonb_build_object('path', $4::text,
         'message', 'is neither here nor in the file: bring in ' || $5 || ' first'))
       WHERE ${STAGED} AND r."outcome" = 'new' AND ${isMissing(`r."body" ->> $4`, to, '$5')}`,
      [...ids, name, column, to],
    );
    refused += rowCount ?? 0;
  }
  return refused;
}

const isMissing = (value: string, to: string, toName: string): string => `${value} IS NOT NULL
  AND NOT EXISTS (SELECT 1 FROM ${to} p WHERE p."shopId" = $1 AND p."id" = (${value})::uuid)
  AND NOT EXISTS (SELECT 1 FROM import_rows p WHERE p."shopId" = $1 AND p."importId" = $2 AND p."table" = ${toName}
    AND p."key" = ${value} AND p."outcome" = 'new')`;

/** References that some row has to nothing: looked for among the few different ones, in one pass over the rows. */
async function danglingOf(client: Client, ids: string[], name: string, references: Reference[]): Promise<Reference[]> {
  if (references.length === 0) return [];
  const different = references.map(({ column }) => `"body" ->> '${column}' AS "${column}"`).join(', ');
  const each = references.map(
    ({ column, to }, i) =>
      `SELECT ${i} AS n WHERE EXISTS (SELECT 1 FROM d WHERE ${isMissing(`d."${column}"`, to, `'${to}'`)})`,
  );
  const { rows } = await client.query<{ n: number }>(
    `WITH d AS MATERIALIZED (SELECT DISTINCT ${different} FROM import_rows r WHERE ${STAGED} AND r."outcome" = 'new')
     ${each.join(' UNION ALL ')}`,
    [...ids, name],
  );
  return rows.map(({ n }) => references[n]!);
}

export interface TableCount {
  table: string;
  outcomes: Partial<Record<Outcome, number>>;
}

/** How many rows of each table have which outcome. */
export async function countOutcomes(client: Client, shopId: string, importId: string): Promise<TableCount[]> {
  const { rows } = await client.query<{ table: string; outcome: Outcome; n: number }>(
    `SELECT "table", "outcome", count(*)::integer AS n FROM import_rows WHERE "shopId" = $1 AND "importId" = $2
     GROUP BY 1, 2`,
    [shopId, importId],
  );
  const names = [...new Set(rows.map(({ table }) => table))];
  const order = (name: string): number => TABLES.findIndex((each) => each.name === name);
  return names
    .sort((a, b) => order(a) - order(b))
    .map((table) => ({
      table,
      outcomes: Object.fromEntries(rows.filter((row) => row.table === table).map(({ outcome, n }) => [outcome, n])),
    }));
}
