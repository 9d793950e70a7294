import type { Migration, MigrationContext } from '../src/database/migration';
import * as totals from './0011-running-totals';

/** Every table whose rows belong to a shop and carry who wrote them last. */
const OWNED = [
  ...['grinders', 'machines', 'baskets', 'coffees', 'bags', 'stations', 'runs', 'shots', 'tastings', 'cards'],
  ...['shops', 'card_versions', 'palates', 'scales', 'weighings', 'found_doses', 'methods', 'openings'],
];

/** A cup was "sunk" until now, and a shot entered by mistake "discarded": the cup is discarded, the shot removed. */
const RENAMED = { column: ['discardedAt', 'removedAt'], verdict: ['sink', 'discard'] } as const;

/** What is measured, what assumed; shots of a dial-in, of service, to check; who, and the time a recipe was found at. */
export const up: Migration['up'] = async (context) => {
  const { run } = context;
  await rename(context, 0, 1);
  for (const table of OWNED) await run(`ALTER TABLE ${table} ADD COLUMN "changedBy" text NOT NULL DEFAULT ''`);
  await run(`CREATE TABLE people ("name" text NOT NULL, "isLead" boolean NOT NULL DEFAULT false, "retiredAt" timestamptz,
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id"), UNIQUE ("shopId", "name"))`);
  await run(`ALTER TABLE shops ADD COLUMN "checkAtOpening" boolean NOT NULL DEFAULT true,
    ADD COLUMN "checkTimes" jsonb NOT NULL DEFAULT '["12:00", "15:00"]',
    ADD COLUMN "checkAtNewBag" boolean NOT NULL DEFAULT true`);
  await run(`ALTER TABLE card_versions ADD COLUMN "found" jsonb`);
  await run(`ALTER TABLE bags ADD COLUMN "openedAt" timestamptz`);
  await withoutRules(context, 'shots', async () => {
    await run(`ALTER TABLE shots ADD COLUMN "kind" text NOT NULL DEFAULT 'dial-in'
        CHECK ("kind" IN ('dial-in', 'service', 'check')),
      ADD COLUMN "assumed" jsonb NOT NULL DEFAULT '[]', ADD COLUMN "cupGrams" jsonb,
      ADD COLUMN "yieldMl" double precision, ADD COLUMN "hourKnown" boolean NOT NULL DEFAULT true,
      ADD COLUMN "pulledBy" text NOT NULL DEFAULT '', ADD COLUMN "cardVersionId" uuid, ADD COLUMN "coffeeId" uuid,
      ADD FOREIGN KEY ("shopId", "cardVersionId") REFERENCES card_versions ("shopId", "id"),
      ADD FOREIGN KEY ("shopId", "coffeeId") REFERENCES coffees ("shopId", "id")`);
    await run(`UPDATE shots x SET "kind" = CASE WHEN x."runId" IS NULL THEN 'service' ELSE 'dial-in' END,
      "coffeeId" = coalesce(
        (SELECT "coffeeId" FROM runs WHERE "shopId" = x."shopId" AND "id" = x."runId"),
        (SELECT "coffeeId" FROM runs WHERE "shopId" = x."shopId" AND "stationId" = x."stationId"
           AND "startedAt" <= x."pulledAt" ORDER BY "startedAt" DESC LIMIT 1),
        (SELECT "coffeeId" FROM stations WHERE "shopId" = x."shopId" AND "id" = x."stationId"))`);
  });
  await useIndex(context, 'coffeeId');
  await run(`CREATE INDEX shots_by_version ON shots ("shopId", "cardVersionId", "pulledAt" DESC)
    WHERE "cardVersionId" IS NOT NULL`);
  await run(`CREATE INDEX shots_by_card ON shots ("shopId", "stationId", "pulledAt" DESC)
    WHERE "cardVersionId" IS NOT NULL`);
  await run(`CREATE TABLE coffee_changes (
    "stationId" uuid NOT NULL, "fromCoffeeId" uuid NOT NULL, "toCoffeeId" uuid NOT NULL, "bagId" uuid,
    "thrownGrams" double precision NOT NULL DEFAULT 0, "changedAt" timestamptz NOT NULL,
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id"),
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id"),
    FOREIGN KEY ("shopId", "fromCoffeeId") REFERENCES coffees ("shopId", "id"),
    FOREIGN KEY ("shopId", "toCoffeeId") REFERENCES coffees ("shopId", "id"),
    FOREIGN KEY ("shopId", "bagId") REFERENCES bags ("shopId", "id"))`);
  await run(`CREATE INDEX coffee_changes_by_station ON coffee_changes ("shopId", "stationId", "changedAt" DESC)`);
  await findTimes(context);
};

export const down: Migration['down'] = async (context) => {
  const { run } = context;
  await run('DROP TABLE coffee_changes');
  await useIndex(context, 'runId');
  await run(`ALTER TABLE shots DROP COLUMN "kind", DROP COLUMN "assumed", DROP COLUMN "cupGrams", DROP COLUMN "yieldMl",
    DROP COLUMN "hourKnown", DROP COLUMN "pulledBy", DROP COLUMN "cardVersionId", DROP COLUMN "coffeeId"`);
  await run('ALTER TABLE card_versions DROP COLUMN "found"');
  await run('ALTER TABLE bags DROP COLUMN "openedAt"');
  await run('ALTER TABLE shops DROP COLUMN "checkAtOpening", DROP COLUMN "checkTimes", DROP COLUMN "checkAtNewBag"');
  await run('DROP TABLE people');
  for (const table of OWNED) await run(`ALTER TABLE ${table} DROP COLUMN "changedBy"`);
  await rename(context, 1, 0);
};

/** From one name to the other, in rows and in what rows said before; the totals are counted by the new name. */
async function rename(context: MigrationContext, from: 0 | 1, to: 0 | 1): Promise<void> {
  const { run } = context;
  const { column, verdict } = RENAMED;
  await totals.down(context);
  for (const table of ['shots', 'weighings']) {
    await run(`ALTER TABLE ${table} RENAME COLUMN "${column[from]}" TO "${column[to]}"`);
  }
  await withoutRules(context, 'shots', () =>
    run(`UPDATE shots SET "verdict" = '${verdict[to]}' WHERE "verdict" = '${verdict[from]}'`),
  );
  await run(`UPDATE shot_edits SET "before" = ("before" - '${column[from]}')
      || jsonb_build_object('${column[to]}', "before"->'${column[from]}')
    WHERE "before" ? '${column[from]}'`);
  await run(`UPDATE shot_edits SET "before" = jsonb_set("before", '{verdict}', '"${verdict[to]}"')
    WHERE "before"->>'verdict' = '${verdict[from]}'`);
  await totals.count(context, column[to]);
}

/** What a day used is read from this index alone. */
async function useIndex({ run }: MigrationContext, last: string): Promise<void> {
  await run('DROP INDEX shots_used');
  await run(`CREATE INDEX shots_used ON shots ("shopId", "stationId", "pulledAt")
    INCLUDE ("doseGrams", "purged", "grind", "${last}") WHERE "removedAt" IS NULL`);
}

/** Rows older than a rule stay as they are: it is taken off while all of them are written, and stands as it stood after. */
async function withoutRules({ run }: MigrationContext, table: string, write: () => Promise<void>): Promise<void> {
  await run(`CREATE TABLE rules_off AS
    SELECT conname AS "name", pg_get_constraintdef(oid) AS "rule", obj_description(oid, 'pg_constraint') AS "said"
    FROM pg_constraint WHERE conrelid = '${table}'::regclass AND conname LIKE 'possible\\_%'`);
  await run(`DO $$ DECLARE r record; BEGIN
    FOR r IN SELECT * FROM rules_off LOOP EXECUTE format('ALTER TABLE ${table} DROP CONSTRAINT %I', r."name"); END LOOP;
  END $$`);
  await write();
  await run(`DO $$ DECLARE r record; BEGIN
    FOR r IN SELECT * FROM rules_off LOOP
      EXECUTE format('ALTER TABLE ${table} ADD CONSTRAINT %I %s', r."name", r."rule");
      EXECUTE format('COMMENT ON CONSTRAINT %I ON ${table} IS %L', r."name", r."said");
    END LOOP;
  END $$`);
  await run('DROP TABLE rules_off');
}

/**
 * The time of cards that were kept before there was one: of their own dial-in's shots at these settings, else of the first
 * good shots after. The spread is that of `foundTime` in core: three imagined shots of a usual puck (6 %) beside the real ones.
 */
async function findTimes({ run }: MigrationContext): Promise<void> {
  const isAtRecipe = `x."shopId" = v."shopId" AND x."removedAt" IS NULL AND x."cause" IS NULL AND x."timeSeconds" IS NOT NULL
    AND x."timer" = v."recipe"->>'timer' AND x."grind" = (v."recipe"->>'grind')::float8
    AND abs(coalesce(x."yieldGrams", 0) / (v."recipe"->>'yieldGrams')::float8 - 1) <= 0.08`;
  const from = (shots: string): string => `UPDATE card_versions v SET "found" = jsonb_build_object(
      'seconds', round(f."mean"::numeric, 1), 'shots', f."shots",
      'sd', round(sqrt((3 * (0.06 * f."mean") ^ 2 + (f."shots" - 1) * coalesce(f."variance", 0)) / (2 + f."shots"))::numeric, 2))
    FROM (SELECT v."shopId", v."id", f.* FROM card_versions v
      JOIN cards c ON c."shopId" = v."shopId" AND c."id" = v."cardId"
      CROSS JOIN LATERAL (SELECT avg("timeSeconds") AS "mean", var_samp("timeSeconds") AS "variance", count(*) AS "shots"
        FROM (${shots}) s) f) f
    WHERE f."shopId" = v."shopId" AND f."id" = v."id" AND v."found" IS NULL AND f."shots" > 0`;
  await run(from(`SELECT x."timeSeconds" FROM shots x WHERE ${isAtRecipe} AND x."runId" = v."runId"`));
  await run(
    from(`SELECT x."timeSeconds" FROM shots x WHERE ${isAtRecipe} AND x."stationId" = c."stationId"
      AND x."pulledAt" >= v."createdAt" AND x."timeSeconds" BETWEEN (v."recipe"->'timeSeconds'->>'min')::float8
        AND (v."recipe"->'timeSeconds'->>'max')::float8
      ORDER BY x."pulledAt" LIMIT 5`),
  );
}
