import type { Migration } from '../src/database/migration';

const owned = `
  "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE,
  "id" uuid NOT NULL,
  "revision" integer NOT NULL DEFAULT 1,
  "createdAt" timestamptz NOT NULL DEFAULT now(),
  "updatedAt" timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY ("shopId", "id")`;
const to = (column: string, table: string): string =>
  `FOREIGN KEY ("shopId", "${column}") REFERENCES ${table} ("shopId", "id")`;

/** What is done before the first shot: coffee and equipment in full, measurements, own methods, openings. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`ALTER TABLE coffees ADD COLUMN "arabicaPercent" integer, ADD COLUMN "flavourGoal" text,
    ADD COLUMN "bodyGoal" text, ADD COLUMN "drunkAs" text NOT NULL DEFAULT 'black',
    ADD COLUMN "decaf" boolean NOT NULL DEFAULT false`);
  await run(`ALTER TABLE bags ADD COLUMN "frozen" jsonb NOT NULL DEFAULT '[]', ADD COLUMN "weighedGrams" double precision,
    ADD COLUMN "weighedAt" timestamptz`);
  await run(`ALTER TABLE grinders ADD COLUMN "collar" text NOT NULL DEFAULT 'numbered',
    ADD COLUMN "retentionGrams" double precision, ADD COLUMN "groundKg" double precision NOT NULL DEFAULT 0,
    ADD COLUMN "burrLifeKg" double precision`);
  await run(`ALTER TABLE machines ADD COLUMN "groups" integer NOT NULL DEFAULT 1, ADD COLUMN "warmUpMinutes" integer,
    ADD COLUMN "preBrew" text NOT NULL DEFAULT 'none', ADD COLUMN "pumpBar" double precision,
    ADD COLUMN "temperatureReadings" jsonb NOT NULL DEFAULT '[]', ADD COLUMN "firstDripReadings" jsonb NOT NULL DEFAULT '[]',
    ADD COLUMN "valveReadings" jsonb NOT NULL DEFAULT '[]'`);
  await run(`ALTER TABLE baskets ADD COLUMN "diameterMm" double precision NOT NULL DEFAULT 58,
    ADD COLUMN "shape" text NOT NULL DEFAULT 'straight'`);
  await run(`CREATE TABLE scales (
    "name" text NOT NULL, "resolutionGrams" double precision NOT NULL, "retiredAt" timestamptz, ${owned},
    UNIQUE ("shopId", "name"))`);
  await run(`ALTER TABLE stations ADD COLUMN "scaleId" uuid, ADD COLUMN "weighs" boolean NOT NULL DEFAULT true,
    ADD CONSTRAINT stations_scale ${to('scaleId', 'scales')}`);
  await run(`ALTER TABLE runs ADD COLUMN "handCheck" text, ADD COLUMN "budgetShots" integer,
    ADD COLUMN "budgetGrams" double precision`);
  await run(`ALTER TABLE shots ADD COLUMN "grindSeconds" double precision`);
  await run(`ALTER TABLE tastings ADD COLUMN "share" double precision`);
  await run(`CREATE TABLE weighings (
    "grinderId" uuid NOT NULL, "grind" double precision NOT NULL, "seconds" double precision NOT NULL,
    "grams" double precision NOT NULL, "weighedAt" timestamptz NOT NULL, "discardedAt" timestamptz, ${owned},
    ${to('grinderId', 'grinders')})`);
  await run(`CREATE INDEX weighings_by_grinder ON weighings ("shopId", "grinderId", "weighedAt" DESC)`);
  await run(`CREATE TABLE found_doses (
    "basketId" uuid NOT NULL, "coffeeId" uuid NOT NULL, "grams" double precision NOT NULL,
    "toleranceGrams" double precision NOT NULL, "how" text NOT NULL, "foundAt" timestamptz NOT NULL, ${owned},
    ${to('basketId', 'baskets')}, ${to('coffeeId', 'coffees')})`);
  await run(`CREATE INDEX found_doses_by_place ON found_doses ("shopId", "basketId", "coffeeId", "foundAt" DESC)`);
  await run(`CREATE TABLE methods (
    "name" text NOT NULL, "basedOn" text NOT NULL, "method" jsonb NOT NULL, "retiredAt" timestamptz, ${owned},
    UNIQUE ("shopId", "name"))`);
  await run(`CREATE TABLE openings (
    "stationId" uuid NOT NULL, "day" date NOT NULL, "switchedOnAt" timestamptz, "done" jsonb NOT NULL DEFAULT '[]',
    "roomC" double precision, "humidityPercent" double precision, ${owned},
    UNIQUE ("shopId", "stationId", "day"), ${to('stationId', 'stations')})`);
  await run(`CREATE INDEX openings_by_day ON openings ("shopId", "day" DESC)`);
  await run(
    `CREATE INDEX shots_ground ON shots ("shopId", "stationId", "pulledAt" DESC) WHERE "grindSeconds" IS NOT NULL`,
  );
  await run(`CREATE INDEX tastings_by_day ON tastings ("shopId", "createdAt" DESC)`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP INDEX tastings_by_day');
  for (const table of ['openings', 'methods', 'found_doses', 'weighings']) await run(`DROP TABLE ${table}`);
  await run('ALTER TABLE tastings DROP COLUMN "share"');
  await run('ALTER TABLE shots DROP COLUMN "grindSeconds"');
  await run('ALTER TABLE runs DROP COLUMN "handCheck", DROP COLUMN "budgetShots", DROP COLUMN "budgetGrams"');
  await run('ALTER TABLE stations DROP COLUMN "scaleId", DROP COLUMN "weighs"');
  await run('DROP TABLE scales');
  await run('ALTER TABLE baskets DROP COLUMN "diameterMm", DROP COLUMN "shape"');
  await run(`ALTER TABLE machines DROP COLUMN "groups", DROP COLUMN "warmUpMinutes", DROP COLUMN "preBrew",
    DROP COLUMN "pumpBar", DROP COLUMN "temperatureReadings", DROP COLUMN "firstDripReadings", DROP COLUMN "valveReadings"`);
  await run(`ALTER TABLE grinders DROP COLUMN "collar", DROP COLUMN "retentionGrams", DROP COLUMN "groundKg",
    DROP COLUMN "burrLifeKg"`);
  await run('ALTER TABLE bags DROP COLUMN "frozen", DROP COLUMN "weighedGrams", DROP COLUMN "weighedAt"');
  await run(`ALTER TABLE coffees DROP COLUMN "arabicaPercent", DROP COLUMN "flavourGoal", DROP COLUMN "bodyGoal",
    DROP COLUMN "drunkAs", DROP COLUMN "decaf"`);
};
