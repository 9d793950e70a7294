import type { Migration, MigrationContext } from '../src/database/migration';

/** Which rows a statement took away and which it added, each with its sign. */
const CHANGES = {
  INSERT: { tables: 'NEW TABLE AS added', rows: 'SELECT *, 1 AS "sign" FROM added' },
  DELETE: { tables: 'OLD TABLE AS gone', rows: 'SELECT *, -1 AS "sign" FROM gone' },
  UPDATE: {
    tables: 'OLD TABLE AS gone NEW TABLE AS added',
    rows: 'SELECT *, -1 AS "sign" FROM gone UNION ALL SELECT *, 1 AS "sign" FROM added',
  },
} as const;

/**
 * How many shots each station has, and what they put through its grinder, kept up to date by the database itself: wear and
 * the length of the history are read in a moment however long it is, and no write can forget to count. Counted once a
 * statement: row by row, every count would be one more version of the same total.
 */
export const up: Migration['up'] = (context) => count(context, 'discardedAt');

/** @param removedAt the column that says a shot was entered by mistake, which has not always been called the same */
export async function count({ run }: MigrationContext, removedAt: string): Promise<void> {
  await run(`CREATE TABLE station_totals (
    "shopId" uuid NOT NULL, "stationId" uuid NOT NULL, "shots" integer NOT NULL, "grams" double precision NOT NULL,
    PRIMARY KEY ("shopId", "stationId"),
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id") ON DELETE CASCADE)`);
  await run(`INSERT INTO station_totals ${totalsOf('SELECT *, 1 AS "sign" FROM shots', removedAt)}`);
  for (const [event, { tables, rows }] of Object.entries(CHANGES)) {
    const name = `count_shots_${event.toLowerCase()}`;
    await run(`CREATE FUNCTION ${name}() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        INSERT INTO station_totals ${totalsOf(rows, removedAt)}
        ON CONFLICT ("shopId", "stationId") DO UPDATE SET
          "shots" = station_totals."shots" + EXCLUDED."shots", "grams" = station_totals."grams" + EXCLUDED."grams";
        RETURN NULL;
      END $$`);
    await run(`CREATE TRIGGER ${name} AFTER ${event} ON shots REFERENCING ${tables}
      FOR EACH STATEMENT EXECUTE FUNCTION ${name}()`);
  }
}

export const down: Migration['down'] = async ({ run }) => {
  for (const event of Object.keys(CHANGES)) {
    await run(`DROP TRIGGER count_shots_${event.toLowerCase()} ON shots`);
    await run(`DROP FUNCTION count_shots_${event.toLowerCase()}`);
  }
  await run('DROP TABLE station_totals');
};

/** By station, in one order for all, so that two that write at once wait for each other and never in a circle. */
function totalsOf(rows: string, removedAt: string): string {
  return `SELECT "shopId", "stationId", sum("sign"),
      coalesce(sum("sign" * "doseGrams") FILTER (WHERE "${removedAt}" IS NULL), 0)
    FROM (${rows}) changed GROUP BY "shopId", "stationId"
    HAVING sum("sign") <> 0 OR coalesce(sum("sign" * "doseGrams") FILTER (WHERE "${removedAt}" IS NULL), 0) <> 0
    ORDER BY "shopId", "stationId"`;
}
