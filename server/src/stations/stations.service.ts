import { Injectable } from '@nestjs/common';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import { checkOnScale } from '../grinders/onScale';
import { checkMethod } from '../methods/ownMethods.service';
import type { StationDto } from './station.dto';
import { Station } from './station.entity';

@Injectable()
export class StationsService extends Store<Station, StationDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Station, {
      what: 'station',
      order: [
        ['position', 'ASC'],
        ['name', 'ASC'],
      ],
      filters: ['coffeeId'],
    });
  }

  protected override async check(
    shopId: string,
    dto: StationDto,
    row: Station | null,
    transaction: Transaction,
  ): Promise<void> {
    if (row?.grind !== dto.grind) {
      await checkOnScale({ shopId, grinderId: dto.grinderId, grind: dto.grind, path: 'grind' }, transaction);
    }
    await checkMethod(shopId, dto.methodId, transaction);
  }
}
