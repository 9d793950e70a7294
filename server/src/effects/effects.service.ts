import { Injectable } from '@nestjs/common';
import {
  ageingBetween,
  clockTimeOf,
  EFFECTS,
  freedShots,
  learnEffects,
  restOf,
  shopDay,
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
    const known = { air, hours: hoursOf(shop) };
    const used = grinders.filter(({ id }) => stations.some(({ grinderId }) => grinderId === id));
    const learned = await Promise.all(
      used.map(async (grinder) => {
        const rows = await this.shots(shopId, grinder.id, since);
        return { grinder, effects: learnEffects(rows.flatMap((row) => effectShot(row, { grinder, ...known }) ?? [])) };
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

  private shots(shopId: string, grinderId: string, since: Date): Promise<ShotRow[]> {
    return this.sequelize.query<ShotRow>(
      `SELECT x."pulledAt", x."grind", x."timeSeconds", x."doseGrams", x."yieldGrams", x."assumed", x."purged",
              v."cardId", v."recipe", v."found", c."roast", bag."roastedOn", bag."frozen"
       FROM stations s
       CROSS JOIN LATERAL (
         SELECT * FROM shots WHERE "shopId" = s."shopId" AND "stationId" = s."id" AND "pulledAt" >= :since
           AND "removedAt" IS NULL AND "kind" <> 'dial-in' AND "cause" IS NULL AND "hourKnown" AND "grind" IS NOT NULL
           AND "timeSeconds" IS NOT NULL AND "cardVersionId" IS NOT NULL
         ORDER BY "pulledAt" DESC LIMIT ${MOST_SHOTS}) x
       JOIN card_versions v ON v."shopId" = x."shopId" AND v."id" = x."cardVersionId" AND v."found" IS NOT NULL
         AND v."recipe" ->> 'timer' = x."timer"
       JOIN coffees c ON c."shopId" = x."shopId" AND c."id" = x."coffeeId"
       LEFT JOIN LATERAL (SELECT "roastedOn", "frozen" FROM bags WHERE "shopId" = x."shopId"
                          AND "coffeeId" = x."coffeeId" AND "openedOn" <= x."pulledAt"::date
                          ORDER BY "openedOn" DESC LIMIT 1) bag ON true
       WHERE s."shopId" = :shopId AND s."grinderId" = :grinderId
       ORDER BY x."pulledAt" DESC LIMIT ${MOST_SHOTS}`,
      { replacements: { shopId, grinderId, since }, type: QueryTypes.SELECT },
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
  { grinder, air, hours }: { grinder: Grinder; air: AirOfRoom; hours: ShopHours },
): EffectShot | null {
  const { recipe, found, pulledAt } = row;
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
  const day = shopDay(pulledAt, hours);
  const [hour, minute] = clockTimeOf(pulledAt, hours).split(':').map(Number);
  return {
    ...{ day, hour: hour! + minute! / 60, cardId: row.cardId, log: freed.log - slope * units },
    ...air.at(pulledAt),
    ageing: ageingOf(row, day),
  };
}

/** What ageing is thought to have brought since the coffee came into its own. */
function ageingOf({ roast, roastedOn, frozen }: ShotRow, day: string): number | null {
  if (roastedOn === null || roastedOn > day) return null;
  const { ageDays, band } = restOf({ roastedOn, today: day, roast, frozen: frozen ?? [] });
  return ageingBetween(band.bestFromDay, ageDays, band);
}
