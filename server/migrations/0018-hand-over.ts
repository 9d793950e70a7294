import type { Migration } from '../src/database/migration';

/** A turn at the bar handed over, with what was said. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE hand_overs ("since" timestamptz NOT NULL, "at" timestamptz NOT NULL,
    "note" text NOT NULL DEFAULT '',
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id"))`);
  await run(`CREATE INDEX hand_overs_by_time ON hand_overs ("shopId", "at" DESC)`);
  await run(`CREATE INDEX day_moves_by_time ON day_moves ("shopId", "at" DESC)`);
  await run(`CREATE INDEX station_events_by_time ON station_events ("shopId", "at" DESC)`);
  await run(`CREATE INDEX card_versions_by_time ON card_versions ("shopId", "createdAt" DESC)`);
  await run(`CREATE INDEX coffee_changes_by_time ON coffee_changes ("shopId", "changedAt" DESC)`);
  await run(`CREATE INDEX bags_by_opening ON bags ("shopId", "openedAt" DESC)`);
  await run(`CREATE TRIGGER tell_row AFTER INSERT OR UPDATE ON hand_overs
    FOR EACH ROW EXECUTE FUNCTION tell_row('HandOvers', 'id')`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE hand_overs');
  await run(`DROP INDEX day_moves_by_time, station_events_by_time, card_versions_by_time, coffee_changes_by_time,
    bags_by_opening`);
};
