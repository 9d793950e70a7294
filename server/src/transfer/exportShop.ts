import { tableOfTrace } from '@olvet/core';
import { stringify } from 'csv-stringify/sync';
import type { Client } from 'pg';
import Cursor from 'pg-cursor';
import { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import { unpackTrace } from '../shots/packTrace';
import { CARD_FILES, CARD_FORMS, cardText, type CardForm, type CardRow } from './cardsOut';
import { csvOf } from './rowsOut';
import { SHOP_TABLE, TABLES } from './tables';

/** The form of the ZIP; a reader takes this one and every one before. */
export const FORMAT = 'olvet.shop/1';
export const MANIFEST = 'olvet.json';
export const MARKS_FILE = 'trace_marks.csv';
export const TRACES_FOLDER = 'traces/';
export const CARDS_FOLDER = 'cards/';
export const MARK_COLUMNS = ['shot_id', 'kind', 'seconds', 'clock'] as const;

const TRACES_AT_ONCE = 20;
/** Of 9: half the work of the usual 6 for a tenth more bytes. */
const COMPRESSION = 3;

/** Told now and then: which file, and how many rows of it so far. */
export type Told = (file: string, rows: number) => void;

interface Exported {
  /** Bytes of the ZIP, as they come. */
  stream: Readable;
  /** Rejects where the house could not be read to its end. */
  done: Promise<void>;
}

/**
 * A whole shop as one ZIP of CSV files, in one snapshot of the database. What is written to it meanwhile is not in it.
 * @param client a connection of its own: it is held until the last byte is taken
 */
export function exportShop(client: Client, shopId: string, now: Date, told: Told = () => {}): Exported {
  const zip = new ZipFile();
  const write = async (): Promise<void> => {
    await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ, READ ONLY');
    const manifest = { format: FORMAT, exportedAt: now.toISOString(), tables: TABLES.map(({ name }) => name) };
    zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), MANIFEST, { mtime: now });
    for (const table of [SHOP_TABLE, ...TABLES]) {
      let rows = 0;
      const count = (more: number): void => told(table.name, (rows += more));
      await add(zip, `${table.name}.csv`, csvOf(client, shopId, table, count), now);
    }
    await addCards(zip, client, shopId, now);
    await addTraces(zip, client, shopId, now);
    await client.query('COMMIT');
    zip.end();
  };
  const done = write();
  done.catch((error: unknown) => (zip.outputStream as Readable).destroy(error as Error));
  return { stream: zip.outputStream as Readable, done };
}

/** One file at a time: it is taken in before the next one is begun, as all come from one connection. */
function add(zip: ZipFile, name: string, content: AsyncIterable<string>, mtime: Date): Promise<void> {
  const source = Readable.from(content, { objectMode: false, encoding: undefined });
  return new Promise((resolve, reject) => {
    source.once('end', resolve).once('error', reject);
    zip.addReadStream(source, name, { mtime, compressionLevel: COMPRESSION });
  });
}

/** For people and for other programs; reading takes the tables. */
async function addCards(zip: ZipFile, client: Client, shopId: string, mtime: Date): Promise<void> {
  const { rows } = await client.query<CardRow>(CARD_FILES, [shopId, null]);
  for (const row of rows) {
    for (const form of Object.keys(CARD_FORMS) as CardForm[]) {
      zip.addBuffer(Buffer.from(cardText(row, form)), `${CARDS_FOLDER}${row.id}.${form}`, { mtime });
    }
  }
}

interface TraceRow {
  shotId: string;
  body: Buffer;
}

async function addTraces(zip: ZipFile, client: Client, shopId: string, mtime: Date): Promise<void> {
  const marks: (string | number)[][] = [[...MARK_COLUMNS]];
  const cursor = client.query(
    new Cursor<TraceRow>('SELECT "shotId", "body" FROM shot_traces WHERE "shopId" = $1 ORDER BY "shotId"', [shopId]),
  );
  const read = (): Promise<TraceRow[]> => cursor.read(TRACES_AT_ONCE);
  for (let rows = await read(); rows.length > 0; rows = await read()) {
    for (const { shotId, body } of rows) {
      const trace = unpackTrace(body);
      for (const { kind, seconds, clock } of trace.marks) marks.push([shotId, kind, seconds, clock ?? '']);
      const text = stringify(tableOfTrace(trace), { record_delimiter: 'windows' });
      await add(zip, `${TRACES_FOLDER}${shotId}.csv`, Readable.from([text]), mtime);
    }
  }
  await add(zip, MARKS_FILE, Readable.from([stringify(marks, { record_delimiter: 'windows' })]), mtime);
}
