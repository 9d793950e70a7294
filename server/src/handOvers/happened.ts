import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { HappenedView } from './handOver.dto';

/** More than a turn brings; the newest count. */
const MOST = 200;

/** One row a table: when, what, where, and what else is known of it. */
const SOURCES = [
  `SELECT m."at", m."answer" AS "kind", m."stationId", NULL AS "name", m."fromGrind", m."toGrind", NULL::int AS "version",
          m."isKeeper", NULL AS "heldWhy", m."why", m."changedBy" AS "by"
   FROM day_moves m WHERE m."shopId" = :shopId AND m."at" >= :since AND m."undoneAt" IS NULL`,
  `SELECT v."createdAt", 'card', c."stationId", c."name", NULL, NULL, v."version", false, NULL, '', v."changedBy"
   FROM card_versions v JOIN cards c ON c."shopId" = v."shopId" AND c."id" = v."cardId"
   WHERE v."shopId" = :shopId AND v."createdAt" >= :since`,
  `SELECT x."changedAt", 'coffee', x."stationId", c."name", NULL, NULL, NULL, false, NULL, '', x."changedBy"
   FROM coffee_changes x JOIN coffees c ON c."shopId" = x."shopId" AND c."id" = x."toCoffeeId"
   WHERE x."shopId" = :shopId AND x."changedAt" >= :since`,
  `SELECT b."openedAt", 'bag', NULL, c."name", NULL, NULL, NULL, false, NULL, '', b."changedBy"
   FROM bags b JOIN coffees c ON c."shopId" = b."shopId" AND c."id" = b."coffeeId"
   WHERE b."shopId" = :shopId AND b."openedAt" >= :since`,
  `SELECT e."at", e."kind", e."stationId", NULL, NULL, NULL, NULL, false, NULL, '', e."changedBy"
   FROM station_events e WHERE e."shopId" = :shopId AND e."at" >= :since AND e."removedAt" IS NULL`,
  `SELECT k."heldAt", 'held', k."id", NULL, NULL, NULL, NULL, true, k."heldWhy", '', k."changedBy"
   FROM keepers k WHERE k."shopId" = :shopId AND k."heldAt" >= :since AND k."isOn"`,
];

/** What happened at the bar since then, oldest first. */
export async function happenedSince(sequelize: Sequelize, shopId: string, since: Date): Promise<HappenedView[]> {
  const rows = await sequelize.query<HappenedView>(
    `SELECT h."at", h."kind", s."name" AS "stationName", h."name", h."fromGrind", h."toGrind", h."version", h."isKeeper",
            h."heldWhy", h."why", h."by"
     FROM (${SOURCES.map((source) => `(${source})`).join(' UNION ALL ')}) h
     LEFT JOIN stations s ON s."shopId" = :shopId AND s."id" = h."stationId"
     ORDER BY h."at" DESC LIMIT ${MOST}`,
    { replacements: { shopId, since }, type: QueryTypes.SELECT },
  );
  return rows.reverse();
}
