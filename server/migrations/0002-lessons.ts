import type { Migration } from '../src/database/migration';

/** What dial-ins teach: kept with the run, the grinder, the coffee and the people who taste. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`ALTER TABLE shots ADD COLUMN "cause" text, ADD COLUMN "versusLast" text`);
  await run(`ALTER TABLE runs ADD COLUMN "lesson" jsonb`);
  await run(`ALTER TABLE coffees ADD COLUMN "learnedTaste" jsonb`);
  await run(`CREATE TABLE palates (
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "person" text NOT NULL,
    "palate" jsonb, "forgetBefore" timestamptz, "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "person"))`);
  await run(`CREATE INDEX tastings_by_person ON tastings ("shopId", "person", "createdAt" DESC) WHERE "person" <> ''`);
  for (const thing of ['grinder', 'coffee']) {
    await run(`CREATE INDEX runs_taught_${thing} ON runs ("shopId", "${thing}Id", "startedAt" DESC)
      WHERE "lesson" IS NOT NULL`);
  }
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP INDEX runs_taught_coffee');
  await run('DROP INDEX runs_taught_grinder');
  await run('DROP INDEX tastings_by_person');
  await run('DROP TABLE palates');
  await run('ALTER TABLE coffees DROP COLUMN "learnedTaste"');
  await run('ALTER TABLE runs DROP COLUMN "lesson"');
  await run('ALTER TABLE shots DROP COLUMN "cause", DROP COLUMN "versusLast"');
};
