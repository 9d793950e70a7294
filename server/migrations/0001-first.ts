import type { Migration } from '../src/database/migration';

/**
 * Every row belongs to a shop, and every key starts with it: two shops may hold the same id, and no foreign key can
 * reach into another shop.
 */
const owned = `
  "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE,
  "id" uuid NOT NULL,
  "revision" integer NOT NULL DEFAULT 1,
  "createdAt" timestamptz NOT NULL DEFAULT now(),
  "updatedAt" timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY ("shopId", "id")`;
const to = (column: string, table: string): string =>
  `FOREIGN KEY ("shopId", "${column}") REFERENCES ${table} ("shopId", "id")`;

export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE shops (
    "id" uuid PRIMARY KEY, "name" text NOT NULL, "currency" text NOT NULL DEFAULT 'EUR',
    "temperatureUnit" text NOT NULL DEFAULT 'C', "isDemo" boolean NOT NULL DEFAULT false,
    "revision" integer NOT NULL DEFAULT 1,
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now())`);
  await run(`CREATE TABLE grinders (
    "name" text NOT NULL, "min" double precision NOT NULL, "max" double precision NOT NULL,
    "step" double precision NOT NULL, "finer" text NOT NULL, "dosing" text NOT NULL,
    "purgeGrams" double precision NOT NULL, "learnedSlope" jsonb, "retiredAt" timestamptz, ${owned},
    UNIQUE ("shopId", "name"))`);
  await run(`CREATE TABLE machines (
    "name" text NOT NULL, "temperatureC" jsonb, "retiredAt" timestamptz, ${owned}, UNIQUE ("shopId", "name"))`);
  await run(`CREATE TABLE baskets (
    "name" text NOT NULL, "nominalGrams" double precision NOT NULL, "minGrams" double precision NOT NULL,
    "maxGrams" double precision NOT NULL, "retiredAt" timestamptz, ${owned}, UNIQUE ("shopId", "name"))`);
  await run(`CREATE TABLE coffees (
    "name" text NOT NULL, "roaster" text NOT NULL DEFAULT '', "origin" text NOT NULL DEFAULT '',
    "process" text NOT NULL DEFAULT '', "altitudeM" integer, "roast" text NOT NULL, "notes" text NOT NULL DEFAULT '',
    "retiredAt" timestamptz, ${owned}, UNIQUE ("shopId", "name"))`);
  await run(`CREATE TABLE bags (
    "coffeeId" uuid NOT NULL, "roastedOn" date, "openedOn" date, "weightGrams" double precision NOT NULL,
    "priceCents" integer, "finishedAt" timestamptz, ${owned}, ${to('coffeeId', 'coffees')})`);
  await run(`CREATE INDEX bags_by_coffee ON bags ("shopId", "coffeeId", "roastedOn" DESC)`);
  await run(`CREATE TABLE stations (
    "name" text NOT NULL, "position" integer NOT NULL DEFAULT 0, "grinderId" uuid NOT NULL, "machineId" uuid NOT NULL,
    "basketId" uuid NOT NULL, "coffeeId" uuid NOT NULL, "methodId" text NOT NULL, "target" jsonb NOT NULL,
    "grind" double precision, "retiredAt" timestamptz, ${owned},
    UNIQUE ("shopId", "name"), ${to('grinderId', 'grinders')}, ${to('machineId', 'machines')},
    ${to('basketId', 'baskets')}, ${to('coffeeId', 'coffees')})`);
  await run(`CREATE TABLE runs (
    "stationId" uuid NOT NULL, "grinderId" uuid NOT NULL, "machineId" uuid NOT NULL, "basketId" uuid NOT NULL,
    "coffeeId" uuid NOT NULL, "methodId" text NOT NULL, "target" jsonb NOT NULL, "goal" text NOT NULL DEFAULT '',
    "startGrind" double precision, "status" text NOT NULL DEFAULT 'open',
    "startedAt" timestamptz NOT NULL, "endedAt" timestamptz, ${owned},
    ${to('stationId', 'stations')}, ${to('grinderId', 'grinders')}, ${to('machineId', 'machines')},
    ${to('basketId', 'baskets')}, ${to('coffeeId', 'coffees')})`);
  await run(`CREATE INDEX runs_by_time ON runs ("shopId", "startedAt" DESC)`);
  await run(`CREATE INDEX runs_open ON runs ("shopId", "stationId", "startedAt" DESC) WHERE "status" = 'open'`);
  await run(`CREATE INDEX runs_by_station ON runs ("shopId", "stationId", "startedAt" DESC)`);
  await run(`CREATE TABLE shots (
    "runId" uuid, "stationId" uuid NOT NULL, "pulledAt" timestamptz NOT NULL,
    "grind" double precision, "doseGrams" double precision, "yieldGrams" double precision,
    "temperatureC" double precision, "planned" jsonb, "timeSeconds" double precision, "timer" text NOT NULL,
    "firstDripSeconds" double precision, "tdsPercent" double precision, "seen" jsonb NOT NULL DEFAULT '[]',
    "purged" boolean NOT NULL DEFAULT true, "verdict" text, "note" text NOT NULL DEFAULT '',
    "discardedAt" timestamptz, ${owned}, ${to('runId', 'runs')}, ${to('stationId', 'stations')})`);
  await run(`CREATE INDEX shots_by_run ON shots ("shopId", "runId", "pulledAt") WHERE "runId" IS NOT NULL`);
  await run(`CREATE INDEX shots_by_station ON shots ("shopId", "stationId", "pulledAt" DESC)`);
  await run(`CREATE TABLE shot_edits (
    "shopId" uuid NOT NULL, "shotId" uuid NOT NULL, "revision" integer NOT NULL, "before" jsonb NOT NULL,
    "editedAt" timestamptz NOT NULL DEFAULT now(), PRIMARY KEY ("shopId", "shotId", "revision"),
    FOREIGN KEY ("shopId", "shotId") REFERENCES shots ("shopId", "id") ON DELETE CASCADE)`);
  await run(`CREATE TABLE tastings (
    "shotId" uuid NOT NULL, "person" text NOT NULL DEFAULT '', "balance" double precision, "body" double precision,
    "dryness" double precision, "sweetness" double precision, "overall" double precision,
    "words" text NOT NULL DEFAULT '', ${owned}, ${to('shotId', 'shots')} ON DELETE CASCADE)`);
  await run(`CREATE INDEX tastings_by_shot ON tastings ("shopId", "shotId", "createdAt")`);
  await run(`CREATE TABLE cards (
    "name" text NOT NULL, "coffeeId" uuid NOT NULL, "stationId" uuid NOT NULL, "purpose" text NOT NULL DEFAULT 'black',
    "retiredAt" timestamptz, ${owned}, ${to('coffeeId', 'coffees')}, ${to('stationId', 'stations')})`);
  await run(`CREATE INDEX cards_by_time ON cards ("shopId", "updatedAt" DESC)`);
  await run(`CREATE INDEX cards_by_coffee ON cards ("shopId", "coffeeId", "stationId", "updatedAt" DESC)`);
  await run(`CREATE TABLE card_versions (
    "cardId" uuid NOT NULL, "version" integer NOT NULL, "runId" uuid, "recipe" jsonb NOT NULL,
    "tastesLike" text NOT NULL DEFAULT '', "setBy" text NOT NULL DEFAULT '', "note" text NOT NULL DEFAULT '', ${owned},
    UNIQUE ("shopId", "cardId", "version"), ${to('cardId', 'cards')} ON DELETE CASCADE, ${to('runId', 'runs')})`);
};

export const down: Migration['down'] = async ({ run }) => {
  for (const table of [
    'card_versions',
    'cards',
    'tastings',
    'shot_edits',
    'shots',
    'runs',
    'stations',
    'bags',
    'coffees',
    'baskets',
    'machines',
    'grinders',
    'shops',
  ]) {
    await run(`DROP TABLE ${table}`);
  }
};
