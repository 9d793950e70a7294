import type { Migration } from '../src/database/migration';

const OWNED = `"shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id")`;

/** Figures of a shot that was watched from its first second, each with what it can be. */
const PHASES: Record<string, [most: number, message: string]> = {
  soakSeconds: [900, 'must be between 0 and 900'],
  coverSeconds: [900, 'must be between 0 and 900'],
  tenGramsSeconds: [900, 'must be between 0 and 900'],
  contactSeconds: [900, 'must be between 0 and 900'],
  valveGrams: [500, 'must be between 0 and 500'],
  unlevelledGrams: [100, 'must be between 0 and 100'],
};

/** Devices, shots while they are pulled, and what their scales said. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE devices ("kind" text NOT NULL, "name" text NOT NULL, "unit" text NOT NULL,
    "capabilities" jsonb NOT NULL DEFAULT '[]', "isSimulated" boolean NOT NULL DEFAULT false, "keyHash" text NOT NULL,
    "code" text, "stationId" uuid, "letInAt" timestamptz, "seenAt" timestamptz, "retiredAt" timestamptz, ${OWNED},
    UNIQUE ("shopId", "keyHash"),
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id"))`);
  await run(`CREATE TABLE pulls ("stationId" uuid NOT NULL, "runId" uuid, "kind" text NOT NULL, "ownerId" uuid NOT NULL,
    "ownerName" text NOT NULL DEFAULT '', "plan" jsonb NOT NULL, "startedAt" timestamptz, "endedAt" timestamptz,
    "marks" jsonb NOT NULL DEFAULT '[]', "deviceIds" jsonb NOT NULL DEFAULT '[]', "askedById" uuid,
    "askedByName" text NOT NULL DEFAULT '', "askedAt" timestamptz, ${OWNED},
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id"))`);
  await run(`CREATE INDEX pulls_open ON pulls ("shopId", "updatedAt" DESC) WHERE "endedAt" IS NULL`);
  await run(`CREATE TABLE shot_traces ("shopId" uuid NOT NULL, "shotId" uuid NOT NULL, "body" bytea NOT NULL,
    "createdAt" timestamptz NOT NULL DEFAULT now(), PRIMARY KEY ("shopId", "shotId"),
    FOREIGN KEY ("shopId", "shotId") REFERENCES shots ("shopId", "id") ON DELETE CASCADE)`);
  await run(`ALTER TABLE shots ADD COLUMN "traced" jsonb, ADD COLUMN "looks" jsonb NOT NULL DEFAULT '[]'`);
  for (const [field, [most, message]] of Object.entries(PHASES)) {
    await run(`ALTER TABLE shots ADD COLUMN "${field}" double precision`);
    await run(
      `ALTER TABLE shots ADD CONSTRAINT "possible_${field}" CHECK ("${field}" BETWEEN 0 AND ${most}) NOT VALID`,
    );
    await run(`COMMENT ON CONSTRAINT "possible_${field}" ON shots IS '${message}'`);
  }
};

export const down: Migration['down'] = async ({ run }) => {
  await run('ALTER TABLE shots DROP COLUMN "traced", DROP COLUMN "looks"');
  for (const field of Object.keys(PHASES)) await run(`ALTER TABLE shots DROP COLUMN "${field}"`);
  await run('DROP TABLE shot_traces');
  await run('DROP TABLE pulls');
  await run('DROP TABLE devices');
};
