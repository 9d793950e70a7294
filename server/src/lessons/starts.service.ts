import { Injectable } from '@nestjs/common';
import { suggestStart, type KeptSetting, type StartSuggestion } from '@olvet/core';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Coffee } from '../coffees/coffee.entity';
import { notFound } from '../common/problem';
import { Grinder } from '../grinders/grinder.entity';
import type { StartQuery } from './start.dto';

/** Older recipes say little of burrs and bags of today. */
const NEWEST_RECIPES = 30;
/** A grinder that has taught nothing yet: one unit moves the time by a usual step. */
const USUAL_SLOPE = 0.06;

/** Where to set a grinder for a coffee, from the recipes it has kept. */
@Injectable()
export class StartsService {
  constructor(private readonly sequelize: Sequelize) {}

  async suggest(shopId: string, query: StartQuery): Promise<StartSuggestion | null> {
    const { grinderId, coffeeId, doseGrams, yieldGrams, middleSeconds } = query;
    const [grinder, coffee, kept] = await Promise.all([
      Grinder.findOne({ where: { shopId, id: grinderId } }),
      Coffee.findOne({ where: { shopId, id: coffeeId } }),
      this.keptOn(shopId, grinderId),
    ]);
    if (!grinder) throw notFound('grinder');
    if (!coffee) throw notFound('coffee');
    const { min, max, step, finer, learnedSlope } = grinder;
    return suggestStart({ coffeeId, roast: coffee.roast, doseGrams, yieldGrams, middleSeconds }, kept, {
      scale: { min, max, step },
      finer,
      slope: learnedSlope?.mean ?? USUAL_SLOPE,
    });
  }

  private keptOn(shopId: string, grinderId: string): Promise<KeptSetting[]> {
    return this.sequelize.query<KeptSetting>(
      `SELECT run."coffeeId", coffee."name" AS "coffeeName", coffee."roast",
              (v."recipe" ->> 'grind')::float8 AS "grind", (v."recipe" ->> 'doseGrams')::float8 AS "doseGrams",
              (v."recipe" ->> 'yieldGrams')::float8 AS "yieldGrams",
              ((v."recipe" #>> '{timeSeconds,min}')::float8 + (v."recipe" #>> '{timeSeconds,max}')::float8) / 2
                AS "middleSeconds",
              greatest(0, extract(epoch FROM now() - run."startedAt") / 86400)::float8 AS "daysAgo"
       FROM (SELECT * FROM runs WHERE "shopId" = :shopId AND "grinderId" = :grinderId AND "lesson" IS NOT NULL
             ORDER BY "startedAt" DESC LIMIT ${NEWEST_RECIPES}) run
       JOIN card_versions v ON v."shopId" = run."shopId" AND v."runId" = run."id"
       JOIN coffees coffee ON coffee."shopId" = run."shopId" AND coffee."id" = run."coffeeId"`,
      { replacements: { shopId, grinderId }, type: QueryTypes.SELECT },
    );
  }
}
