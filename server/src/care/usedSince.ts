import { QueryTypes, type Sequelize } from 'sequelize';

/** What went through a machine or a grinder since a moment, and through it lately. */
export interface Used {
  shots: number;
  kg: number;
  paceShots: number;
  paceKg: number;
}

interface Asked {
  key: string;
  machineId: string | null;
  grinderId: string | null;
  /** null: since it stands here. */
  since: Date | null;
}

/** A shot whose dose nobody said counts as the station aims. */
const DOSE = `coalesce(x."doseGrams", (s."target" ->> 'doseGrams')::float8, 0)`;
const counted = (from: string): string =>
  `(SELECT count(*) AS "shots", sum(${DOSE}) AS "grams" FROM shots x
    WHERE x."shopId" = s."shopId" AND x."stationId" = s."id" AND x."pulledAt" > ${from} AND x."removedAt" IS NULL OFFSET 0)`;

/**
 * Counted from the stations' own index, as far back as each was done last; the whole history from the running totals.
 *
 * @returns by key; nothing for the bar as a whole
 */
export async function usedSince(
  sequelize: Sequelize,
  shopId: string,
  { places, paceFrom }: { places: readonly Asked[]; paceFrom: Date },
): Promise<Map<string, Used>> {
  const asked = places.filter(({ machineId, grinderId }) => machineId !== null || grinderId !== null);
  const rows = await sequelize.query<Used & { key: string }>(
    `SELECT a."key", coalesce(sum(gone."shots"), 0)::int AS "shots", coalesce(sum(gone."grams"), 0) / 1000 AS "kg",
            coalesce(sum(pace."shots"), 0)::int AS "paceShots", coalesce(sum(pace."grams"), 0) / 1000 AS "paceKg"
     FROM jsonb_to_recordset(:asked::jsonb) AS a("key" text, "machineId" uuid, "grinderId" uuid, "since" timestamptz)
     JOIN stations s ON s."shopId" = :shopId AND (s."machineId" = a."machineId" OR s."grinderId" = a."grinderId")
     CROSS JOIN LATERAL (
       SELECT "shots", "grams" FROM station_totals t
         WHERE a."since" IS NULL AND t."shopId" = s."shopId" AND t."stationId" = s."id"
       UNION ALL
       SELECT "shots", "grams" FROM ${counted('a."since"')} since WHERE a."since" IS NOT NULL) gone
     CROSS JOIN LATERAL ${counted(':paceFrom')} pace
     GROUP BY a."key"`,
    { replacements: { shopId, asked: JSON.stringify(asked), paceFrom }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ key, ...used }) => [key, used]));
}
