import type { Migration } from '../src/database/migration';

/** What the morning was expected to pour, kept so that it can be held against what it did. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`ALTER TABLE openings ADD "forecast" jsonb`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('ALTER TABLE openings DROP "forecast"');
};
