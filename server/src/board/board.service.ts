import { Injectable } from '@nestjs/common';
import {
  daysBetween,
  driftedStart,
  judgedStart,
  dueCheck,
  soonerCheck,
  shopDay,
  shopDayStart,
  stationState,
  usualSlope,
  type LearnedSlope,
} from '@olvet/core';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import type { JudgedDayView } from '../judging/judged.dto';
import { JudgeService, type Judgeable } from '../judging/judge.service';
import { hoursOf, ShopService } from '../shop/shop.service';
import { shown } from '../database/owned.model';
import { Keeper } from '../keeping/keeper.entity';
import type { Shop } from '../shop/shop.entity';
import { Station } from '../stations/station.entity';
import type { BoardCardView, BoardShotView, BoardStationView, BoardView } from './board.dto';

interface NamesRow {
  stationId: string;
  coffeeName: string;
  grinderName: string;
  finer: 'lower' | 'higher';
  min: number;
  max: number;
  step: number;
  learnedSlope: LearnedSlope | null;
  dosing: 'timed' | 'weighed';
  purgeGrams: number;
  machineName: string;
  basketName: string;
  roastedOn: string | null;
  bagOpenedAt: Date | null;
  checkedAt: Date | null;
  beforeCoffeeId: string | null;
  beforeCoffeeName: string | null;
  openRunId: string | null;
  cardId: string | null;
}

interface CardRow extends BoardCardView {
  stationId: string;
}

interface ShotRow extends BoardShotView {
  stationId: string;
  timer: string;
}

const SHOTS_SHOWN = 12;
/** More than anybody chooses among with a wet finger. */
const CARDS_SHOWN = 6;

/** How every station stands, in a few indexed queries however long the history is. */
@Injectable()
export class BoardService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly shops: ShopService,
    private readonly clock: Clock,
    private readonly judges: JudgeService,
  ) {}

  async read(shopId: string): Promise<BoardView> {
    const now = this.clock.now();
    const shop = await this.shops.get(shopId);
    const hours = hoursOf(shop);
    const dayStart = shopDayStart(now, hours);
    const today = shopDay(now, hours);
    const [stations, names, cards, shots, used, keepers] = await Promise.all([
      Station.findAll({
        where: { shopId, retiredAt: null },
        order: [
          ['position', 'ASC'],
          ['name', 'ASC'],
        ],
      }),
      this.names(shopId, dayStart),
      this.cards(shopId),
      this.lastShots(shopId),
      this.usedSince(shopId, dayStart),
      Keeper.findAll({ where: { shopId } }),
    ]);
    const namesOf = new Map(names.map((row) => [row.stationId, row]));
    const judged = await this.judges.judge(shopId, judgeable(stations, { names: namesOf, cards, keepers, shop }), {
      now,
      dayStart,
    });
    return {
      stations: stations.flatMap((station) => {
        const row = namesOf.get(station.id);
        // Put up between the queries: it stands on the board at the next look.
        if (!row) return [];
        const own = shots.filter((shot) => shot.stationId === station.id);
        const byRule = dueCheck(shop, { now, lastCheckAt: row.checkedAt, bagOpenedAt: row.bagOpenedAt }, hours);
        const day = judged.get(station.id) ?? null;
        const check = soonerCheck(byRule, row.openRunId === null ? lookAgainAt(day) : null, now);
        return {
          ...describe(station, row, own, { dayStart, today, day }),
          day,
          keeper: keeperView(keepers.find(({ id }) => id === station.id)),
          check: shown(check),
          cards: cards.flatMap(({ stationId, ...card }) => (stationId === station.id ? [card] : [])),
        };
      }),
      ...used,
    };
  }

  private names(shopId: string, dayStart: Date): Promise<NamesRow[]> {
    return this.sequelize.query<NamesRow>(
      `SELECT s."id" AS "stationId", c."name" AS "coffeeName", g."name" AS "grinderName", g."finer",
              g."min"::float8, g."max"::float8, g."step"::float8, g."learnedSlope", g."dosing", g."purgeGrams",
              m."name" AS "machineName", b."name" AS "basketName", bag."roastedOn", bag."openedAt" AS "bagOpenedAt",
              run."id" AS "openRunId", card."id" AS "cardId", checked."pulledAt" AS "checkedAt",
              before."id" AS "beforeCoffeeId", before."name" AS "beforeCoffeeName"
       FROM stations s
       JOIN coffees c ON c."shopId" = s."shopId" AND c."id" = s."coffeeId"
       JOIN grinders g ON g."shopId" = s."shopId" AND g."id" = s."grinderId"
       JOIN machines m ON m."shopId" = s."shopId" AND m."id" = s."machineId"
       JOIN baskets b ON b."shopId" = s."shopId" AND b."id" = s."basketId"
       LEFT JOIN LATERAL (SELECT "roastedOn", "openedAt" FROM bags WHERE "shopId" = s."shopId" AND "coffeeId" = s."coffeeId"
                          AND "finishedAt" IS NULL ORDER BY "roastedOn" DESC NULLS LAST LIMIT 1) bag ON true
       LEFT JOIN LATERAL (SELECT "id", "status" FROM runs WHERE "shopId" = s."shopId" AND "stationId" = s."id"
                          AND "status" = 'open' ORDER BY "startedAt" DESC LIMIT 1) run ON true
       LEFT JOIN LATERAL (SELECT "id" FROM cards WHERE "shopId" = s."shopId" AND "coffeeId" = s."coffeeId"
                          AND "stationId" = s."id" AND "retiredAt" IS NULL ORDER BY "updatedAt" DESC LIMIT 1) card ON true
       LEFT JOIN LATERAL (SELECT "pulledAt" FROM shots WHERE "shopId" = s."shopId" AND "stationId" = s."id"
                          AND "pulledAt" >= :dayStart AND "kind" <> 'service' AND "removedAt" IS NULL
                          ORDER BY "pulledAt" DESC LIMIT 1) checked ON true
       LEFT JOIN LATERAL (SELECT other."id", other."name" FROM coffee_changes ch
                          JOIN coffees other ON other."shopId" = ch."shopId" AND other."id" = ch."fromCoffeeId"
                          WHERE ch."shopId" = s."shopId" AND ch."stationId" = s."id" AND other."id" <> s."coffeeId"
                            AND other."retiredAt" IS NULL
                          ORDER BY ch."changedAt" DESC LIMIT 1) before ON true
       WHERE s."shopId" = :shopId AND s."retiredAt" IS NULL`,
      { replacements: { shopId, dayStart }, type: QueryTypes.SELECT },
    );
  }

  /** The cards of what stands at each station, each in its newest version: the one last poured by, then those changed last. */
  private cards(shopId: string): Promise<CardRow[]> {
    return this.sequelize.query<CardRow>(
      `SELECT s."id" AS "stationId", c."id" AS "cardId", c."name", c."purpose", v."id" AS "versionId", v."version",
              v."recipe", v."found", kept."traced"->'line' AS "reference"
       FROM stations s
       LEFT JOIN LATERAL (
         SELECT v."cardId" FROM shots x
         JOIN card_versions v ON v."shopId" = x."shopId" AND v."id" = x."cardVersionId"
         WHERE x."shopId" = s."shopId" AND x."stationId" = s."id" AND x."cardVersionId" IS NOT NULL
         ORDER BY x."pulledAt" DESC LIMIT 1) poured ON true
       -- The one apart from the others, so that these come from their index however many there are.
       CROSS JOIN LATERAL (
         (SELECT * FROM cards WHERE "shopId" = s."shopId" AND "id" = poured."cardId" AND "coffeeId" = s."coffeeId"
            AND "retiredAt" IS NULL)
         UNION ALL
         (SELECT * FROM cards WHERE "shopId" = s."shopId" AND "coffeeId" = s."coffeeId" AND "stationId" = s."id"
            AND "retiredAt" IS NULL AND "id" IS DISTINCT FROM poured."cardId"
          ORDER BY "updatedAt" DESC LIMIT ${CARDS_SHOWN - 1})) c
       CROSS JOIN LATERAL (SELECT * FROM card_versions WHERE "shopId" = s."shopId" AND "cardId" = c."id"
                           ORDER BY "version" DESC LIMIT 1) v
       LEFT JOIN shots kept ON kept."shopId" = s."shopId" AND kept."id" = v."shotId"
       WHERE s."shopId" = :shopId AND s."retiredAt" IS NULL
       ORDER BY (c."id" IS NOT DISTINCT FROM poured."cardId") DESC, c."updatedAt" DESC`,
      { replacements: { shopId }, type: QueryTypes.SELECT },
    );
  }

  private lastShots(shopId: string): Promise<ShotRow[]> {
    return this.sequelize.query<ShotRow>(
      `SELECT last.* FROM stations s
       CROSS JOIN LATERAL (
         SELECT "id", "stationId", "pulledAt", "grind", "timeSeconds", "timer" FROM shots
         WHERE "shopId" = s."shopId" AND "stationId" = s."id" AND "removedAt" IS NULL
           AND "timeSeconds" IS NOT NULL ORDER BY "pulledAt" DESC LIMIT ${SHOTS_SHOWN}) last
       WHERE s."shopId" = :shopId AND s."retiredAt" IS NULL ORDER BY last."pulledAt"`,
      { replacements: { shopId }, type: QueryTypes.SELECT },
    );
  }

  /** Doses since the shop's day began, as the station aims where nobody said them, and a purge wherever a station's grind differs from its shot before. */
  private async usedSince(shopId: string, since: Date): Promise<{ gramsToday: number; shotsToday: number }> {
    const rows = await this.sequelize.query<{ grams: number | null; shots: number }>(
      `SELECT sum(today."grams")::float8 AS "grams", count(*)::int AS "shots" FROM (
         SELECT coalesce(x."doseGrams", (s."target" ->> 'doseGrams')::float8) + CASE
           WHEN x."purged" AND x."grind" <> lag(x."grind") OVER (PARTITION BY x."stationId" ORDER BY x."pulledAt")
           THEN g."purgeGrams" ELSE 0 END AS "grams"
         FROM stations s
         JOIN grinders g ON g."shopId" = s."shopId" AND g."id" = s."grinderId"
         -- Lateral, so that each station's few shots come from its index however long the history is.
         CROSS JOIN LATERAL (
           SELECT "stationId", "doseGrams", "purged", "grind", "pulledAt" FROM shots
           WHERE "shopId" = s."shopId" AND "stationId" = s."id" AND "pulledAt" >= :since
             AND "removedAt" IS NULL OFFSET 0) x
         WHERE s."shopId" = :shopId) today`,
      { replacements: { shopId, since }, type: QueryTypes.SELECT },
    );
    return { gramsToday: Math.round(rows[0]?.grams ?? 0), shotsToday: rows[0]?.shots ?? 0 };
  }
}

/** Each station by the card it poured by last, where that has a found time. */
function judgeable(
  stations: Station[],
  rest: { names: Map<string, NamesRow>; cards: CardRow[]; keepers: Keeper[]; shop: Pick<Shop, 'toleranceSeconds'> },
): Judgeable[] {
  const { names, cards, keepers, shop } = rest;
  return stations.flatMap((station) => {
    const row = names.get(station.id);
    const card = cards.find(({ stationId }) => stationId === station.id);
    if (!row || !card?.found) return [];
    const { min, max, step, finer, dosing, purgeGrams, learnedSlope, bagOpenedAt } = row;
    return {
      ...{ stationId: station.id, grind: station.grind, grindSeconds: station.grindSeconds, bagOpenedAt },
      toleranceSeconds: shop.toleranceSeconds,
      limits: limitsOf(
        station,
        keepers.find(({ id }) => id === station.id),
      ),
      card: { cardId: card.cardId, name: card.name, recipe: card.recipe, found: card.found },
      grinder: { min, max, step, finer, dosing, purgeGrams, learnedSlope },
    };
  });
}

/** Once a station has poured today; before, the rule of the shop asks. What is to be turned needs no look first. */
function lookAgainAt(day: JudgedDayView | null): Date | null {
  const isAsked = day?.checkAt && day.shots.length > 0 && (day.action === 'none' || day.action === 'check');
  return isAsked ? new Date(day.checkAt!) : null;
}

/** A person's; while the loop keeps the station, no wider than its own. */
function limitsOf({ unitsPerMove, unitsPerDay }: Station, keeper: Keeper | undefined): Judgeable['limits'] {
  if (!keeper?.isOn || keeper.heldAt !== null) return { unitsPerMove, unitsPerDay };
  return {
    unitsPerMove: Math.min(unitsPerMove ?? Infinity, keeper.unitsPerMove),
    unitsPerDay: Math.min(unitsPerDay ?? Infinity, keeper.unitsPerDay),
  };
}

/** Where the judgement says that the time has drifted, it says where to begin, too; of a grind that was turned since, no shot has told. */
function startOf(
  day: JudgedDayView | null,
  grind: number | null,
  grinder: Parameters<typeof judgedStart>[0]['grinder'],
): ReturnType<typeof judgedStart> {
  if (!day) return null;
  const { foundSeconds, shiftSeconds, toleranceSeconds } = day;
  return Math.abs(shiftSeconds.mean) > toleranceSeconds
    ? judgedStart({ grind, foundSeconds, shiftSeconds, grinder })
    : null;
}

function keeperView(row: Keeper | undefined): BoardStationView['keeper'] {
  return row ? (shown(row.toJSON()) as unknown as BoardStationView['keeper']) : null;
}

function describe(
  station: Station,
  names: NamesRow,
  shots: ShotRow[],
  { dayStart, today, day }: { dayStart: Date; today: string; day: JudgedDayView | null },
): Omit<BoardStationView, 'check' | 'cards' | 'day' | 'keeper'> {
  const { timeSeconds, timer } = station.target;
  const last = shots.at(-1);
  const onClock = shots.filter((shot) => shot.timer === timer);
  const state = stationState({
    timesSeconds: onClock.map((shot) => shot.timeSeconds!),
    windowSeconds: timeSeconds,
    pulledToday: last !== undefined && new Date(last.pulledAt) >= dayStart,
    runOpen: names.openRunId !== null,
  });
  const { finer, learnedSlope } = names;
  const scale = { min: names.min, max: names.max, step: names.step };
  const grinder = { scale, finer, slope: learnedSlope ?? usualSlope(scale) };
  const start =
    startOf(day, station.grind === last?.grind ? station.grind : null, grinder) ??
    driftedStart({
      state: day ? 'unknown' : state,
      grind: station.grind,
      shots: onClock.map((shot) => ({ grind: shot.grind ?? null, timeSeconds: shot.timeSeconds! })),
      windowSeconds: timeSeconds,
      grinder,
    });
  return {
    station: station as unknown as BoardStationView['station'],
    coffeeName: names.coffeeName,
    grinderName: names.grinderName,
    finer,
    machineName: names.machineName,
    basketName: names.basketName,
    ageDays: names.roastedOn === null ? null : Math.max(0, daysBetween(names.roastedOn, today)),
    state,
    start,
    openRunId: names.openRunId,
    cardId: names.cardId,
    beforeCoffeeId: names.beforeCoffeeId,
    beforeCoffeeName: names.beforeCoffeeName,
    checkedAt: names.checkedAt && names.checkedAt.toISOString(),
    shots: shots.map(({ id, pulledAt, grind, timeSeconds: seconds }) => ({
      id,
      pulledAt,
      grind,
      timeSeconds: seconds,
    })),
  };
}
