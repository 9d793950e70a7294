import type { RowKind } from '@olvet/core';
import type { Migration } from '../src/database/migration';

const OWNED = `"shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id")`;

/**
 * Tables whose rows every page of the shop hears of once they are written, by the kind its cache knows them by. What people
 * edit in forms for minutes is not among them: a form that follows would overwrite what its author never saw.
 */
const TOLD: Record<string, RowKind> = {
  cards: 'Cards',
  card_versions: 'Cards',
  coffee_changes: 'CoffeeChanges',
  day_moves: 'DayMoves',
  openings: 'Openings',
  runs: 'Runs',
  shots: 'Shots',
};
/** The row that a page shows where another one is written. */
const OF: Record<string, string> = { card_versions: 'cardId' };

/** What was answered to a drift: a turn of the grind, or that it was let be. And every write of a row is told. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE day_moves ("stationId" uuid NOT NULL, "at" timestamptz NOT NULL, "answer" text NOT NULL,
    "fromGrind" double precision, "toGrind" double precision, "grindSeconds" double precision,
    "why" text NOT NULL DEFAULT '', "undoneAt" timestamptz, ${OWNED},
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id"))`);
  await run(`CREATE INDEX day_moves_of ON day_moves ("shopId", "stationId", "at" DESC)`);
  await run(`CREATE FUNCTION tell_row() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('olvet_live', json_build_object('shopId', NEW."shopId", 'event',
        json_build_object('kind', 'row', 'type', TG_ARGV[0], 'id', to_jsonb(NEW) ->> TG_ARGV[1]))::text);
      RETURN NULL;
    END $$`);
  for (const [table, kind] of Object.entries(TOLD)) {
    await run(`CREATE TRIGGER tell_row AFTER INSERT OR UPDATE ON ${table}
      FOR EACH ROW EXECUTE FUNCTION tell_row('${kind}', '${OF[table] ?? 'id'}')`);
  }
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE day_moves');
  await run('DROP FUNCTION tell_row CASCADE');
};
