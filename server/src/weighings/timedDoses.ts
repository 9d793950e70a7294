import { usualSlope, type TimedGrinder, type TimedWeighing } from '@olvet/core';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { Grinder } from '../grinders/grinder.entity';

/** Older ones fade anyway. */
const NEWEST = 40;

export interface KnownWeighing extends TimedWeighing {
  ageDays: number;
  from: 'weighing' | 'shot';
}

export function timedGrinderOf({ min, max, step, finer, learnedSlope }: Grinder): TimedGrinder {
  return { finer, logTimePerUnit: learnedSlope?.mean ?? usualSlope({ min, max, step }).mean };
}

/**
 * What a timed grinder gave, oldest first: weighings of their own and doses logged with shots.
 * @param until nothing later counts, so that a closed dial-in keeps its advice
 */
export function timedWeighings(
  sequelize: Sequelize,
  shopId: string,
  grinderId: string,
  until: Date = new Date(),
): Promise<KnownWeighing[]> {
  return sequelize
    .query<KnownWeighing>(
      `SELECT x."seconds", x."grams", x."grind", x."from",
            greatest(0, extract(epoch FROM :until::timestamptz - x."at") / 86400)::float8 AS "ageDays"
     FROM (
       (SELECT "seconds", "grams", "grind", "weighedAt" AS "at", 'weighing' AS "from" FROM weighings
        WHERE "shopId" = :shopId AND "grinderId" = :grinderId AND "removedAt" IS NULL AND "weighedAt" <= :until::timestamptz + interval '1 day'
        ORDER BY "weighedAt" DESC LIMIT ${NEWEST})
       UNION ALL
       (SELECT shot."grindSeconds", shot."doseGrams", shot."grind", shot."pulledAt", 'shot' FROM stations s
        JOIN shots shot ON shot."shopId" = s."shopId" AND shot."stationId" = s."id"
        WHERE s."shopId" = :shopId AND s."grinderId" = :grinderId AND shot."grindSeconds" IS NOT NULL
          AND shot."doseGrams" IS NOT NULL AND shot."grind" IS NOT NULL AND shot."removedAt" IS NULL
          AND shot."pulledAt" <= :until::timestamptz + interval '1 day'
        ORDER BY shot."pulledAt" DESC LIMIT ${NEWEST})
     ) x ORDER BY x."at" DESC LIMIT ${NEWEST}`,
      { replacements: { shopId, grinderId, until }, type: QueryTypes.SELECT },
    )
    .then((rows) => rows.reverse());
}
