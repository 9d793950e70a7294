import { Injectable } from '@nestjs/common';
import { basketSize, basketTable, usualSlope, type TableBasket, type TableShot } from '@olvet/core';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Basket } from '../baskets/basket.entity';
import { Card, CardVersion } from '../cards/card.entity';
import { Coffee } from '../coffees/coffee.entity';
import { notFound, Problem } from '../common/problem';
import { createStore, type Store, type Writing } from '../common/store';
import { shown } from '../database/owned.model';
import { FoundDose } from '../doses/foundDose.entity';
import { Grinder } from '../grinders/grinder.entity';
import { Run } from '../runs/run.entity';
import { Station } from '../stations/station.entity';
import type { BasketRowDto, BasketTableQuery, BasketTableView } from './basketTable.dto';
import { BasketRow } from './basketRow.entity';

/** Newer ones tell enough of a basket. */
const SHOTS_READ = 200;

/** A coffee in every basket of the house, short, normal and long. */
@Injectable()
export class BasketTableService {
  readonly rows: Store<BasketRow, BasketRowDto>;

  constructor(private readonly sequelize: Sequelize) {
    this.rows = createStore<BasketRow, BasketRowDto>({
      ...{ sequelize, model: BasketRow, what: 'basket row', order: [['updatedAt', 'DESC']] },
      filters: ['coffeeId', 'basketId'],
      check: checkTakes,
    });
  }

  async read(shopId: string, { coffeeId, cardId }: BasketTableQuery): Promise<BasketTableView> {
    const [coffee, card] = await Promise.all([
      Coffee.findOne({ where: { shopId, id: coffeeId } }),
      Card.findOne({
        where: { shopId, coffeeId, retiredAt: null, ...(cardId ? { id: cardId } : {}) },
        order: [['updatedAt', 'DESC']],
      }),
    ]);
    if (!coffee) throw notFound('coffee');
    if (!card) {
      if (cardId) throw notFound('card');
      return { card: null, baskets: [] };
    }
    const [version, station] = await Promise.all([
      CardVersion.findOne({
        where: { shopId, cardId: card.id },
        order: [['version', 'DESC']],
        rejectOnEmpty: true,
      }),
      Station.findOne({ where: { shopId, id: card.stationId }, rejectOnEmpty: true }),
    ]);
    // The dial-in knows the basket and grinder it was found with; the station may have others by now.
    const run = version.runId ? await Run.findOne({ where: { shopId, id: version.runId } }) : null;
    const { grinderId, basketId } = run ?? station;
    const [grinder, baskets, doses, shots, saved] = await Promise.all([
      Grinder.findOne({ where: { shopId, id: grinderId }, rejectOnEmpty: true }),
      Basket.findAll({
        where: { shopId, retiredAt: null },
        order: [
          ['nominalGrams', 'ASC'],
          ['name', 'ASC'],
        ],
      }),
      FoundDose.findAll({ where: { shopId, coffeeId }, order: [['foundAt', 'DESC']] }),
      this.shots(shopId, { coffeeId, grinderId, timer: version.recipe.timer }),
      BasketRow.findAll({ where: { shopId, coffeeId, retiredAt: null }, order: [['updatedAt', 'DESC']] }),
    ]);
    const doseIn = (id: string): number | null => doses.find((dose) => dose.basketId === id)?.grams ?? null;
    const cells = basketTable(
      { ...version.recipe, basketId, foundSeconds: version.found?.seconds ?? null },
      baskets.map((basket): TableBasket => ({ ...basket.toJSON<Basket>(), foundDoseGrams: doseIn(basket.id) })),
      shots,
      { ...grinder.toJSON<Grinder>(), slope: grinder.learnedSlope ?? usualSlope(grinder) },
    );
    return {
      card: { ...version.recipe, cardId: card.id, name: card.name, version: version.version },
      baskets: baskets.flatMap(({ id, name, nominalGrams }) => {
        const own = cells.filter((cell) => cell.basketId === id);
        if (own.length === 0) return [];
        return [
          {
            ...{ basketId: id, name, size: basketSize(nominalGrams), isCard: id === basketId, shots: own[0]!.shots },
            cells: own.map(({ basketId: _basketId, shots: _shots, ...cell }) => {
              const row = saved.find((each) => each.basketId === id && each.length === cell.length) ?? null;
              return { ...cell, ...(row ? said(row) : {}), saved: shown(row) };
            }),
          },
        ];
      }),
    };
  }

  /** What was pulled of a coffee on a grinder in dial-ins, in whatever basket. */
  private shots(shopId: string, of: { coffeeId: string; grinderId: string; timer: string }): Promise<TableShot[]> {
    return this.sequelize.query<TableShot>(
      `SELECT r."basketId", x."grind", x."doseGrams", x."yieldGrams", x."timeSeconds"
       FROM (SELECT "shopId", "id", "basketId" FROM runs WHERE "shopId" = :shopId AND "coffeeId" = :coffeeId
               AND "grinderId" = :grinderId ORDER BY "startedAt" DESC LIMIT ${SHOTS_READ}) r
       JOIN shots x ON x."shopId" = r."shopId" AND x."runId" = r."id"
       WHERE x."timer" = :timer AND x."removedAt" IS NULL AND x."cause" IS NULL AND x."grind" IS NOT NULL
         AND x."doseGrams" IS NOT NULL AND x."yieldGrams" IS NOT NULL AND x."timeSeconds" IS NOT NULL
       ORDER BY x."pulledAt" DESC LIMIT ${SHOTS_READ}`,
      { replacements: { shopId, ...of }, type: QueryTypes.SELECT },
    );
  }
}

function said({ doseGrams, yieldGrams, timeSeconds }: BasketRow) {
  return { doseGrams, yieldGrams, timeSeconds, ratio: yieldGrams / doseGrams };
}

/** A basket takes what it takes; what is taken back may have been said when it took another. */
async function checkTakes({ shopId, dto, transaction }: Writing<BasketRow, BasketRowDto>): Promise<void> {
  const basket = await Basket.findOne({ where: { shopId, id: dto.basketId }, transaction });
  if (!basket) throw notFound('basket');
  if (dto.retiredAt) return;
  const { minGrams, maxGrams, name } = basket;
  if (dto.doseGrams >= minGrams && dto.doseGrams <= maxGrams) return;
  throw new Problem('invalid', `${name} takes ${minGrams} to ${maxGrams} g.`, [
    { path: 'doseGrams', message: `must be between ${minGrams} and ${maxGrams} for this basket` },
  ]);
}
