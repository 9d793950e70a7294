import type { Migration } from '../src/database/migration';

const OWNED = `"shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id")`;

/** What a person allows, what happens at a station, and the closed loop. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`ALTER TABLE shops ADD "toleranceSeconds" double precision NOT NULL DEFAULT 3,
    ADD CONSTRAINT "possible_tolerance" CHECK ("toleranceSeconds" BETWEEN 0.5 AND 30)`);
  await run(`ALTER TABLE stations ADD "unitsPerMove" double precision, ADD "unitsPerDay" double precision,
    ADD "grindSeconds" double precision`);
  await run(`ALTER TABLE day_moves ADD "fromGrindSeconds" double precision,
    ADD "isKeeper" boolean NOT NULL DEFAULT false`);
  await run(`CREATE TABLE station_events ("stationId" uuid NOT NULL, "kind" text NOT NULL, "at" timestamptz NOT NULL,
    "removedAt" timestamptz, ${OWNED},
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id"))`);
  await run(`CREATE INDEX station_events_of ON station_events ("shopId", "stationId", "at" DESC)`);
  // A station has one loop: its id is the station's.
  await run(`CREATE TABLE keepers ("isOn" boolean NOT NULL DEFAULT false,
    "unitsPerMove" double precision NOT NULL, "unitsPerDay" double precision NOT NULL,
    "shotsBetween" integer NOT NULL, "fewestShots" integer NOT NULL,
    "quietFrom" text, "quietUntil" text, "heldAt" timestamptz, "heldWhy" text, "lookedAt" timestamptz, "actingUntil" timestamptz, ${OWNED},
    FOREIGN KEY ("shopId", "id") REFERENCES stations ("shopId", "id"))`);
  for (const [table, kind] of [
    ['station_events', 'StationEvents'],
    ['keepers', 'Keepers'],
  ]) {
    await run(`CREATE TRIGGER tell_row AFTER INSERT OR UPDATE ON ${table}
      FOR EACH ROW EXECUTE FUNCTION tell_row('${kind}', 'id')`);
  }
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE keepers');
  await run('DROP TABLE station_events');
  await run('ALTER TABLE day_moves DROP "isKeeper", DROP "fromGrindSeconds"');
  await run('ALTER TABLE stations DROP "grindSeconds", DROP "unitsPerDay", DROP "unitsPerMove"');
  await run('ALTER TABLE shops DROP "toleranceSeconds"');
};
