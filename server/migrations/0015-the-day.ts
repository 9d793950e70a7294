import type { Migration } from '../src/database/migration';

const OWNED = `"shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id")`;

/** What was answered to a drift: a turn of the grind, or that it was let be. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE day_moves ("stationId" uuid NOT NULL, "at" timestamptz NOT NULL, "answer" text NOT NULL,
    "fromGrind" double precision, "toGrind" double precision, "grindSeconds" double precision,
    "why" text NOT NULL DEFAULT '', "undoneAt" timestamptz, ${OWNED},
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id"))`);
  await run(`CREATE INDEX day_moves_of ON day_moves ("shopId", "stationId", "at" DESC)`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE day_moves');
};
