import type { Migration } from '../src/database/migration';

/** Own methods say how many shots must confirm; those kept before said nothing, which was none. */
export const up: Migration['up'] = async ({ run }) => {
  await run(
    `UPDATE methods SET "method" = "method" || '{"confirmShots": 0}' WHERE NOT jsonb_exists("method", 'confirmShots')`,
  );
};

export const down: Migration['down'] = async ({ run }) => {
  await run(`UPDATE methods SET "method" = "method" - 'confirmShots'`);
};
