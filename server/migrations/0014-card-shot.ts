import type { Migration } from '../src/database/migration';

/** The shot a version of a card was kept from. A shot names its card, too: so the two may be written in any order. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`ALTER TABLE card_versions ADD COLUMN "shotId" uuid,
    ADD FOREIGN KEY ("shopId", "shotId") REFERENCES shots ("shopId", "id") DEFERRABLE INITIALLY DEFERRED`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('ALTER TABLE card_versions DROP COLUMN "shotId"');
};
