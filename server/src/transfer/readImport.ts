import { parseStoredTrace, traceFromTable, type FieldError, type Match, type PullMark } from '@olvet/core';
import type { Client } from 'pg';
import { basename } from 'node:path';
import { packTrace } from '../shots/packTrace';
import { FORMAT, MANIFEST, MARK_COLUMNS, MARKS_FILE, TRACES_FOLDER, type Told } from './exportShop';
import { jsonRowsIn } from './jsonIn';
import { rowsByMatch } from './matchIn';
import { countOutcomes, findOutcomes } from './outcomes';
import { recordsOf, rowsOf, Unreadable } from './rowsIn';
import { bodyMakerOf, Staging } from './staging';
import { findTable, SHOP_TABLE, TABLES, type TransferTable } from './tables';
import { isZip, openPlain, openZip, type OpenZip } from './zipIn';

export interface ImportFile {
  /** Where its bytes lie. */
  path: string;
  /** As whoever brought it calls it: `shots.csv` says which table it is. */
  name: string;
  /** Which column is which, for a file that is not of this house. */
  match: Match | null;
}

export interface Importing {
  client: Client;
  shopId: string;
  importId: string;
  now: Date;
}

/**
 * Reads files to their end, row by row, and leaves everything in `import_rows` with what would become of it; nothing of the shop changes.
 * Where it cannot be read the import says so in words instead.
 */
export async function readImport(importing: Importing, files: ImportFile[], told: Told = () => {}): Promise<void> {
  const { client, shopId, importId, now } = importing;
  const say = (values: string, ...more: unknown[]): Promise<unknown> =>
    client.query(`UPDATE imports SET ${values}, "updatedAt" = now() WHERE "shopId" = $1 AND "id" = $2`, [
      ...[shopId, importId],
      ...more,
    ]);
  const staging = new Staging(client, shopId, importId, now, told);
  try {
    const notRead: string[] = [];
    for (const file of files) {
      const read = (await isZip(file.path)) ? readZip : readSingle;
      notRead.push(...(await named(file, files.length > 1, () => read(importing, file, staging))));
      await staging.flush();
    }
    await findOutcomes(client, shopId, importId);
    const tables = await countOutcomes(client, shopId, importId);
    await say(`"state" = 'read', "tables" = $3, "notRead" = $4`, JSON.stringify(tables), JSON.stringify(notRead));
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error;
    await client.query('DELETE FROM import_rows WHERE "shopId" = $1 AND "importId" = $2', [shopId, importId]);
    await say(`"state" = 'unreadable', "problem" = $3`, error.message);
  }
}

type Reader = (importing: Importing, file: ImportFile, staging: Staging) => Promise<string[]>;

const readSingle: Reader = async ({ client, shopId }, { path, name, match }, staging) => {
  if (match) {
    await rowsByMatch({ client, shopId, path, name, match, staging });
    return [];
  }
  const table = tableNamed(name);
  if (!table)
    throw new Unreadable(
      `Its name says of no table what it is: ${TABLES.map((each) => `${each.name}.csv`).join(', ')}.`,
    );
  const rows = /\.json$/i.test(name) ? jsonRowsIn(openPlain(path), table) : rowsOf(openPlain(path), table);
  await staging.addFile(name, table, rows);
  return [];
};

/** `shots.csv`, `shots (2).csv`, `shots.json`. */
const tableNamed = (name: string): TransferTable | undefined =>
  findTable(
    basename(name)
      .toLowerCase()
      .replace(/\s*\(\d+\)/, '')
      .replace(/\.(csv|json)$/, ''),
  );

const readZip: Reader = async (importing, { path }, staging) => {
  const zip = await openZip(path);
  try {
    await checkManifest(zip);
    await readShop(importing, zip);
    for (const table of TABLES) {
      const file = `${table.name}.csv`;
      if (!zip.names.includes(file)) continue;
      await staging.addFile(file, table, within(file, rowsOf(await zip.open(file), table)));
    }
    await readTraces(zip, staging);
    return zip.names.filter((name) => !isRead(name)).slice(0, MOST_NAMED);
  } finally {
    zip.close();
  }
};

/** Files of a ZIP that are named where they were not read. */
const MOST_NAMED = 20;

const isRead = (name: string): boolean =>
  [MANIFEST, MARKS_FILE, `${SHOP_TABLE.name}.csv`].includes(name) ||
  name.startsWith(TRACES_FOLDER) ||
  /^(cards\/|calendar)/.test(name) ||
  TABLES.some((table) => `${table.name}.csv` === name);

/** Among several, the one that cannot be read is named. */
async function named<T>({ name }: ImportFile, isOneOfMany: boolean, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw isOneOfMany && error instanceof Unreadable ? new Unreadable(`${name}: ${error.message}`) : error;
  }
}

/** What cannot be read is said of the file it is in. */
async function* within<T>(file: string, rows: AsyncIterable<T>): AsyncGenerator<T> {
  try {
    yield* rows;
  } catch (error) {
    throw error instanceof Unreadable ? new Unreadable(`${file}: ${error.message}`) : error;
  }
}

async function checkManifest(zip: OpenZip): Promise<void> {
  if (!zip.names.includes(MANIFEST)) throw new Unreadable(`This ZIP is no shop: it holds no ${MANIFEST}.`);
  let format: unknown;
  try {
    format = (JSON.parse(await zip.text(MANIFEST)) as { format?: unknown }).format;
  } catch {
    throw new Unreadable(`${MANIFEST} cannot be read.`);
  }
  if (format !== FORMAT) throw new Unreadable(`Its format is ${JSON.stringify(format)}; this Olvet reads ${FORMAT}.`);
}

/** The shop's settings are kept aside: only a shop without a station takes them. */
async function readShop({ client, shopId, importId, now }: Importing, zip: OpenZip): Promise<void> {
  const file = `${SHOP_TABLE.name}.csv`;
  if (!zip.names.includes(file)) return;
  const toBody = await bodyMakerOf(client, SHOP_TABLE, shopId, now);
  for await (const { row: said, errors: own } of within(file, rowsOf(await zip.open(file), SHOP_TABLE))) {
    const { row, errors } = toBody(said);
    const [error] = [...own, ...errors];
    if (error) throw new Unreadable(`${file}: ${error.path} ${error.message}.`);
    await client.query('UPDATE imports SET "shop" = $3 WHERE "shopId" = $1 AND "id" = $2', [shopId, importId, row]);
  }
}

async function readTraces(zip: OpenZip, staging: Staging): Promise<void> {
  const marks = zip.names.includes(MARKS_FILE) ? await marksOf(zip) : new Map<string, PullMark[]>();
  for (const name of zip.names.filter((each) => each.startsWith(TRACES_FOLDER))) {
    const shotId = /^traces\/([0-9a-f-]{36})\.csv$/.exec(name)?.[1];
    if (!shotId || !UUID.test(shotId)) continue;
    const cells: string[][] = [];
    for await (const record of within(name, recordsOf(await zip.open(name)))) cells.push(record.cells);
    const { trace, errors } = traceFromTable(cells);
    const said = errors.map(({ line, message }): FieldError => ({ path: `line ${line}`, message }));
    const whole = trace && parseStoredTrace({ ...trace, marks: marks.get(shotId) ?? [] });
    const all = whole && !whole.ok ? whole.errors : said;
    const body = whole?.ok ? { shotId, body: packTrace(whole.trace).toString('base64') } : {};
    await staging.add('shot_traces', name, 1, shotId, body, all);
  }
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

async function marksOf(zip: OpenZip): Promise<Map<string, PullMark[]>> {
  const marks = new Map<string, PullMark[]>();
  let isHeader = true;
  for await (const { cells } of within(MARKS_FILE, recordsOf(await zip.open(MARKS_FILE)))) {
    if (isHeader && MARK_COLUMNS.some((name, i) => cells[i] !== name)) {
      throw new Unreadable(`${MARKS_FILE}: its columns must be ${MARK_COLUMNS.join(', ')}.`);
    }
    const [shotId = '', kind = '', seconds = '', clock = ''] = cells;
    const mark = { kind, seconds: Number(seconds), ...(clock === '' ? {} : { clock: Number(clock) }) } as PullMark;
    if (!isHeader) marks.set(shotId, [...(marks.get(shotId) ?? []), mark]);
    isHeader = false;
  }
  return marks;
}
