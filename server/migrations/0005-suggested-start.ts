import type { Migration } from '../src/database/migration';

/** Where a dial-in begins whose setting nobody named. */
export const up: Migration['up'] = async ({ run }) => {
  await run('ALTER TABLE runs ADD COLUMN "suggestedStart" jsonb');
};

export const down: Migration['down'] = async ({ run }) => {
  await run('ALTER TABLE runs DROP COLUMN "suggestedStart"');
};
