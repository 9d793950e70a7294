import type { Readable } from 'node:stream';
import { asText, Unreadable, type RowIn } from './rowsIn';
import type { TransferTable } from './tables';
import { columnsOf } from './columns';

/** A list is read whole; what is larger comes as CSV, which is read row by row. */
const MOST_BYTES = 64 * 1024 ** 2;

/** The rows of a JSON list of objects, named as the API names them. */
export async function* jsonRowsIn(bytes: Readable, table: TransferTable): AsyncGenerator<RowIn> {
  const text: string[] = [];
  let length = 0;
  const decoded = asText();
  bytes.on('error', (error) => decoded.destroy(error)).pipe(decoded);
  for await (const chunk of decoded as AsyncIterable<string>) {
    length += chunk.length;
    if (length > MOST_BYTES) throw new Unreadable('This JSON is larger than 64 MB: send it as CSV.');
    text.push(chunk);
  }
  const names = new Set(columnsOf(table).map(({ name }) => name));
  for (const [i, row] of listIn(text.join('')).entries()) {
    const line = i + 1;
    if (typeof row !== 'object' || row === null || Array.isArray(row)) {
      yield { line, row: {}, errors: [{ path: '', message: 'must be an object' }] };
      continue;
    }
    const unknown = Object.keys(row).filter((name) => !names.has(name));
    const errors = unknown.map((path) => ({ path, message: 'is not a field here' }));
    yield { line, row: row as Record<string, unknown>, errors };
  }
}

function listIn(text: string): unknown[] {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    throw new Unreadable(`This is no JSON: ${(error as Error).message}.`);
  }
  if (!Array.isArray(value)) throw new Unreadable('This must be a list of objects.');
  return value;
}
