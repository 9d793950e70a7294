import type { Migration } from '../src/database/migration';

/** How a station makes its pucks from a moment on. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE preparations ("stationId" uuid NOT NULL, "at" timestamptz NOT NULL,
    "distribution" text NOT NULL, "levelling" text NOT NULL, "tamp" text NOT NULL, "mist" text NOT NULL,
    "tap" text NOT NULL, "note" text NOT NULL DEFAULT '', "removedAt" timestamptz,
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id"),
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id"))`);
  await run(`CREATE INDEX preparations_of ON preparations ("shopId", "stationId", "at" DESC)`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE preparations');
};
