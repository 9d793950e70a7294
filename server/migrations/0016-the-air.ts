import type { Migration } from '../src/database/migration';

/** What the room was like, typed in or by a sensor. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE room_readings ("at" timestamptz NOT NULL, "celsius" double precision,
    "humidityPercent" double precision, "deviceId" uuid,
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id"),
    CONSTRAINT "possible_celsius" CHECK ("celsius" BETWEEN -20 AND 60),
    CONSTRAINT "possible_humidity" CHECK ("humidityPercent" BETWEEN 0 AND 100))`);
  await run(`CREATE INDEX room_readings_by_time ON room_readings ("shopId", "at" DESC)`);
  await run(`CREATE TRIGGER tell_row AFTER INSERT OR UPDATE ON room_readings
    FOR EACH ROW EXECUTE FUNCTION tell_row('RoomReadings', 'id')`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE room_readings');
};
