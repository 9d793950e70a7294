import type { Migration } from '../src/database/migration';

/**
 * How many shots each station has, and what they put through its grinder, kept up to date by the database itself: wear and
 * the length of the history are read in a moment however long it is, and no write can forget to count.
 */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE station_totals (
    "shopId" uuid NOT NULL, "stationId" uuid NOT NULL, "shots" integer NOT NULL, "grams" double precision NOT NULL,
    PRIMARY KEY ("shopId", "stationId"),
    FOREIGN KEY ("shopId", "stationId") REFERENCES stations ("shopId", "id") ON DELETE CASCADE)`);
  await run(`INSERT INTO station_totals SELECT "shopId", "stationId", count(*),
    coalesce(sum("doseGrams") FILTER (WHERE "discardedAt" IS NULL), 0) FROM shots GROUP BY "shopId", "stationId"`);
  await run(`CREATE FUNCTION count_shot(shot shots, sign integer) RETURNS void LANGUAGE sql AS $$
    INSERT INTO station_totals VALUES (shot."shopId", shot."stationId", sign,
      CASE WHEN shot."discardedAt" IS NULL THEN sign * coalesce(shot."doseGrams", 0) ELSE 0 END)
    ON CONFLICT ("shopId", "stationId") DO UPDATE SET
      "shots" = station_totals."shots" + EXCLUDED."shots", "grams" = station_totals."grams" + EXCLUDED."grams" $$`);
  await run(`CREATE FUNCTION count_shots() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      IF TG_OP <> 'INSERT' THEN PERFORM count_shot(OLD, -1); END IF;
      IF TG_OP <> 'DELETE' THEN PERFORM count_shot(NEW, 1); END IF;
      RETURN NULL;
    END $$`);
  await run(`CREATE TRIGGER count_shots AFTER INSERT OR DELETE OR UPDATE OF "doseGrams", "discardedAt", "stationId"
    ON shots FOR EACH ROW EXECUTE FUNCTION count_shots()`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TRIGGER count_shots ON shots');
  await run('DROP FUNCTION count_shots');
  await run('DROP FUNCTION count_shot');
  await run('DROP TABLE station_totals');
};
