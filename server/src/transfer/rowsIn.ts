import type { FieldError } from '@olvet/core';
import { parse, CsvError } from 'csv-parse';
import { Readable, Transform, type TransformCallback } from 'node:stream';
import { TextDecoder } from 'node:util';
import { readCell } from './cells';
import { columnsOf, type TransferColumn } from './columns';
import { besideOf } from './rowsOut';
import type { TransferTable } from './tables';

/** No record of ours comes near; what is longer is a quote that never ends. */
const MOST_RECORD_BYTES = 1_000_000;
const MOST_COLUMNS = 300;

/** One line of a file: what it says, and what is wrong with it. */
export interface RowIn {
  line: number;
  row: Record<string, unknown>;
  errors: FieldError[];
}

/** The file as a whole cannot be read, or not on from some line; said to whoever brought it. */
export class Unreadable extends Error {}

/** A record as it stands in the file: the line it ends at, and its cells. */
export interface RecordIn {
  line: number;
  cells: string[];
}

/** Bytes as text, or Unreadable: what another encoding wrote would come in as rubbish. */
export function asText(): Transform {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  const decode = (chunk: Buffer | undefined, done: TransformCallback): void => {
    try {
      const text = chunk ? decoder.decode(chunk, { stream: true }) : decoder.decode();
      if (text.includes('\u0000')) return done(new Unreadable('This is no text: it holds zero bytes.'));
      done(null, text);
    } catch {
      done(new Unreadable('This is not UTF-8 text. Save it as “CSV UTF-8” and send it again.'));
    }
  };
  return new Transform({
    decodeStrings: false,
    encoding: 'utf8',
    transform: (chunk: Buffer, _encoding, done) => decode(chunk, done),
    flush: (done) => decode(undefined, done),
  });
}

/** @throws Unreadable where quotes do not match up or a record has no end */
export async function* recordsOf(bytes: Readable, delimiter = ','): AsyncGenerator<RecordIn> {
  const text = asText();
  const parser = parse({
    ...{ delimiter, bom: true, info: true, relax_column_count: true, skip_empty_lines: true },
    max_record_size: MOST_RECORD_BYTES,
  });
  const fail = (error: Error): void => void parser.destroy(error);
  bytes.on('error', fail).pipe(text).on('error', fail).pipe(parser);
  try {
    for await (const { record, info } of parser as AsyncIterable<{ record: string[]; info: { lines: number } }>) {
      if (record.length > MOST_COLUMNS)
        throw new Unreadable(`Line ${info.lines} has more than ${MOST_COLUMNS} columns.`);
      yield { line: info.lines, cells: record };
    }
  } catch (error) {
    if (error instanceof CsvError)
      throw new Unreadable(`This is no CSV from line ${lineOf(error)} on: ${plain(error)}.`);
    throw error;
  } finally {
    bytes.destroy();
  }
}

const lineOf = (error: CsvError): number => Number((error as unknown as { lines?: number }).lines ?? 1);
const plain = ({ code }: CsvError): string => PLAIN[code] ?? 'its quotes do not match up';
const PLAIN: Readonly<Record<string, string>> = {
  CSV_MAX_RECORD_SIZE: 'a record does not end; is a quote missing?',
};

/** The rows of a file in this house's own columns. */
export async function* rowsOf(bytes: Readable, table: TransferTable): AsyncGenerator<RowIn> {
  const besides = new Set(besideOf(table).map(({ header }) => header));
  let columns: (TransferColumn | null)[] | null = null;
  for await (const { line, cells } of recordsOf(bytes)) {
    if (columns === null) columns = matched(cells, columnsOf(table), besides);
    else yield rowOf(line, cells, columns);
  }
  if (columns === null) throw new Unreadable('This file is empty: its first line must name the columns.');
}

/** @throws Unreadable naming every column that is none of the table's, or stands twice */
function matched(
  headers: readonly string[],
  columns: readonly TransferColumn[],
  besides: ReadonlySet<string>,
): (TransferColumn | null)[] {
  const names = headers.map((header) => header.trim());
  const unknown = names.filter((name) => !besides.has(name) && !columns.some(({ header }) => header === name));
  const twice = names.filter((name, i) => names.indexOf(name) !== i);
  if (unknown.length > 0) throw new Unreadable(`It has columns that are none here: ${unknown.slice(0, 5).join(', ')}.`);
  if (twice.length > 0) throw new Unreadable(`A column stands twice: ${twice[0]}.`);
  return names.map((name) => columns.find(({ header }) => header === name) ?? null);
}

function rowOf(line: number, cells: readonly string[], columns: readonly (TransferColumn | null)[]): RowIn {
  const row: Record<string, unknown> = {};
  const errors: FieldError[] = [];
  if (cells.length !== columns.length) {
    const message = `has ${cells.length} cells, the first line has ${columns.length}`;
    return { line, row, errors: [{ path: '', message }] };
  }
  for (const [i, column] of columns.entries()) {
    if (!column) continue;
    const read = readCell(cells[i]!, column);
    if ('message' in read) errors.push({ path: column.header, message: read.message });
    else row[column.name] = read.value;
  }
  return { line, row, errors };
}
