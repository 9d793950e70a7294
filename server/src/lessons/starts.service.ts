import { Injectable } from '@nestjs/common';
import { suggestStart, usualSlope, type KeptSetting, type StartSuggestion } from '@olvet/core';
import { QueryTypes, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Basket } from '../baskets/basket.entity';
import { Clock } from '../clock/clock';
import { Coffee } from '../coffees/coffee.entity';
import { notFound } from '../common/problem';
import { Grinder } from '../grinders/grinder.entity';
import type { StartQuery } from './start.dto';

/** Older recipes say little of burrs and bags of today. */
const NEWEST_RECIPES = 30;

/** Where to set a grinder for a coffee, from the recipes it has kept. */
@Injectable()
export class StartsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly clock: Clock,
  ) {}

  /** @throws Problem when the shop has no such grinder, coffee or basket */
  async suggest(shopId: string, query: StartQuery, transaction?: Transaction): Promise<StartSuggestion | null> {
    const { grinderId, coffeeId, basketId, doseGrams, yieldGrams, middleSeconds } = query;
    const grinder = await Grinder.findOne({ where: { shopId, id: grinderId }, transaction });
    if (!grinder) throw notFound('grinder');
    const coffee = await Coffee.findOne({ where: { shopId, id: coffeeId }, transaction });
    if (!coffee) throw notFound('coffee');
    const basket = await Basket.findOne({ where: { shopId, id: basketId }, transaction });
    if (!basket) throw notFound('basket');
    const kept = await this.keptOn(shopId, grinderId, transaction);
    const { finer, learnedSlope } = grinder;
    const scale = { min: grinder.min, max: grinder.max, step: grinder.step };
    const bed = { basketId, basketMm: basket.diameterMm, doseGrams };
    const wanted = { coffeeId, roast: coffee.roast, ...bed, yieldGrams, middleSeconds };
    return suggestStart(wanted, kept, { scale, finer, slope: learnedSlope ?? usualSlope(scale) });
  }

  private keptOn(shopId: string, grinderId: string, transaction?: Transaction): Promise<KeptSetting[]> {
    return this.sequelize.query<KeptSetting>(
      `SELECT run."coffeeId", coffee."name" AS "coffeeName", coffee."roast",
              run."basketId", basket."diameterMm"::float8 AS "basketMm",
              (v."recipe" ->> 'grind')::float8 AS "grind", (v."recipe" ->> 'doseGrams')::float8 AS "doseGrams",
              (v."recipe" ->> 'yieldGrams')::float8 AS "yieldGrams",
              ((v."recipe" #>> '{timeSeconds,min}')::float8 + (v."recipe" #>> '{timeSeconds,max}')::float8) / 2
                AS "middleSeconds",
              greatest(0, extract(epoch FROM :now::timestamptz - run."startedAt") / 86400)::float8 AS "daysAgo"
       FROM (SELECT * FROM runs WHERE "shopId" = :shopId AND "grinderId" = :grinderId AND "lesson" IS NOT NULL
             ORDER BY "startedAt" DESC LIMIT ${NEWEST_RECIPES}) run
       JOIN card_versions v ON v."shopId" = run."shopId" AND v."runId" = run."id"
       JOIN coffees coffee ON coffee."shopId" = run."shopId" AND coffee."id" = run."coffeeId"
       JOIN baskets basket ON basket."shopId" = run."shopId" AND basket."id" = run."basketId"`,
      { replacements: { shopId, grinderId, now: this.clock.now() }, type: QueryTypes.SELECT, transaction },
    );
  }
}
