import { Injectable } from '@nestjs/common';
import { daysBetween, fitTimedDose, shopDay, type Method, type TimedDoseModel } from '@olvet/core';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Bag } from '../bags/bag.entity';
import { Basket } from '../baskets/basket.entity';
import { referenceOf, type ReferenceView } from '../cards/reference';
import { Coffee } from '../coffees/coffee.entity';
import { notFound } from '../common/problem';
import { FoundDose } from '../doses/foundDose.entity';
import { Grinder } from '../grinders/grinder.entity';
import type { PalateView } from '../lessons/palate.dto';
import { PalatesService } from '../lessons/palates.service';
import { Machine } from '../machines/machine.entity';
import { ownMethod } from '../methods/ownMethods.service';
import { Run } from '../runs/run.entity';
import { Shot } from '../shots/shot.entity';
import { ShopService } from '../shop/shop.service';
import { Station } from '../stations/station.entity';
import { Tasting } from '../tastings/tasting.entity';
import { timedGrinderOf, timedWeighings } from '../weighings/timedDoses';

export interface Sheet {
  run: Run;
  station: Station;
  grinder: Grinder;
  machine: Machine;
  basket: Basket;
  coffee: Coffee;
  ageDays: number | null;
  centsPerGram: number | null;
  palates: PalateView[];
  method: Method | null;
  timedDose: TimedDoseModel | null;
  foundDose: FoundDose | null;
  hasScale: boolean;
  reference: ReferenceView | null;
  shots: (Shot & { tastings: Tasting[] })[];
}

/** Reads all that one dial-in shows and is advised from. Never within a transaction: it asks for several connections. */
@Injectable()
export class SheetReader {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly palates: PalatesService,
    private readonly shops: ShopService,
  ) {}

  async read(shopId: string, id: string): Promise<Sheet> {
    const run = await Run.findOne({ where: { shopId, id } });
    if (!run) throw notFound('dial-in');
    const day = shopDay(run.startedAt, await this.shops.hours(shopId));
    const own = (rowId: string) => ({ where: { shopId, id: rowId }, rejectOnEmpty: true as const });
    const [station, grinder, machine, basket, coffee, bag, method, foundDose, reference, shots] = await Promise.all([
      Station.findOne(own(run.stationId)),
      Grinder.findOne(own(run.grinderId)),
      Machine.findOne(own(run.machineId)),
      Basket.findOne(own(run.basketId)),
      Coffee.findOne(own(run.coffeeId)),
      openBag(shopId, run, day),
      ownMethod(shopId, run.methodId),
      foundDoseOf(shopId, run),
      referenceOf(this.sequelize, run),
      Shot.findAll({
        where: { shopId, runId: id, removedAt: null },
        order: [
          ['pulledAt', 'ASC'],
          ['id', 'ASC'],
        ],
      }),
    ]);
    const isTimed = grinder.dosing === 'timed';
    const [tastings, weighings] = await Promise.all([
      tastingsOfRun(this.sequelize, shopId, id),
      isTimed ? timedWeighings(this.sequelize, shopId, run.grinderId, run.startedAt) : [],
    ]);
    const tastingsOf = new Map<string, Tasting[]>(shots.map(({ id: shotId }) => [shotId, []]));
    for (const tasting of tastings) tastingsOf.get(tasting.shotId)?.push(tasting);
    const people = [...new Set(tastings.map(({ person }) => person))].filter((person) => person !== '');
    return {
      run,
      station,
      grinder,
      machine,
      basket,
      coffee,
      ageDays: bag?.roastedOn ? Math.max(0, daysBetween(bag.roastedOn, day)) : null,
      method,
      timedDose: isTimed ? fitTimedDose(timedGrinderOf(grinder), weighings) : null,
      foundDose,
      reference,
      hasScale: station.weighs,
      palates: await this.palates.list(shopId, people),
      centsPerGram: bag?.priceCents == null ? null : bag.priceCents / bag.weightGrams,
      shots: shots.map((shot) => ({
        ...(shot.toJSON() as Shot),
        tastings: tastingsOf.get(shot.id) ?? [],
      })) as Sheet['shots'],
    };
  }
}

/** The bag in use when the run began: the newest one roasted by then. */
function openBag(shopId: string, run: Run, day: string): Promise<Bag | null> {
  return Bag.findOne({
    where: {
      shopId,
      coffeeId: run.coffeeId,
      roastedOn: { [Op.or]: { [Op.lte]: day, [Op.is]: null } },
    },
    order: [['roastedOn', 'DESC NULLS LAST']],
  });
}

/** The newest dose somebody found for this basket and coffee. */
function foundDoseOf(shopId: string, { basketId, coffeeId }: Run): Promise<FoundDose | null> {
  return FoundDose.findOne({ where: { shopId, basketId, coffeeId }, order: [['foundAt', 'DESC']] });
}

/** Oldest first; through the run's own shots, so that the list of ids need not travel. */
function tastingsOfRun(sequelize: Sequelize, shopId: string, runId: string): Promise<Tasting[]> {
  return sequelize.query(
    `SELECT t.* FROM shots x JOIN tastings t ON t."shopId" = x."shopId" AND t."shotId" = x."id"
     WHERE x."shopId" = :shopId AND x."runId" = :runId AND x."removedAt" IS NULL ORDER BY t."createdAt"`,
    { replacements: { shopId, runId }, model: Tasting, mapToModel: true },
  );
}
