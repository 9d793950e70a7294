import type { Migration } from '../src/database/migration';

/** What a tasting said before a correction; a row that is written to see that writing works; indexes for what grows. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE tasting_edits (
    "shopId" uuid NOT NULL, "tastingId" uuid NOT NULL, "revision" integer NOT NULL, "before" jsonb NOT NULL,
    "editedAt" timestamptz NOT NULL DEFAULT now(), PRIMARY KEY ("shopId", "tastingId", "revision"),
    FOREIGN KEY ("shopId", "tastingId") REFERENCES tastings ("shopId", "id") ON DELETE CASCADE)`);
  await run(`CREATE TABLE heartbeat ("id" integer PRIMARY KEY CHECK ("id" = 1), "beatAt" timestamptz NOT NULL)`);
  await run(`CREATE INDEX card_versions_by_run ON card_versions ("shopId", "runId")`);
  await run(`CREATE INDEX shots_by_time ON shots ("shopId", "pulledAt" DESC, "id" DESC)`);
  // All that sums need, so that they never touch the table.
  await run(`CREATE INDEX shots_used ON shots ("shopId", "stationId", "pulledAt")
    INCLUDE ("doseGrams", "purged", "grind", "runId") WHERE "discardedAt" IS NULL`);
};

export const down: Migration['down'] = async ({ run }) => {
  for (const index of ['shots_used', 'shots_by_time', 'card_versions_by_run']) await run(`DROP INDEX ${index}`);
  await run('DROP TABLE heartbeat');
  await run('DROP TABLE tasting_edits');
};
