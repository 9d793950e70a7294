import type { Migration } from '../src/database/migration';

const OWNED = `"shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id")`;

const tellRow = (
  unless: string,
): string => `CREATE OR REPLACE FUNCTION tell_row() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      ${unless}PERFORM pg_notify('olvet_live', json_build_object('shopId', NEW."shopId", 'event',
        json_build_object('kind', 'row', 'type', TG_ARGV[0], 'id', to_jsonb(NEW) ->> TG_ARGV[1]))::text);
      RETURN NULL;
    END $$`;

/**
 * What was brought in from a file: read and looked at first, then taken, and taken back as a whole while its rows are remembered. A
 * transaction that brings in a million rows tells of them once, not one by one.
 */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE imports ("fileName" text NOT NULL, "state" text NOT NULL, "rowsRead" integer NOT NULL DEFAULT 0,
    "tables" jsonb NOT NULL DEFAULT '[]', "notRead" jsonb NOT NULL DEFAULT '[]', "problem" text, "shop" jsonb,
    "takenAt" timestamptz, "takenBackAt" timestamptz, ${OWNED})`);
  await run(`CREATE TABLE import_rows ("shopId" uuid NOT NULL, "importId" uuid NOT NULL, "seq" bigint NOT NULL,
    "table" text NOT NULL, "file" text NOT NULL, "line" integer NOT NULL, "key" text, "body" jsonb NOT NULL, "outcome" text NOT NULL,
    "errors" jsonb, "standsAs" text, PRIMARY KEY ("shopId", "importId", "seq"),
    FOREIGN KEY ("shopId", "importId") REFERENCES imports ("shopId", "id") ON DELETE CASCADE)`);
  await run(
    `CREATE TABLE import_matches ("headers" text NOT NULL, "match" jsonb NOT NULL, ${OWNED}, UNIQUE ("shopId", "headers"))`,
  );
  await run(tellRow(`IF current_setting('olvet.quiet', true) = 'on' THEN RETURN NULL; END IF;\n      `));
};

export const down: Migration['down'] = async ({ run }) => {
  await run(tellRow(''));
  await run('DROP TABLE import_matches');
  await run('DROP TABLE import_rows');
  await run('DROP TABLE imports');
};
