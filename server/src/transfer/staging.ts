import type { FieldError } from '@olvet/core';
import type { Client } from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { v5, v7 } from 'uuid';
import { columnsOf } from './columns';
import type { RowIn } from './rowsIn';
import { rowCheckOf } from './shapes';
import type { TransferTable } from './tables';

/** Rows sent to the database at once. */
const BATCH = 1000;

interface Staged {
  seq: number;
  table: string;
  file: string;
  line: number;
  key: string | null;
  body: object;
  outcome: 'new' | 'refused';
  errors: FieldError[] | null;
}

/** Where rows wait to be looked at: nothing of the shop has changed by them. */
export class Staging {
  private waiting: Staged[] = [];
  private seq = 0;
  private sent: Promise<void> = Promise.resolve();

  constructor(
    private readonly client: Client,
    private readonly shopId: string,
    private readonly importId: string,
    private readonly now: Date,
    private readonly told: (file: string, rows: number) => void,
  ) {}

  /** Rows of one file into one table, each checked against what the API says of it. */
  async addFile(file: string, table: TransferTable, rows: AsyncIterable<RowIn>): Promise<void> {
    const toBody = await bodyMakerOf(this.client, table, this.shopId, this.now);
    for await (const { line, row, errors } of rows) {
      const body = toBody(row);
      const all = errors.length > 0 ? errors : body.errors;
      const key = table.key.map((name) => String(body.row[name])).join(' ');
      await this.add(table.name, file, line, key, body.said, all);
    }
  }

  /** One row that is known to be good, or its errors. */
  async add(table: string, file: string, line: number, key: string, body: object, errors: FieldError[]): Promise<void> {
    this.seq += 1;
    const isRefused = errors.length > 0;
    this.waiting.push({
      ...{ seq: this.seq, table, file, line, key: isRefused ? null : key, body: isRefused ? {} : body },
      ...{ outcome: isRefused ? 'refused' : 'new', errors: isRefused ? errors : null },
    });
    if (this.waiting.length < BATCH) return;
    await this.sent;
    this.sendWaiting();
    this.told(file, this.seq);
  }

  /** Everything added so far stands in the database. */
  async flush(): Promise<void> {
    await this.sent;
    this.sendWaiting();
    await this.sent;
  }

  /** The database writes what was read while more is read; more than one batch never waits for it. */
  private sendWaiting(): void {
    const rows = this.waiting.splice(0);
    if (rows.length === 0) return;
    this.sent = this.write(rows);
    // Said where it is waited for.
    this.sent.catch(() => {});
  }

  /** Copied in: half the work of an INSERT, which would read every body twice. */
  private async write(rows: Staged[]): Promise<void> {
    const copy = this.client.query(
      copyFrom(
        'COPY import_rows ("shopId", "importId", "seq", "table", "file", "line", "key", "body", "outcome", "errors") FROM STDIN',
      ),
    );
    const place = `${this.shopId}\t${this.importId}`;
    await pipeline(Readable.from([rows.map((row) => `${place}\t${copied(row)}\n`).join('')]), copy);
    await this.client.query(
      'UPDATE imports SET "rowsRead" = $3, "updatedAt" = now() WHERE "shopId" = $1 AND "id" = $2',
      [...[this.shopId, this.importId, this.seq]],
    );
  }
}

/** One row in the text form of COPY. */
function copied({ seq, table, file, line, key, body, outcome, errors }: Staged): string {
  const cells = [seq, table, file, line, key, JSON.stringify(body), outcome, errors && JSON.stringify(errors)];
  return cells.map((cell) => (cell === null ? '\\N' : escaped(String(cell)))).join('\t');
}

const ESCAPES: Readonly<Record<string, string>> = { '\\': '\\\\', '\t': '\\t', '\n': '\\n', '\r': '\\r' };

function escaped(text: string): string {
  return text.replace(/[\\\t\n\r]/g, (sign) => ESCAPES[sign]!);
}

type Row = Record<string, unknown>;

/** What a row says, and the whole row with what is usual where it says nothing. */
export type BodyMaker = (row: Row) => { said: Row; row: Row; errors: FieldError[] };

/** A row as the table takes it: what was not said gets the column's usual value, what may not be missing is asked for. */
export async function bodyMakerOf(client: Client, table: TransferTable, shopId: string, now: Date): Promise<BodyMaker> {
  const check = rowCheckOf(table);
  const needed = await neededColumns(client, table.name);
  const makeId = idMaker(table, shopId);
  const usual = usualValues(table, now);
  const columns = columnsOf(table);
  const isRequired = columns.filter(({ name }) => needed.has(name));
  return (given) => {
    const said: Row = {};
    for (const { name } of columns) if (given[name] != null) said[name] = given[name];
    if (table.key[0] === 'id') said.id ??= makeId(said);
    if (table.name === 'shots') said.kind ??= said.runId ? 'dial-in' : 'service';
    const row = { ...usual, ...said };
    const missing = isRequired.filter(({ name }) => row[name] == null);
    const errors = missing.map(({ header }) => ({ path: header, message: 'is missing' }));
    return { said, row, errors: errors.length > 0 ? errors : check(said) };
  };
}

/** What stands in a column of which nothing is said. */
export function usualValues(table: TransferTable, now: Date): Row {
  const attributes = table.model.getAttributes();
  const usual = columnsOf(table).map(({ name }): [string, unknown] => {
    if (STAMPS.has(name)) return [name, now.toISOString()];
    const value: unknown = attributes[name]!.defaultValue ?? null;
    // What Sequelize would compute is not said here.
    const isPlain = typeof value !== 'function' && (typeof value !== 'object' || Array.isArray(value));
    return [name, isPlain ? value : null];
  });
  return Object.fromEntries(usual);
}

const STAMPS = new Set(['createdAt', 'updatedAt', 'editedAt']);

/** The same file read twice gives the same ids, so that it is recognised; two rows that say the same are two rows. */
function idMaker({ name, alike }: TransferTable, shopId: string): (row: Record<string, unknown>) => string {
  const seen = new Map<string, number>();
  return (row) => {
    if (!alike) return v7();
    const content = JSON.stringify([name, ...alike.map((column) => row[column] ?? null)]);
    const first = v5(content, shopId);
    const n = (seen.get(first) ?? 0) + 1;
    seen.set(first, n);
    return n === 1 ? first : v5(`${content} ${n}`, shopId);
  };
}

/** Columns that are never null in the database. */
async function neededColumns(client: Client, table: string): Promise<Set<string>> {
  const { rows } = await client.query<{ name: string }>(
    `SELECT column_name AS name FROM information_schema.columns
     WHERE table_schema = current_schema() AND table_name = $1 AND is_nullable = 'NO'`,
    [table],
  );
  return new Set(rows.map(({ name }) => name));
}
