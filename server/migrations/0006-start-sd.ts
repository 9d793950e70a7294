import type { Migration } from '../src/database/migration';

/** How surely a start worked out from the last shots stands where it is wanted. */
export const up: Migration['up'] = async ({ run }) => {
  await run('ALTER TABLE runs ADD COLUMN "startSd" double precision');
};

export const down: Migration['down'] = async ({ run }) => {
  await run('ALTER TABLE runs DROP COLUMN "startSd"');
};
