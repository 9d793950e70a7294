import { MATCH_TASTES, type FieldError, type Match } from '@olvet/core';
import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';
import type { Client } from 'pg';
import { v5 } from 'uuid';
import { readCell, type ReadCell } from './cells';
import { columnsOf, type TransferColumn } from './columns';
import { recordsOf, Unreadable, type RecordIn, type RowIn } from './rowsIn';
import type { Staging } from './staging';
import { findTable } from './tables';
import { openPlain } from './zipIn';

dayjs.extend(customParseFormat);
dayjs.extend(utc);
dayjs.extend(timezone);

interface House {
  timeZone: string;
  stations: Map<string, { id: string; timer: string; coffeeId: string }>;
  byId: Map<string, { timer: string; coffeeId: string }>;
  coffees: Map<string, string>;
}

interface Matching {
  client: Client;
  shopId: string;
  path: string;
  name: string;
  match: Match;
  staging: Staging;
}

const key = (name: string): string => name.trim().toLowerCase();

/** Reads a stranger's file by what its columns were said to be: shots with what was tasted of them, or coffees. */
export async function rowsByMatch({ client, shopId, path, name, match, staging }: Matching): Promise<void> {
  const house = await houseOf(client, shopId);
  const read = async (table: string, rowsOf: (record: RecordIn) => RowIn | null): Promise<void> =>
    staging.addFile(name, findTable(table)!, rowsBy(path, match, rowsOf));
  const make = new RowMaker(match, house, shopId);
  if (match.table === 'coffees') return read('coffees', (record) => make.coffee(record));
  // What a shot refers to is staged before it, what hangs on it after.
  await read('coffees', (record) => make.newCoffee(record));
  await read('shots', (record) => make.shot(record));
  if (MATCH_TASTES.some((taste) => match.columns.includes(taste)))
    await read('tastings', (record) => make.tasting(record));
}

async function* rowsBy(path: string, match: Match, rowOf: (record: RecordIn) => RowIn | null): AsyncGenerator<RowIn> {
  let isHeader = true;
  for await (const record of recordsOf(openPlain(path), match.delimiter)) {
    if (isHeader && record.cells.length !== match.columns.length) {
      throw new Unreadable(`Its first line has ${record.cells.length} columns, ${match.columns.length} were matched.`);
    }
    const row = isHeader ? null : rowOf(record);
    isHeader = false;
    if (row) yield row;
  }
}

async function houseOf(client: Client, shopId: string): Promise<House> {
  const { rows: shops } = await client.query<{ timeZone: string }>('SELECT "timeZone" FROM shops WHERE "id" = $1', [
    shopId,
  ]);
  const { rows: stations } = await client.query<{ id: string; name: string; timer: string; coffeeId: string }>(
    `SELECT "id", "name", "target" ->> 'timer' AS timer, "coffeeId" FROM stations WHERE "shopId" = $1`,
    [shopId],
  );
  const { rows: coffees } = await client.query<{ id: string; name: string }>(
    'SELECT "id", "name" FROM coffees WHERE "shopId" = $1',
    [shopId],
  );
  return {
    timeZone: shops[0]!.timeZone,
    stations: new Map(stations.map((station) => [key(station.name), station])),
    byId: new Map(stations.map((station) => [station.id, station])),
    coffees: new Map(coffees.map(({ id, name }) => [key(name), id])),
  };
}

class RowMaker {
  private readonly put = new Map<string, string>();
  private readonly seen = new Map<number, string>();
  private readonly made = new Set<string>();

  constructor(
    private readonly match: Match,
    private readonly house: House,
    private readonly shopId: string,
  ) {}

  coffee(record: RecordIn): RowIn {
    const { row, errors } = this.read(record, 'coffees');
    return { line: record.line, row: { roast: this.match.newRoast, ...withoutNothing(row) }, errors };
  }

  /** A coffee that is not on the shelf yet, once. */
  newCoffee(record: RecordIn): RowIn | null {
    const name = this.cell(record, 'coffee').trim();
    const { newRoast } = this.match;
    if (name === '' || newRoast === null || this.house.coffees.has(key(name)) || this.put.has(key(name))) return null;
    const id = v5(`coffee ${key(name)}`, this.shopId);
    this.put.set(key(name), id);
    return { line: record.line, row: { id, name, roast: newRoast }, errors: [] };
  }

  shot(record: RecordIn): RowIn {
    const { row, errors } = this.read(record, 'shots');
    const coffee = this.cell(record, 'coffee').trim();
    const stationName = this.cell(record, 'station').trim();
    const stationId =
      stationName === '' ? this.match.stationId : (this.house.stations.get(key(stationName))?.id ?? null);
    const station = stationId === null ? undefined : this.house.byId.get(stationId);
    const coffeeId = coffee === '' ? (station?.coffeeId ?? null) : this.coffeeId(coffee);
    if (!station)
      errors.push({ path: 'station', message: stationName ? `“${stationName}” is no station here` : 'is missing' });
    if (coffee !== '' && !coffeeId) errors.push({ path: 'coffee', message: `“${coffee}” is not on the shelf` });
    const id = this.shotId(record, row, errors.length > 0);
    const shot = { timer: station?.timer, ...row, id, stationId, coffeeId, kind: 'service' };
    return { line: record.line, row: shot, errors };
  }

  /** What was tasted of the shot in the same line. */
  tasting(record: RecordIn): RowIn | null {
    const { row, errors } = this.read(record, 'tastings');
    const id = this.seen.get(record.line);
    if (errors.length > 0 || !id || Object.keys(withoutNothing(row)).length === 0) return null;
    return { line: record.line, row: { ...row, id: v5('tasting', id), shotId: id }, errors };
  }

  private coffeeId(name: string): string | null {
    return this.house.coffees.get(key(name)) ?? this.put.get(key(name)) ?? null;
  }

  /** The same line of the same file is the same shot, however often it is read. */
  private shotId({ line, cells }: RecordIn, row: Record<string, unknown>, isRefused: boolean): string {
    const id = v5(JSON.stringify([row.pulledAt ?? line, cells]), this.shopId);
    const own = this.made.has(id) ? v5(String(line), id) : id;
    this.made.add(own);
    // What hangs on a shot that cannot come in is not spoken of.
    if (!isRefused) this.seen.set(line, own);
    return own;
  }

  private cell({ cells }: RecordIn, target: string): string {
    const at = this.match.columns.indexOf(target);
    return at < 0 ? '' : (cells[at] ?? '');
  }

  /** The cells that are columns of this table. */
  private read(record: RecordIn, tableName: string): { row: Record<string, unknown>; errors: FieldError[] } {
    const row: Record<string, unknown> = {};
    const errors: FieldError[] = [];
    for (const column of columnsOf(findTable(tableName)!)) {
      const cell = this.cell(record, column.header).trim();
      if (cell === '') continue;
      const read = column.header === 'pulled_at' ? this.instant(cell, row) : this.figure(cell, column);
      if ('message' in read) errors.push({ path: column.header, message: read.message });
      else row[column.name] = read.value;
    }
    return { row, errors };
  }

  private figure(cell: string, column: TransferColumn): ReadCell {
    if (column.kind !== 'number' && column.kind !== 'integer') return readCell(cell, column);
    const clock = /^(\d+):([0-5]\d)([.,]\d+)?$/.exec(cell);
    if (clock && column.header.endsWith('_s')) {
      return { value: Number(clock[1]) * 60 + Number(clock[2]) + Number((clock[3] ?? '0').replace(',', '.')) };
    }
    const bare = cell.replace(/(?<=\d)\s*[a-z°%]+$/i, '');
    return readCell(
      this.match.decimal === ',' ? bare.replaceAll('.', '').replace(',', '.') : bare.replaceAll(',', ''),
      column,
    );
  }

  /** A day alone is its noon, with the hour unknown. */
  private instant(cell: string, row: Record<string, unknown>): ReadCell {
    if (/(Z|[+-]\d\d:\d\d)$/.test(cell)) return { value: cell };
    const text = cell.replace('T', ' ').replace(/[./]/g, '-');
    for (const [form, hasHour] of FORMS[this.match.dates]) {
      if (!dayjs(text, form, true).isValid()) continue;
      row.hourKnown = hasHour;
      const at = dayjs.tz(hasHour ? text : `${text} 12:00`, hasHour ? form : `${form} HH:mm`, this.house.timeZone);
      return { value: at.toISOString() };
    }
    return { message: `“${cell.slice(0, 30)}” is no date of this order` };
  }
}

const DAYS = {
  ymd: ['YYYY-MM-DD', 'YYYY-M-D'],
  dmy: ['DD-MM-YYYY', 'D-M-YYYY', 'DD-MM-YY'],
  mdy: ['MM-DD-YYYY', 'M-D-YYYY', 'MM-DD-YY'],
} as const;
const HOURS = ['', ' HH:mm', ' H:mm', ' HH:mm:ss', ' HH:mm:ss.SSS', ' h:mm A', ' h:mm a'];

/** Every form a date of this order may have, and whether it says the hour. */
const FORMS: Readonly<Record<Match['dates'], (readonly [string, boolean])[]>> = {
  ymd: formsOf(DAYS.ymd),
  dmy: formsOf(DAYS.dmy),
  mdy: formsOf(DAYS.mdy),
};

function formsOf(days: readonly string[]): (readonly [string, boolean])[] {
  return days.flatMap((day) => HOURS.map((hour) => [day + hour, hour !== ''] as const));
}

const withoutNothing = (row: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(row).filter(([, value]) => value != null));
