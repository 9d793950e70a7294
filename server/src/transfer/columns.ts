import type { DataType, ModelAttributeColumnOptions } from 'sequelize';
import type { TransferTable } from './tables';

export type ColumnKind = 'id' | 'text' | 'number' | 'integer' | 'boolean' | 'instant' | 'day' | 'list' | 'json';

export interface TransferColumn {
  /** In the file: lower case, the unit at its end. */
  header: string;
  /** In the database and in JSON. */
  name: string;
  kind: ColumnKind;
  isRequired: boolean;
}

const KINDS: Readonly<Record<string, ColumnKind>> = {
  UUID: 'id',
  TEXT: 'text',
  'DOUBLE PRECISION': 'number',
  INTEGER: 'integer',
  BOOLEAN: 'boolean',
  DATE: 'instant',
  DATEONLY: 'day',
  JSONB: 'json',
};

/** Plain values in one cell, parted by this. */
export const LIST_MARK = ';';

/** JSON columns that hold a list of words or of numbers. */
const LISTS: Readonly<Record<string, 'words' | 'numbers'>> = {
  cupGrams: 'numbers',
  firstDripReadings: 'numbers',
  assumed: 'words',
  looks: 'words',
  done: 'words',
  checkTimes: 'words',
};

export const holdsNumbers = (name: string): boolean => LISTS[name] === 'numbers';

/** Units as they end the name of a column. */
const UNITS: readonly (readonly [RegExp, string])[] = [
  [/Grams$/, '_g'],
  [/Seconds$/, '_s'],
  [/Minutes$/, '_min'],
  [/Percent$/, '_percent'],
  [/Ml$/, '_ml'],
  [/Mm$/, '_mm'],
  [/Kg$/, '_kg'],
  [/(?<=altitude)M$/, '_m'],
  [/(?<=[a-z])C$/, '_c'],
];

/** `doseGrams` is `dose_g` in a file. */
export function headerOf(name: string): string {
  const unit = UNITS.find(([ending]) => ending.test(name));
  const [stem, suffix] = unit ? [name.replace(unit[0], ''), unit[1]] : [name, ''];
  return stem.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`).replace(/^_/, '') + suffix;
}

/** The columns of a table in the order of its model; the shop's id stays at home. */
export function columnsOf({ model, key }: TransferTable): TransferColumn[] {
  const attributes = Object.entries(model.getAttributes()).filter(
    ([name, { type }]) => name !== 'shopId' && typeName(type) !== 'VIRTUAL',
  );
  const columns = attributes.map(([name, attribute]) => columnOf(name, attribute));
  const first = (column: TransferColumn): number => (key.includes(column.name) ? 0 : 1);
  return columns.sort((a, b) => first(a) - first(b));
}

function columnOf(name: string, { type, defaultValue }: ModelAttributeColumnOptions): TransferColumn {
  const kind = name in LISTS ? 'list' : KINDS[typeName(type)];
  if (!kind) throw new TypeError(`transfer: no form for ${name} of type ${typeName(type)}`);
  return { header: headerOf(name), name, kind, isRequired: defaultValue === undefined };
}

function typeName(type: DataType): string {
  return typeof type === 'string' ? type : (type as unknown as { key: string }).key;
}
