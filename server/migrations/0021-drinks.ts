import type { Migration } from '../src/database/migration';

const OWNED = `"shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id")`;

/** Drinks that hang on a card, and programmed buttons that make it. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE drinks ("name" text NOT NULL, "cardId" uuid NOT NULL, "cardVersion" integer NOT NULL,
    "cupMl" double precision NOT NULL, "share" double precision NOT NULL, "milkMl" double precision NOT NULL,
    "milk" text NOT NULL, "foam" text NOT NULL, "waterMl" double precision NOT NULL, "pouring" text NOT NULL,
    "retiredAt" timestamptz, ${OWNED},
    FOREIGN KEY ("shopId", "cardId") REFERENCES cards ("shopId", "id") ON DELETE CASCADE)`);
  await run(`CREATE INDEX drinks_of ON drinks ("shopId", "cardId")`);
  await run(`CREATE TABLE buttons ("name" text NOT NULL, "cardId" uuid NOT NULL, "cardVersion" integer NOT NULL,
    "machineId" uuid NOT NULL, "kind" text NOT NULL, "share" double precision NOT NULL, "retiredAt" timestamptz, ${OWNED},
    FOREIGN KEY ("shopId", "cardId") REFERENCES cards ("shopId", "id") ON DELETE CASCADE,
    FOREIGN KEY ("shopId", "machineId") REFERENCES machines ("shopId", "id"))`);
  await run(`CREATE INDEX buttons_of ON buttons ("shopId", "cardId")`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE buttons');
  await run('DROP TABLE drinks');
};
