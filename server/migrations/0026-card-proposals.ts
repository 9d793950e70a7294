import type { Migration } from '../src/database/migration';

/** A recipe that somebody would like a card to have, until somebody answers. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE card_proposals ("cardId" uuid NOT NULL, "recipe" jsonb NOT NULL,
    "tastesLike" text NOT NULL DEFAULT '', "note" text NOT NULL, "proposedBy" text NOT NULL DEFAULT '',
    "answer" text, "answeredAt" timestamptz, "answeredBy" text NOT NULL DEFAULT '',
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id"),
    FOREIGN KEY ("shopId", "cardId") REFERENCES cards ("shopId", "id") ON DELETE CASCADE)`);
  await run(`CREATE INDEX card_proposals_of ON card_proposals ("shopId", "cardId", "createdAt" DESC)`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE card_proposals');
};
