import { Injectable } from '@nestjs/common';
import { shopDayStart, stockOf, type ShopHours } from '@olvet/core';
import dayjs from 'dayjs';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { ShopService } from '../shop/shop.service';
import type { BagStockView, CoffeePaceView, StockView, TastedCoffeeView, TastedTodayView, WearView } from './shelf.dto';

/** The usual pace is that of the last two weeks. */
const PACE_DAYS = 14;
/** Nobody said how much of the cup they drank: a sip. */
const SIP = 0.25;

/**
 * Shots with the coffee they were made of; a dose nobody said is taken as the station aims. Lateral, so that every
 * station's own index bounds the work to the time asked for.
 */
const SHOTS_SINCE = `
  SELECT coalesce(x."coffeeId", s."coffeeId") AS "coffeeId", x."pulledAt",
         coalesce(x."doseGrams", (s."target" ->> 'doseGrams')::float8) + CASE WHEN x."purged" AND x."grind" <> x."before" THEN g."purgeGrams" ELSE 0 END AS "grams"
  FROM stations s
  JOIN grinders g ON g."shopId" = s."shopId" AND g."id" = s."grinderId"
  CROSS JOIN LATERAL (
    SELECT "coffeeId", "pulledAt", "doseGrams", "purged", "grind", lag("grind") OVER (ORDER BY "pulledAt") AS "before"
    FROM shots WHERE "shopId" = s."shopId" AND "stationId" = s."id" AND "pulledAt" >= :since
      AND "removedAt" IS NULL) x
  WHERE s."shopId" = :shopId`;

/** What was left of a coffee in hopper and grinder when another one came in. */
const THROWN_SINCE = `SELECT "fromCoffeeId" AS "coffeeId", "changedAt" AS "pulledAt", "thrownGrams" AS "grams"
  FROM coffee_changes WHERE "shopId" = :shopId AND "changedAt" >= :since`;

/** When the shop's day on which a bag was opened began. */
const DAY_BEGAN = `(("openedOn" + make_interval(hours => :firstHour)) AT TIME ZONE :timeZone)`;

/** What is left of the coffee, what the burrs have ground, who has tasted how much. */
@Injectable()
export class ShelfService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly shops: ShopService,
    private readonly clock: Clock,
  ) {}

  async stock(shopId: string): Promise<StockView> {
    const hours = await this.shops.hours(shopId);
    const [bags, pace] = await Promise.all([this.bags(shopId, hours), this.pace(shopId)]);
    return { bags, pace };
  }

  /** What each open bag has left: what was ground of its coffee since it was opened or weighed, until the next one was opened. */
  private async bags(shopId: string, hours: ShopHours): Promise<BagStockView[]> {
    const bags = await this.sequelize.query<{ bagId: string; coffeeId: string; fullGrams: number; usedGrams: number }>(
      `WITH open AS (
         SELECT "id", "coffeeId", coalesce("weighedGrams", "weightGrams") AS "fullGrams",
                coalesce("weighedAt", ${DAY_BEGAN}) AS "since",
                lead(${DAY_BEGAN}) OVER (PARTITION BY "coffeeId" ORDER BY "openedOn" NULLS LAST) AS "until"
         FROM bags WHERE "shopId" = :shopId AND "finishedAt" IS NULL),
       first AS (SELECT coalesce(min("since"), 'infinity') AS "since" FROM open),
       used AS (${`${SHOTS_SINCE} UNION ALL ${THROWN_SINCE}`.replaceAll(':since', '(SELECT "since" FROM first)')})
       SELECT open."id" AS "bagId", open."coffeeId", open."fullGrams", coalesce(sum(used."grams"), 0)::float8 AS "usedGrams"
       FROM open LEFT JOIN used ON used."coffeeId" = open."coffeeId" AND used."pulledAt" >= open."since"
         AND (open."until" IS NULL OR used."pulledAt" < open."until")
       GROUP BY open."id", open."coffeeId", open."fullGrams"`,
      { replacements: { shopId, ...hours }, type: QueryTypes.SELECT },
    );
    return bags.map(({ bagId, coffeeId, fullGrams, usedGrams }) => ({
      bagId,
      coffeeId,
      leftGrams: Math.round(stockOf({ weightGrams: fullGrams, usedGrams, gramsPerDay: 0 }).leftGrams),
    }));
  }

  private pace(shopId: string): Promise<CoffeePaceView[]> {
    const since = dayjs(this.clock.now()).subtract(PACE_DAYS, 'day').toDate();
    return this.sequelize.query(
      `SELECT "coffeeId", (sum("grams") / ${PACE_DAYS})::float8 AS "gramsPerDay",
              (count(*) / ${PACE_DAYS}.0)::float8 AS "shotsPerDay" FROM (${SHOTS_SINCE}) used GROUP BY "coffeeId"`,
      { replacements: { shopId, since }, type: QueryTypes.SELECT },
    );
  }

  wear(shopId: string): Promise<WearView[]> {
    return this.sequelize.query(
      `SELECT g."id" AS "grinderId", (g."groundKg" + coalesce(sum(total."grams"), 0) / 1000)::float8 AS "groundKg"
       FROM grinders g
       LEFT JOIN stations s ON s."shopId" = g."shopId" AND s."grinderId" = g."id"
       LEFT JOIN station_totals total ON total."shopId" = s."shopId" AND total."stationId" = s."id"
       WHERE g."shopId" = :shopId GROUP BY g."id", g."groundKg"`,
      { replacements: { shopId }, type: QueryTypes.SELECT },
    );
  }

  async tastedToday(shopId: string): Promise<TastedTodayView[]> {
    const since = shopDayStart(this.clock.now(), await this.shops.hours(shopId));
    const rows = await this.sequelize.query<TastedCoffeeView & { person: string }>(
      `SELECT t."person", coalesce(shot."doseGrams", 18) AS "doseGrams", coalesce(t."share", ${SIP})::float8 AS "share",
              c."arabicaPercent", coalesce(c."decaf", false) AS "decaf"
       FROM tastings t
       JOIN shots shot ON shot."shopId" = t."shopId" AND shot."id" = t."shotId" AND shot."removedAt" IS NULL
       JOIN stations s ON s."shopId" = t."shopId" AND s."id" = shot."stationId"
       LEFT JOIN coffees c ON c."shopId" = t."shopId" AND c."id" = coalesce(shot."coffeeId", s."coffeeId")
       WHERE t."shopId" = :shopId AND t."createdAt" >= :since ORDER BY t."person", t."createdAt" LIMIT 2000`,
      { replacements: { shopId, since }, type: QueryTypes.SELECT },
    );
    const people = new Map<string, TastedCoffeeView[]>();
    for (const { person, ...cup } of rows) people.set(person, [...(people.get(person) ?? []), cup]);
    return [...people].map(([person, cups]) => ({ person, cups }));
  }
}
