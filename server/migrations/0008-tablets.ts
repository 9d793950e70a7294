import type { Migration } from '../src/database/migration';

/** Tablets let in from the shop's own network, and the key that signs what they show. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE tablets (
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL, "name" text NOT NULL,
    "letInAt" timestamptz NOT NULL DEFAULT now(), "seenAt" timestamptz NOT NULL DEFAULT now(), "letOutAt" timestamptz,
    PRIMARY KEY ("shopId", "id"))`);
  await run(`CREATE TABLE door_key ("id" integer PRIMARY KEY CHECK ("id" = 1), "key" text NOT NULL)`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE door_key');
  await run('DROP TABLE tablets');
};
