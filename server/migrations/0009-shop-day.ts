import type { Migration } from '../src/database/migration';

/** The shop's own clock and the hour its day begins; a shop that was there keeps the clock of this machine. */
export const up: Migration['up'] = async ({ run }) => {
  const zone = new Intl.DateTimeFormat().resolvedOptions().timeZone;
  await run(`ALTER TABLE shops ADD COLUMN "timeZone" text NOT NULL DEFAULT 'UTC',
    ADD COLUMN "firstHour" integer NOT NULL DEFAULT 4 CHECK ("firstHour" BETWEEN 0 AND 11)`);
  await run(`UPDATE shops SET "timeZone" = '${zone.replaceAll("'", "''")}'`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('ALTER TABLE shops DROP COLUMN "timeZone", DROP COLUMN "firstHour"');
};
