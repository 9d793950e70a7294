import { TRACE_COLUMNS, type TraceColumn } from './contract';
import { parseStoredTrace, type StoredTrace } from './stored';

export interface LineError {
  /** Of the file, from 1. */
  line: number;
  message: string;
}

/** What a table of text holds of a trace: as much as can be read, and what is wrong with the rest, line by line. */
export interface ReadTable {
  trace: StoredTrace | null;
  rows: number;
  errors: LineError[];
}

const MOST_ERRORS = 50;

/** Reads `seconds,grams,bar,celsius`, in any order, seconds among them; empty cells were not measured. */
export function traceFromTable(cells: readonly (readonly string[])[]): ReadTable {
  const [header = [], ...lines] = cells;
  const names = header.map((name) => name.trim().toLowerCase());
  const unknown = names.filter((name) => !TRACE_COLUMNS.some((column) => column === name));
  const fail = (message: string): ReadTable => ({ trace: null, rows: 0, errors: [{ line: 1, message }] });
  if (!names.includes('seconds')) return fail('the first line must name the columns, seconds among them');
  if (unknown.length > 0) return fail(`“${unknown[0]}” is no column of a trace: ${TRACE_COLUMNS.join(', ')}`);
  if (new Set(names).size < names.length) return fail('a column is named twice');
  const columns = [...(names as TraceColumn[])].sort((a, b) => TRACE_COLUMNS.indexOf(a) - TRACE_COLUMNS.indexOf(b));
  const errors: LineError[] = [];
  const rows: (number | null)[][] = [];
  let last = -Infinity;
  for (const [i, line] of lines.entries()) {
    if (line.every((cell) => cell.trim() === '')) continue;
    const values = columns.map((column) => numberIn(line[names.indexOf(column)] ?? ''));
    const wrong = columns.find((_, j) => Number.isNaN(values[j]));
    const seconds = values[0];
    if (wrong) errors.push({ line: i + 2, message: `${wrong} must be a number or empty` });
    else if (seconds === null) errors.push({ line: i + 2, message: 'seconds is empty' });
    else if (seconds! < last) errors.push({ line: i + 2, message: `goes back in time, to ${seconds} s` });
    else {
      last = seconds!;
      rows.push(values as (number | null)[]);
    }
  }
  const parsed = parseStoredTrace({ columns, rows, marks: [] });
  if (!parsed.ok) {
    const [first] = parsed.errors;
    const at = /^rows\[(\d+)\]/.exec(first!.path);
    errors.push({ line: at ? Number(at[1]) + 2 : 1, message: first!.message });
  }
  if (rows.length === 0 && errors.length === 0) errors.push({ line: 1, message: 'holds no readings' });
  return {
    trace: errors.length === 0 && parsed.ok ? parsed.trace : null,
    rows: rows.length,
    errors: errors.slice(0, MOST_ERRORS),
  };
}

/** As a table, its columns named first. */
export function tableOfTrace({ columns, rows }: StoredTrace): string[][] {
  return [[...columns], ...rows.map((row) => row.map((value) => (value === null ? '' : String(value))))];
}

/** A decimal comma is a point; null where nothing stands, not a number where it is none. */
function numberIn(cell: string): number | null {
  const text = cell.trim().replace(',', '.');
  return text === '' ? null : /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(text) ? Number(text) : NaN;
}
