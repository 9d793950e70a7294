import type { Migration } from '../src/database/migration';

const OWNED = `"shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id")`;
/** A task of the whole bar names neither. */
const DONE_TO = `"task" text NOT NULL, "machineId" uuid, "grinderId" uuid,
    FOREIGN KEY ("shopId", "machineId") REFERENCES machines ("shopId", "id"),
    FOREIGN KEY ("shopId", "grinderId") REFERENCES grinders ("shopId", "id")`;

/** Care that was done, and how often a shop wants it. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE care_done (${DONE_TO}, "at" timestamptz NOT NULL, "note" text NOT NULL DEFAULT '',
    "removedAt" timestamptz, ${OWNED})`);
  await run(`CREATE INDEX care_done_lately ON care_done ("shopId", "at" DESC)`);
  await run(`CREATE INDEX care_done_last ON care_done ("shopId", "task", "machineId", "grinderId", "at" DESC)`);
  await run(`CREATE TABLE care_rules (${DONE_TO}, "everyDays" integer, "everyShots" integer,
    "everyKg" double precision, ${OWNED})`);
  for (const [table, kind] of Object.entries({ care_done: 'CareDone', care_rules: 'CareRules' })) {
    await run(`CREATE TRIGGER tell_row AFTER INSERT OR UPDATE ON ${table}
      FOR EACH ROW EXECUTE FUNCTION tell_row('${kind}', 'id')`);
  }
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE care_rules');
  await run('DROP TABLE care_done');
};
