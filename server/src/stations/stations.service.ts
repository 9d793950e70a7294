import { Injectable } from '@nestjs/common';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
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

  protected override check(shopId: string, dto: StationDto, _row: unknown, transaction: Transaction): Promise<void> {
    return checkMethod(shopId, dto.methodId, transaction);
  }
}
