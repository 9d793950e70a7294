import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Problem } from '../common/problem';
import { Store } from '../common/store';
import type { BagDto } from './bag.dto';
import { Bag } from './bag.entity';

@Injectable()
export class BagsService extends Store<Bag, BagDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Bag, {
      what: 'bag',
      order: [
        ['roastedOn', 'DESC'],
        ['createdAt', 'DESC'],
      ],
      filters: ['coffeeId'],
    });
  }

  protected override async check(_shopId: string, dto: BagDto): Promise<void> {
    // A day may already have begun elsewhere on earth.
    const tomorrow = new Date(Date.now() + 24 * 3600 * 1000).toISOString().slice(0, 10);
    const errors = (['roastedOn', 'openedOn'] as const)
      .filter((path) => dto[path] != null && dto[path] > tomorrow)
      .map((path) => ({ path, message: 'lies in the future: check the day' }));
    if (dto.roastedOn && dto.openedOn && dto.openedOn < dto.roastedOn) {
      errors.push({ path: 'openedOn', message: 'must not be before roastedOn' });
    }
    if (errors.length > 0) throw new Problem('invalid', 'The days of this bag cannot be right.', errors);
  }
}
