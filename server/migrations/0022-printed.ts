import type { Migration } from '../src/database/migration';

/** Which version of a card hangs on the wall; null where none does. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`ALTER TABLE cards ADD "printedVersion" integer`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('ALTER TABLE cards DROP "printedVersion"');
};
