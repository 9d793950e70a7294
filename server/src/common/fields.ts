import { applyDecorators } from '@nestjs/common';
import { ApiProperty, ApiPropertyOptional, type ApiPropertyOptions } from '@nestjs/swagger';
import { isCurrency, isTimeZone, METHOD_IDS, parseStoredTrace, SMALLEST_STEP, TRACE_COLUMNS } from '@olvet/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  registerDecorator,
  ValidateNested,
  type ValidationArguments,
} from 'class-validator';

interface Common {
  /** May be left out or null; stored as null. */
  optional?: boolean;
  description?: string;
}

function documented(common: Common, api: ApiPropertyOptions, ...rules: PropertyDecorator[]): PropertyDecorator {
  const options = { ...api, description: common.description } as ApiPropertyOptions;
  return common.optional
    ? applyDecorators(ApiPropertyOptional({ ...options, nullable: true } as ApiPropertyOptions), IsOptional(), ...rules)
    : applyDecorators(ApiProperty(options), ...rules);
}

/** A finite number inside its range; the message says the range. */
export function NumberField(field: Common & { min: number; max: number; integer?: boolean }): PropertyDecorator {
  const { min, max, integer } = field;
  const range = { message: `must be between ${min} and ${max}` };
  const kind = integer
    ? IsInt({ message: 'must be a whole number' })
    : IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'must be a number' });
  const api = { type: integer ? 'integer' : 'number', minimum: min, maximum: max } as ApiPropertyOptions;
  return documented(field, api, kind, Min(min, range), Max(max, range));
}

/** A list of finite numbers, each inside the range. */
export function NumberListField(field: Common & { min: number; max: number; maxItems: number }): PropertyDecorator {
  const { min, max, maxItems } = field;
  const range = { each: true, message: `must hold numbers between ${min} and ${max}` };
  return documented(
    field,
    { type: [Number] } as ApiPropertyOptions,
    IsArray({ message: 'must be a list' }),
    ArrayMaxSize(maxItems, { message: `must have at most ${maxItems} entries` }),
    IsNumber({ allowNaN: false, allowInfinity: false }, range),
    Min(min, range),
    Max(max, range),
  );
}

/** Text without control characters; where it must not be empty it is words, not blanks or dashes alone. */
export function TextField(field: Common & { min?: number; max: number }): PropertyDecorator {
  const { min = 0, max } = field;
  const words = min > 0 ? [Matches(/[\p{L}\p{N}]/u, { message: 'must hold a letter or a number' })] : [];
  return documented(
    field,
    { type: String, minLength: min, maxLength: max },
    IsString({ message: 'must be text' }),
    MinLength(min, { message: 'must not be empty' }),
    MaxLength(max, { message: `must have at most ${max} characters` }),
    // PostgreSQL cannot store a zero byte, and no name needs the other control characters.
    // eslint-disable-next-line no-control-regex
    Matches(/^[^\u0000-\u0008\u000b\u000c\u000e-\u001f\ud800-\udfff]*$/u, { message: 'must be plain text' }),
    ...words,
  );
}

export function ChoiceField<T extends string>(field: Common & { of: readonly T[]; name: string }): PropertyDecorator {
  return documented(
    field,
    { enum: [...field.of], enumName: field.name } as ApiPropertyOptions,
    IsIn([...field.of], { message: `must be one of ${field.of.join(', ')}` }),
  );
}

export function BooleanField(field: Common = {}): PropertyDecorator {
  return documented(field, { type: Boolean }, IsBoolean({ message: 'must be true or false' }));
}

/** An id made by the client: a UUID, version 7 by preference. */
export function IdField(field: Common = {}): PropertyDecorator {
  return documented(field, { type: String, format: 'uuid' }, IsUUID('all', { message: 'must be a UUID' }));
}

/** A list of ids, none twice. */
export function IdListField(field: Common & { maxItems: number }): PropertyDecorator {
  return documented(
    field,
    { type: [String] } as ApiPropertyOptions,
    IsArray({ message: 'must be a list' }),
    ArrayMaxSize(field.maxItems, { message: `must have at most ${field.maxItems} entries` }),
    ArrayUnique({ message: 'must not name one twice' }),
    IsUUID('all', { each: true, message: 'must hold UUIDs' }),
  );
}

const INSTANT = 'must be a date and time like 2026-03-01T06:41:00Z or 2026-03-01T08:41:00+02:00';

const EARLIEST_YEAR = 2000;
/** A day may already have begun elsewhere on earth, and a tablet's clock may be fast. */
const AHEAD_MS = 26 * 3600 * 1000;

/** Everything recorded here has happened, and not before there was such a shop. */
function HasHappened(): PropertyDecorator {
  return (target, property) =>
    registerDecorator({
      name: 'hasHappened',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown) => {
          const at = Date.parse(String(value));
          return at >= Date.UTC(EARLIEST_YEAR, 0, 1) && at <= Date.now() + AHEAD_MS;
        },
        defaultMessage: () => `must lie between the year ${EARLIEST_YEAR} and now: check the date`,
      },
    });
}

/** An instant that has passed, ISO 8601 with offset. */
export function InstantField(field: Common = {}): PropertyDecorator {
  return documented(
    field,
    { type: String, format: 'date-time' },
    HasHappened(),
    IsISO8601({ strict: true }, { message: INSTANT }),
    // One form only: halves of minutes and offsets beyond a day's are ISO 8601 to some and nothing to others.
    Matches(/^(19|20)\d\d-\d\d-\d\dT\d\d:\d\d(:\d\d([.]\d{1,9})?)?(Z|[+-](0\d|1[0-4]):[0-5]\d)$/, { message: INSTANT }),
  );
}

/** A calendar day that has begun, YYYY-MM-DD. */
export function DayField(field: Common = {}): PropertyDecorator {
  return documented(
    field,
    { type: String, format: 'date' },
    HasHappened(),
    IsISO8601({ strict: true }, { message: 'must be a day like 2026-03-01' }),
    Matches(/^(19|20)\d\d-\d\d-\d\d$/, { message: 'must be a day like 2026-03-01' }),
  );
}

/** The IANA name of a time zone. */
export function TimeZoneField(field: Common): PropertyDecorator {
  return documented(field, { type: String }, Known(isTimeZone, 'must be the name of a time zone, like Europe/Lisbon'));
}

/** An ISO 4217 code that is in use. */
export function CurrencyField(): PropertyDecorator {
  const api = { type: String, minLength: 3, maxLength: 3 };
  return documented({ description: 'ISO 4217' }, api, Known(isCurrency, 'must be the code of a currency, like EUR'));
}

function Known(isKnown: (text: string) => boolean, message: string): PropertyDecorator {
  return (target, property) =>
    registerDecorator({
      name: 'isKnown',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown) => typeof value === 'string' && isKnown(value),
        defaultMessage: () => message,
      },
    });
}

/** A method that ships, by its name, or one of the shop's own, by its id. */
export function MethodIdField(): PropertyDecorator {
  const uuid = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
  return documented(
    { description: `One of ${METHOD_IDS.join(', ')}, or the id of one of your own` },
    { type: String },
    IsString({ message: 'must be text' }),
    Matches(new RegExp(`^(${METHOD_IDS.join('|')}|${uuid})$`, 'i'), {
      message: `must be one of ${METHOD_IDS.join(', ')}, or the id of one of your own`,
    }),
  );
}

/** A nested object, validated with its own rules. */
export function PartField<T>(type: () => new () => T, field: Common & { many?: boolean; maxItems?: number } = {}) {
  const rules = [ValidateNested({ each: field.many, message: 'must be an object' }), IsPart(field.many), Type(type)];
  if (field.many) rules.push(IsArray({ message: 'must be a list' }));
  if (field.maxItems)
    rules.push(ArrayMaxSize(field.maxItems, { message: `must have at most ${field.maxItems} entries` }));
  return documented(field, { type: field.many ? [type()] : type() } as ApiPropertyOptions, ...rules);
}

/** An object, or a list of objects: a list where one object belongs has no fields to be refused for. */
function IsPart(many = false): PropertyDecorator {
  const isObject = (value: unknown): boolean => typeof value === 'object' && value !== null && !Array.isArray(value);
  return (target, property) =>
    registerDecorator({
      name: 'isPart',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown) => (many ? Array.isArray(value) && value.every(isObject) : isObject(value)),
        defaultMessage: () => (many ? 'must be a list of objects' : 'must be an object'),
      },
    });
}

/** What scale and machine said while a shot ran: columns, rows and marks, as core reads them. */
export function TraceField(field: Common): PropertyDecorator {
  const number = { type: 'number', nullable: true };
  const mark = { kind: { type: 'string' }, seconds: { type: 'number' }, clock: { type: 'integer', nullable: true } };
  const properties = {
    columns: { type: 'array', items: { type: 'string', enum: [...TRACE_COLUMNS] }, example: ['seconds', 'grams'] },
    rows: { type: 'array', items: { type: 'array', items: number }, example: [[0, 0]] },
    marks: { type: 'array', items: { type: 'object', properties: mark, required: ['kind', 'seconds'] }, example: [] },
  };
  const complaint = (value: unknown): string | null => {
    const parsed = parseStoredTrace(value);
    if (parsed.ok) return null;
    const { path, message } = parsed.errors[0]!;
    return path ? `${path} ${message}` : message;
  };
  const rule: PropertyDecorator = (target, property) =>
    registerDecorator({
      name: 'isTrace',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown) => complaint(value) === null,
        defaultMessage: (args?: ValidationArguments) => complaint(args?.value) ?? '',
      },
    });
  const api = { type: 'object', properties, required: ['columns', 'rows', 'marks'] };
  return documented(field, api as unknown as ApiPropertyOptions, rule);
}

/** Cross-field rule: this number must lie above (or at) another one of the same object, which is `called` so where people read it. */
export function NotBelow(other: string, called: string, options: { strictly?: boolean } = {}): PropertyDecorator {
  return (target, property) =>
    registerDecorator({
      name: 'notBelow',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate(value: unknown, args?: ValidationArguments) {
          const low = (args!.object as Record<string, unknown>)[other];
          if (typeof value !== 'number' || typeof low !== 'number') return true;
          // Less between the two than the smallest step is nothing that could be set.
          return options.strictly ? value - low >= SMALLEST_STEP : value >= low;
        },
        defaultMessage: () => `must ${options.strictly ? 'be above' : 'not be below'} ${called}`,
      },
    });
}

/** Cross-field rule: a step is never larger than the scale from `min` to `max`, nor finer than any collar's. */
export function StepWithinScale(): PropertyDecorator {
  const problemOf = (value: unknown, args?: ValidationArguments): string | null => {
    const { min, max } = args!.object as { min: number; max: number };
    if (typeof value !== 'number') return null;
    if (value > 0 && value < SMALLEST_STEP) return `must be at least ${SMALLEST_STEP}`;
    return max > min && value > max - min ? 'must not be larger than the whole scale' : null;
  };
  return (target, property) =>
    registerDecorator({
      name: 'stepWithinScale',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown, args?: ValidationArguments) => problemOf(value, args) === null,
        defaultMessage: (args?: ValidationArguments) => problemOf(args?.value, args) ?? '',
      },
    });
}

/** A time of the day, HH:MM. */
export function ClockTimeField(field: Common): PropertyDecorator {
  return documented(
    field,
    { type: String, pattern: CLOCK_TIME.source, example: '12:00' },
    IsString({ message: 'must be text' }),
    Matches(CLOCK_TIME, { message: 'must be a time like 08:30' }),
  );
}

const CLOCK_TIME = /^([01]\d|2[0-3]):[0-5]\d$/;

/** Times of the day, each HH:MM and none twice. */
export function ClockTimesField(field: Common & { maxItems: number }): PropertyDecorator {
  return documented(
    field,
    { type: [String] } as ApiPropertyOptions,
    IsArray({ message: 'must be a list' }),
    ArrayMaxSize(field.maxItems, { message: `must have at most ${field.maxItems} entries` }),
    ArrayUnique({ message: 'must not name a time twice' }),
    Matches(CLOCK_TIME, { each: true, message: 'must hold times like 08:30' }),
  );
}

/** A list of words, each from the choice and none twice. */
export function ChoiceListField<T extends string>(
  field: Common & { of: readonly T[]; name: string },
): PropertyDecorator {
  return documented(
    field,
    { enum: [...field.of], enumName: field.name, isArray: true } as ApiPropertyOptions,
    IsArray({ message: 'must be a list' }),
    ArrayMaxSize(field.of.length, { message: `must have at most ${field.of.length} entries` }),
    IsIn([...field.of], { each: true, message: `must hold only ${field.of.join(', ')}` }),
  );
}
