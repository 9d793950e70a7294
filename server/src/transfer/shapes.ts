import type { FieldError } from '@olvet/core';
import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { TransferTable } from './tables';
import { columnsOf, type ColumnKind, type TransferColumn } from './columns';

type Row = Record<string, unknown>;
type Schema = { [key: string]: unknown };

/** The description of the API stands beside the packages, in a clone as where it is served. */
const DOCUMENT = join(dirname(require.resolve('@olvet/server/package.json')), '..', 'docs', 'openapi.json');
const REF = '#/components/schemas/';

/** What a column may hold where the API shows nothing of it. */
const BY_KIND: Readonly<Record<ColumnKind, Schema>> = {
  id: { type: 'string', format: 'uuid' },
  text: { type: 'string', maxLength: 4000 },
  number: { type: 'number' },
  integer: { type: 'integer' },
  boolean: { type: 'boolean' },
  instant: { type: 'string', format: 'date-time' },
  day: { type: 'string', format: 'date' },
  list: { type: 'array', maxItems: 100, items: { type: ['string', 'number'] } },
  json: false as unknown as Schema,
};

/** Control characters no text needs, the first of which PostgreSQL cannot store. */
// eslint-disable-next-line no-control-regex
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f]/;

/** The same byte as JSON writes it. */
const ESCAPED_ZERO = /(?<!\\)(\\\\)*\\u0000/;

/** An instant is PostgreSQL's and everybody's; years are those there were such shops. */
const INSTANT = /^(19[7-9]\d|20\d\d)-\d\d-\d\dT\d\d:\d\d(:\d\d([.]\d{1,9})?)?(Z|[+-](0\d|1[0-4]):[0-5]\d)$/;

/** Checks the rows of one table against what the API says it shows of them. */
export type RowCheck = (row: Row) => FieldError[];

let shapes: { ajv: Ajv; components: Record<string, Schema> } | null = null;

function loaded(): NonNullable<typeof shapes> {
  if (shapes) return shapes;
  const document = JSON.parse(readFileSync(DOCUMENT, 'utf8')) as { components: { schemas: Record<string, Schema> } };
  const components = withoutNulls(document.components.schemas) as Record<string, Schema>;
  const ajv = new Ajv({ allErrors: true, strict: false, verbose: true });
  addFormats(ajv);
  ajv.addFormat('date-time', INSTANT);
  ajv.addSchema({ $id: 'olvet', components: { schemas: components } });
  shapes = { ajv, components };
  return shapes;
}

const checks = new Map<string, RowCheck>();

/** @throws TypeError where a column of JSON has no schema: nothing unchecked comes in */
export function rowCheckOf(table: TransferTable): RowCheck {
  const known = checks.get(table.name) ?? makeCheck(table);
  checks.set(table.name, known);
  return known;
}

function makeCheck(table: TransferTable): RowCheck {
  const { ajv, components } = loaded();
  const shown = (components[table.view]?.properties ?? {}) as Record<string, Schema>;
  const named = (name: string): Schema | undefined => absolute((table.schemas?.[name] as Schema) ?? shown[name]);
  const columns = columnsOf(table);
  const properties = Object.fromEntries(
    columns.map((column) => {
      const schema = named(column.name) ?? BY_KIND[column.kind];
      if (schema === BY_KIND.json) throw new TypeError(`transfer: ${table.name}.${column.name} has no schema`);
      return [column.name, column.kind === 'instant' ? BY_KIND.instant : schema];
    }),
  );
  const check = ajv.compile({ type: 'object', properties, additionalProperties: false });
  const written = columns.filter(({ kind }) => kind === 'text' || kind === 'json' || kind === 'list');
  return (row) => [...errorsOf(check, row, written), ...controls(row, written)];
}

/** References of a part, read from outside the document. */
function absolute(schema: Schema | undefined): Schema | undefined {
  return schema && (JSON.parse(JSON.stringify(schema).replaceAll(`"${REF}`, `"olvet${REF}`)) as Schema);
}

/** @param row without nulls but for those deep in its JSON */
function errorsOf(check: ValidateFunction, row: Row, written: readonly TransferColumn[]): FieldError[] {
  const parts = written.filter(({ name, kind }) => kind === 'json' && row[name] !== undefined);
  const deep = parts.map(({ name }) => [name, withoutNull(row[name])]);
  if (check(parts.length > 0 ? { ...row, ...(Object.fromEntries(deep) as Row) } : row)) return [];
  const errors = (check.errors ?? []).filter(({ keyword }) => !['anyOf', 'allOf'].includes(keyword));
  return errors.map((error) => ({ path: pathOf(error), message: messageOf(error) }));
}

const pathOf = ({ instancePath, keyword, params }: ErrorObject): string => {
  const path = instancePath.slice(1).replaceAll('/', '.');
  const more = { required: params.missingProperty, additionalProperties: params.additionalProperty } as Schema;
  return [path, more[keyword]].filter((part) => part !== undefined && part !== '').join('.');
};

type Said = (error: ErrorObject) => string;
const range: Said = ({ parentSchema: { minimum, maximum } = {} }) => `must be between ${minimum} and ${maximum}`;
const MESSAGES: Readonly<Record<string, Said>> = {
  minimum: range,
  maximum: range,
  enum: ({ params }) => `must be one of ${(params.allowedValues as unknown[]).join(', ')}`,
  maxLength: ({ params }) => `must have at most ${params.limit} characters`,
  minLength: () => 'must not be empty',
  maxItems: ({ params }) => `must have at most ${params.limit} entries`,
  required: () => 'is missing',
  additionalProperties: () => 'is not a field here',
  format: ({ params }) => FORMATS[params.format as string] ?? `must be a ${params.format}`,
  type: ({ params }) => `must be ${[params.type].flat().join(' or ')}`,
};
const FORMATS: Readonly<Record<string, string>> = {
  uuid: 'must be a UUID',
  'date-time': 'must be a date and time like 2026-03-01T06:41:00Z',
  date: 'must be a day like 2026-03-01',
};
const messageOf: Said = (error) => MESSAGES[error.keyword]?.(error) ?? `${error.message}`;

function controls(row: Row, columns: readonly TransferColumn[]): FieldError[] {
  return columns.flatMap(({ name, kind }) => {
    const value = row[name];
    if (value === undefined) return [];
    const isBroken =
      typeof value === 'string' ? CONTROL.test(value) : kind === 'json' && ESCAPED_ZERO.test(JSON.stringify(value));
    return isBroken ? [{ path: name, message: 'must be plain text' }] : [];
  });
}

/** Nothing said is as if it were left out, however deep; what stands in a list stays. */
function withoutNull(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return Array.isArray(value) ? value.map((each) => (each === null ? null : withoutNull(each))) : value;
  }
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, each]) => (each === null ? [] : [[key, withoutNull(each)]])),
  );
}

/** What may be null is optional instead: OpenAPI 3.0 has no other word for it, and JSON Schema has another one. */
function withoutNulls(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutNulls);
  if (typeof value !== 'object' || value === null) return value;
  const { anyOf, required, properties, ...rest } = value as Schema;
  const schema = Object.fromEntries(Object.entries(rest).map(([key, each]) => [key, withoutNulls(each)])) as Schema;
  if (properties) {
    schema.properties = withoutNulls(properties);
    const isOptional = (name: string): boolean => isNullable((properties as Record<string, Schema>)[name]);
    schema.required = ((required ?? []) as string[]).filter((name) => !isOptional(name));
  }
  if (anyOf) {
    const branches = (anyOf as Schema[]).filter((branch) => !isNull(branch)).map(withoutNulls);
    schema.anyOf = branches;
  }
  return schema;
}

const isNull = ({ enum: values }: Schema): boolean => Array.isArray(values) && values.every((each) => each === null);
const isNullable = (schema: Schema | undefined): boolean =>
  schema?.nullable === true || ((schema?.anyOf ?? []) as Schema[]).some(isNull);
