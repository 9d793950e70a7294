import { Injectable } from '@nestjs/common';
import { shopDay } from '@olvet/core';
import { Sequelize } from 'sequelize-typescript';
import { Bag } from '../bags/bag.entity';
import { Clock } from '../clock/clock';
import { notFound, Problem } from '../common/problem';
import { createStore, type Store, type Writing } from '../common/store';
import { checkOnScale } from '../grinders/onScale';
import { checkMethod } from '../methods/ownMethods.service';
import { ShopService } from '../shop/shop.service';
import { Station } from '../stations/station.entity';
import type { CoffeeChangeDto } from './coffeeChange.dto';
import { CoffeeChange } from './coffeeChange.entity';

/** A coffee is changed in one write: what was thrown out, and the station with its coffee, aim, method and setting. */
@Injectable()
export class CoffeeChangesService {
  readonly store: Store<CoffeeChange, CoffeeChangeDto>;

  constructor(
    sequelize: Sequelize,
    private readonly shops: ShopService,
    private readonly clock: Clock,
  ) {
    this.store = createStore<CoffeeChange, CoffeeChangeDto>({
      sequelize,
      model: CoffeeChange,
      what: 'change of coffee',
      order: [['changedAt', 'DESC']],
      filters: ['stationId'],
      check: checkChange,
      atCreation: async (writing) => {
        await this.openBag(writing);
        return setStation(writing);
      },
    });
  }

  /** What goes into the hopper is open from now on. */
  private async openBag({ shopId, dto, transaction }: Writing<CoffeeChange, CoffeeChangeDto>): Promise<void> {
    const bag = dto.bagId ? await Bag.findOne({ where: { shopId, id: dto.bagId }, transaction, lock: true }) : null;
    if (!bag || bag.openedOn !== null) return;
    const openedAt = this.clock.now();
    const openedOn = shopDay(openedAt, await this.shops.hours(shopId, transaction));
    await bag.update({ openedOn, openedAt, revision: bag.revision + 1 }, { transaction });
  }
}

async function checkChange({ shopId, dto, transaction }: Writing<CoffeeChange, CoffeeChangeDto>): Promise<void> {
  await checkMethod(shopId, dto.methodId, transaction);
  if (!dto.bagId) return;
  const bag = await Bag.findOne({ where: { shopId, id: dto.bagId }, transaction });
  if (bag && bag.coffeeId !== dto.toCoffeeId) {
    throw new Problem('invalid', 'This bag holds another coffee.', [
      { path: 'bagId', message: 'is a bag of another coffee: choose one of this' },
    ]);
  }
}

async function setStation({ shopId, dto, transaction }: Writing<CoffeeChange, CoffeeChangeDto>): Promise<object> {
  const where = { shopId, id: dto.stationId };
  const station = await Station.findOne({ where, transaction, lock: true });
  if (!station) throw notFound('station');
  const { coffeeId: fromCoffeeId, grinderId, revision } = station;
  if (fromCoffeeId === dto.toCoffeeId) {
    throw new Problem('invalid', 'This coffee stands there already.', [
      { path: 'toCoffeeId', message: 'is what the station pours now: choose another coffee' },
    ]);
  }
  const { toCoffeeId: coffeeId, methodId, target, grind = null } = dto;
  await checkOnScale({ shopId, grinderId, grind, path: 'grind' }, transaction);
  await station.update({ coffeeId, methodId, target, grind, revision: revision + 1 }, { transaction });
  return { fromCoffeeId };
}
