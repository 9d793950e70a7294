import { Injectable } from '@nestjs/common';
import {
  ageingBetween,
  EFFECTS,
  freedShots,
  learnEffects,
  restOf,
  usualSlope,
  type Assumable,
  type EffectShot,
  type FoundTime,
  type FrozenSpell,
  type Roast,
  type ShopHours,
} from '@olvet/core';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { RecipeDto } from '../cards/card.dto';
import { Clock } from '../clock/clock';
import { Grinder } from '../grinders/grinder.entity';
import { hoursOf, ShopService } from '../shop/shop.service';
import { Station } from '../stations/station.entity';
import { AirOfRoom } from './airOfRoom';
import type { ForecastScoreView, LearnedHereView } from './effects.dto';

/** Weather and bags of a season; a busy bar says as much in fewer shots. */
const LOOKS_BACK_DAYS = 120;
const MOST_SHOTS = 3000;
const DAY_MS = 24 * 3600_000;

interface ShotRow {
  pulledAt: Date;
  /** The shop's day, and the hour of its clock: by the database, which reads a time zone far quicker. */
  day: string;
  hour: number;
  grind: number;
  timeSeconds: number;
  doseGrams: number | null;
  yieldGrams: number | null;
  assumed: Assumable[];
  purged: boolean;
  cardId: string;
  recipe: RecipeDto;
  found: FoundTime;
  roast: Roast;
  roastedOn: string | null;
  frozen: FrozenSpell[] | null;
}

/** What humidity, warmth, age and hour have meant here, put together from the shots themselves. */
@Injectable()
export class EffectsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly shops: ShopService,
    private readonly clock: Clock,
  ) {}

  async learned(shopId: string): Promise<LearnedHereView[]> {
    const since = new Date(this.clock.now().getTime() - LOOKS_BACK_DAYS * DAY_MS);
    const [shop, stations, grinders, air] = await Promise.all([
      this.shops.get(shopId),
      Station.findAll({ where: { shopId, retiredAt: null }, order: [['position', 'ASC']] }),
      Grinder.findAll({ where: { shopId } }),
      AirOfRoom.since(this.sequelize, shopId, since),
    ]);
    const hours = hoursOf(shop);
    const used = grinders.filter(({ id }) => stations.some(({ grinderId }) => grinderId === id));
    const learned = await Promise.all(
      used.map(async (grinder) => {
        const rows = await this.shots(shopId, grinder.id, since, hours);
        const ageing = ageingByDay();
        const shots = rows.flatMap((row) => effectShot(row, { grinder, air, ageing }) ?? []);
        return { grinder, effects: learnEffects(shots) };
      }),
    );
    return Promise.all(
      stations.map(async ({ id, grinderId }) => {
        const { grinder, effects } = learned.find((each) => each.grinder.id === grinderId)!;
        const forecasts = await this.score(shopId, id, grinder);
        return { stationId: id, effects: EFFECTS.map((name) => ({ name, ...effects[name] })), forecasts };
      }),
    );
  }

  private shots(shopId: string, grinderId: string, since: Date, hours: ShopHours): Promise<ShotRow[]> {
    return this.sequelize.query<ShotRow>(
      `SELECT x."pulledAt", to_char(x."local" - make_interval(hours => :firstHour), 'YYYY-MM-DD') AS "day",
              (extract(epoch FROM x."local"::time) / 3600)::float8 AS "hour", x."grind", x."timeSeconds", x."doseGrams", x."yieldGrams", x."assumed", x."purged",
              v."cardId", v."recipe", v."found", c."roast", bag."roastedOn", bag."frozen"
       FROM stations s
       CROSS JOIN LATERAL (
         SELECT "pulledAt", "pulledAt" AT TIME ZONE :timeZone AS "local", "shopId", "grind", "timeSeconds", "timer",
                "doseGrams", "yieldGrams", "assumed", "purged", "cardVersionId", "coffeeId"
         FROM shots WHERE "shopId" = s."shopId" AND "stationId" = s."id" AND "pulledAt" >= :since
           AND "removedAt" IS NULL AND "kind" <> 'dial-in' AND "cause" IS NULL AND "hourKnown" AND "grind" IS NOT NULL
           AND "timeSeconds" IS NOT NULL AND "cardVersionId" IS NOT NULL
         ORDER BY "pulledAt" DESC LIMIT ${MOST_SHOTS}) x
       JOIN card_versions v ON v."shopId" = x."shopId" AND v."id" = x."cardVersionId" AND v."found" IS NOT NULL
         AND v."recipe" ->> 'timer' = x."timer"
       JOIN coffees c ON c."shopId" = x."shopId" AND c."id" = x."coffeeId"
       LEFT JOIN LATERAL (SELECT "roastedOn", "frozen" FROM bags WHERE "shopId" = x."shopId"
                          AND "coffeeId" = x."coffeeId" AND "openedOn" <= x."local"::date
                          ORDER BY "openedOn" DESC LIMIT 1) bag ON true
       WHERE s."shopId" = :shopId AND s."grinderId" = :grinderId
       ORDER BY x."pulledAt" DESC LIMIT ${MOST_SHOTS}`,
      { replacements: { shopId, grinderId, since, ...hours }, type: QueryTypes.SELECT },
    );
  }

  /** Each forecast against the first shot of its day, as it would have run where the forecast was for. */
  private async score(shopId: string, stationId: string, grinder: Grinder): Promise<ForecastScoreView> {
    const { mean: slope } = grinder.learnedSlope ?? usualSlope(grinder);
    const finer = grinder.finer === 'higher' ? 1 : -1;
    const [row] = await this.sequelize.query<ForecastScoreView>(
      `SELECT count(*)::int AS "mornings",
              count(*) FILTER (WHERE "seconds" BETWEEN "p10" AND "p90")::int AS "hits"
       FROM (SELECT (o."forecast" ->> 'p10')::float8 AS "p10", (o."forecast" ->> 'p90')::float8 AS "p90",
                    first."timeSeconds" * exp(:slope * ((o."forecast" ->> 'grind')::float8 - first."grind")) AS "seconds"
             FROM openings o
             CROSS JOIN LATERAL (
               SELECT "timeSeconds", "grind" FROM shots
               WHERE "shopId" = o."shopId" AND "stationId" = o."stationId" AND "removedAt" IS NULL
                 AND "pulledAt" >= o."createdAt" AND "pulledAt" < o."createdAt" + interval '12 hours'
                 AND "timeSeconds" IS NOT NULL AND "grind" IS NOT NULL AND "hourKnown"
               ORDER BY "pulledAt" LIMIT 1) first
             WHERE o."shopId" = :shopId AND o."stationId" = :stationId AND o."forecast" IS NOT NULL) mornings`,
      { replacements: { shopId, stationId, slope: finer * slope }, type: QueryTypes.SELECT },
    );
    return row!;
  }
}

function effectShot(
  row: ShotRow,
  { grinder, air, ageing }: { grinder: Grinder; air: AirOfRoom; ageing: (row: ShotRow) => number | null },
): EffectShot | null {
  const { recipe, found, pulledAt, day, hour, cardId } = row;
  const at = pulledAt.toISOString();
  const { grind, doseGrams, yieldGrams, timeSeconds, assumed, purged } = row;
  const card = {
    ...{ grind: recipe.grind, doseGrams: recipe.doseGrams, yieldGrams: recipe.yieldGrams },
    timeSeconds: { mean: found.seconds, sd: found.sd, shots: found.shots },
  };
  const shot = { at, grind, doseGrams, yieldGrams, timeSeconds, assumed, purged };
  const freed = freedShots({ card, shots: [shot] })[0];
  if (!freed || freed.doubt !== 'none') return null;
  const { mean: slope } = grinder.learnedSlope ?? usualSlope(grinder);
  const units = (grinder.finer === 'higher' ? 1 : -1) * (grind - recipe.grind);
  return { ...{ day, hour, cardId, log: freed.log - slope * units }, ...air.at(pulledAt), ageing: ageing(row) };
}

/** What ageing is thought to have brought since the coffee came into its own: worked out once for the shots of a day. */
function ageingByDay(): (row: ShotRow) => number | null {
  const known = new Map<string, number | null>();
  return (row) => {
    const key = `${row.day} ${row.roast} ${row.roastedOn} ${JSON.stringify(row.frozen)}`;
    if (!known.has(key)) known.set(key, ageingOf(row));
    return known.get(key)!;
  };
}

function ageingOf({ roast, roastedOn, frozen, day }: ShotRow): number | null {
  if (roastedOn === null || roastedOn > day) return null;
  const { ageDays, band } = restOf({ roastedOn, today: day, roast, frozen: frozen ?? [] });
  return ageingBetween(band.bestFromDay, ageDays, band);
}
