import { holdsNumbers, LIST_MARK, type TransferColumn } from './columns';

/**
 * A spreadsheet runs text that begins like this as a formula. Such text gets an apostrophe in front on writing, which reading takes away;
 * text that has one already gets another, so that what was written is read back. Numbers are left alone.
 */
const FORMULA = /^'*[=+\-@\t\r]/;
const ESCAPED = /^'+[=+\-@\t\r]/;

export const escapeFormula = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
export const unescapeFormula = (cell: string): string => (ESCAPED.test(cell) ? cell.slice(1) : cell);

/** A value as the database says it in text, as the cell of a file. */
export function cellOf(value: string | null, { kind }: TransferColumn): string {
  if (value === null) return '';
  if (kind === 'text') return escapeFormula(value);
  if (kind === 'list') return value === '[]' ? '' : (JSON.parse(value) as unknown[]).join(LIST_MARK);
  return value;
}

/** A value as the database says it in text, as JSON. */
export function jsonOf(value: string | null, { kind }: TransferColumn): string {
  if (value === null) return 'null';
  return QUOTED.has(kind) ? JSON.stringify(value) : value;
}

const QUOTED: ReadonlySet<TransferColumn['kind']> = new Set(['id', 'text', 'instant', 'day']);

/** What a cell says, or what is wrong with it. */
export type ReadCell = { value: unknown } | { message: string };

const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i;
const WORDS: Readonly<Record<string, boolean>> = {
  true: true,
  false: false,
  yes: true,
  no: false,
  '1': true,
  '0': false,
};

const READERS: Readonly<Record<TransferColumn['kind'], (cell: string, column: TransferColumn) => ReadCell>> = {
  id: (cell) => ({ value: cell.trim().toLowerCase() }),
  text: (cell) => ({ value: unescapeFormula(cell) }),
  number: readNumber,
  integer: readNumber,
  boolean: (cell) => {
    const value = WORDS[cell.trim().toLowerCase()];
    return value === undefined ? { message: 'must be true or false' } : { value };
  },
  instant: (cell) => ({ value: cell.trim() }),
  day: (cell) => ({ value: cell.trim() }),
  list: (cell, { name }) => {
    const words = cell.split(LIST_MARK).map((word) => word.trim());
    if (!holdsNumbers(name)) return { value: words };
    return words.every((word) => NUMBER.test(word))
      ? { value: words.map(Number) }
      : { message: 'must be numbers, parted by ;' };
  },
  json: (cell) => {
    try {
      return { value: JSON.parse(cell) as unknown };
    } catch {
      return { message: 'is no JSON' };
    }
  },
};

/** An empty cell says nothing, for which the column's usual value stands. */
export function readCell(cell: string, column: TransferColumn): ReadCell {
  return cell === '' ? { value: null } : READERS[column.kind](cell, column);
}

function readNumber(cell: string): ReadCell {
  const text = cell.trim();
  if (!NUMBER.test(text)) return { message: `must be a number, “${text.slice(0, 40)}” is none` };
  return { value: Number(text) };
}
