import { Injectable } from '@nestjs/common';
import type { ShopHours } from '@olvet/core';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { v7 } from 'uuid';
import { requireSeen } from '../common/store';
import { shown, type Shown } from '../database/owned.model';
import type { ShopDto } from './shop.dto';
import { Shop } from './shop.entity';

@Injectable()
export class ShopService {
  private id: string | null = null;

  constructor(private readonly sequelize: Sequelize) {}

  /** The one shop of this house, made on first use in an empty database. */
  async currentId(): Promise<string> {
    this.id ??= (await this.ensure()).id;
    return this.id;
  }

  async get(shopId: string, transaction?: Transaction): Promise<Shown<Shop>> {
    return shown(await Shop.findByPk(shopId, { rejectOnEmpty: true, transaction }));
  }

  /** When this shop's day is. */
  async hours(shopId: string, transaction?: Transaction): Promise<ShopHours> {
    return hoursOf(await this.get(shopId, transaction));
  }

  async put(shopId: string, dto: ShopDto): Promise<Shown<Shop>> {
    const shop = await Shop.findByPk(shopId, { rejectOnEmpty: true });
    requireSeen('shop', dto.revision, shop.revision);
    return shown(await shop.update({ ...saidIn(dto), revision: shop.revision + 1 }));
  }

  private async ensure(): Promise<Shop> {
    return this.sequelize.transaction(async (transaction) => {
      // Two first requests at once must not make two shops.
      await this.sequelize.query('LOCK TABLE shops IN SHARE ROW EXCLUSIVE MODE', { transaction });
      const shop = await Shop.findOne({ order: [['createdAt', 'ASC']], transaction });
      return shop ?? Shop.create({ id: v7(), name: 'My bar' }, { transaction });
    });
  }
}

export function hoursOf({ timeZone, firstHour }: ShopHours): ShopHours {
  return { timeZone, firstHour };
}

/** What is left out, or null, stays as it is. */
function saidIn(dto: ShopDto): object {
  return Object.fromEntries(Object.entries(dto).filter(([, value]) => value != null));
}
