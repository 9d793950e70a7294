import Cursor from 'pg-cursor';
import type { Client } from 'pg';
import { stringify } from 'csv-stringify/sync';
import { cellOf, jsonOf } from './cells';
import { columnsOf, type TransferColumn } from './columns';
import { SHOP_TABLE, type TransferTable } from './tables';

/** Rows fetched at once: some hundred kilobytes, written within milliseconds. */
const BATCH = 1000;

type Row = (string | null)[];

/** PostgreSQL's own text of every value: exact, and nothing to convert. */
const AS_TEXT = { getTypeParser: () => (text: string) => text };
/** RFC 4180 ends a record so. */
const CRLF = { record_delimiter: 'windows' } as const;

/** Columns that only people read: they stand beside an id, and reading leaves them out. */
export interface Beside {
  join: string;
  columns: readonly { header: string; sql: string }[];
}

const nameOf = (header: string, table: string, id: string): Beside => ({
  join: `LEFT JOIN ${table} ${header} ON ${header}."shopId" = t."shopId" AND ${header}."id" = t."${id}"`,
  columns: [{ header, sql: `${header}."name"` }],
});

const SCALES = ['balance', 'body', 'dryness', 'sweetness', 'overall'];
const MEANS: Beside = {
  join: `LEFT JOIN (SELECT "shotId", ${SCALES.map((scale) => `avg("${scale}") AS "${scale}"`).join(', ')}
    FROM tastings WHERE "shopId" = $1 GROUP BY "shotId") tasted ON tasted."shotId" = t."id"`,
  columns: SCALES.map((header) => ({ header, sql: `tasted."${header}"` })),
};

/** Names instead of ids, and how a shot tasted: a spreadsheet or a study needs them in the same row. */
const BESIDE: Readonly<Record<string, readonly Beside[]>> = {
  shots: [nameOf('station', 'stations', 'stationId'), nameOf('coffee', 'coffees', 'coffeeId'), MEANS],
  bags: [nameOf('coffee', 'coffees', 'coffeeId')],
};

export const besideOf = ({ name }: TransferTable): Beside['columns'] =>
  (BESIDE[name] ?? []).flatMap(({ columns }) => columns);

function selected({ name, kind }: TransferColumn): string {
  if (kind !== 'instant') return `t."${name}"::text`;
  return `to_char(t."${name}" AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;
}

/** Every row of one table of a shop, some at a time. */
async function* batchesOf(client: Client, shopId: string, table: TransferTable): AsyncGenerator<Row[]> {
  const besides = besideOf(table).map(({ sql }) => `${sql}::text`);
  const joins = (BESIDE[table.name] ?? []).map(({ join }) => join).join(' ');
  const key = table.key.map((column) => `t."${column}"`).join(', ');
  const cursor = client.query(
    new Cursor<Row>(
      `SELECT ${[...columnsOf(table).map(selected), ...besides].join(', ')} FROM ${table.name} t ${joins}
       WHERE t."${table === SHOP_TABLE ? 'id' : 'shopId'}" = $1 ORDER BY ${key}`,
      [shopId],
      { rowMode: 'array', types: AS_TEXT as never },
    ),
  );
  try {
    // The next rows are on their way while these are written: database and writer both work.
    let coming = cursor.read(BATCH);
    for (let rows = await coming; rows.length > 0; rows = await coming) {
      coming = cursor.read(BATCH);
      coming.catch(() => {});
      yield rows;
    }
  } finally {
    await cursor.close();
  }
}

/** One table as CSV (RFC 4180), its columns named first. */
export async function* csvOf(client: Client, shopId: string, table: TransferTable, count = (_: number) => {}) {
  const columns = columnsOf(table);
  const besides = besideOf(table);
  yield stringify([[...columns, ...besides].map(({ header }) => header)], CRLF);
  for await (const rows of batchesOf(client, shopId, table)) {
    count(rows.length);
    for (const row of rows) columns.forEach((column, i) => (row[i] = cellOf(row[i]!, column)));
    yield stringify(rows, CRLF);
  }
}

/** One table as a JSON list of objects, as the API shows them. */
export async function* jsonRowsOf(client: Client, shopId: string, table: TransferTable) {
  const columns = columnsOf(table);
  let before = '[\n';
  for await (const rows of batchesOf(client, shopId, table)) {
    const objects = rows.map(
      (row) => `{${columns.map((column, i) => `"${column.name}":${jsonOf(row[i]!, column)}`).join(',')}}`,
    );
    yield before + objects.join(',\n');
    before = ',\n';
  }
  yield before === '[\n' ? '[]\n' : '\n]\n';
}
