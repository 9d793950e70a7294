import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store, type Writing } from '../common/store';
import { checkOnScale } from '../grinders/onScale';
import { checkMethod } from '../methods/ownMethods.service';
import type { StationDto } from './station.dto';
import { Station } from './station.entity';

@Injectable()
export class StationsService {
  readonly store: Store<Station, StationDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({
      sequelize,
      model: Station,
      what: 'station',
      order: [
        ['position', 'ASC'],
        ['name', 'ASC'],
      ],
      filters: ['coffeeId'],
      check: checkStation,
    });
  }
}

async function checkStation({ shopId, dto, row, transaction }: Writing<Station, StationDto>): Promise<void> {
  if (row?.grind !== dto.grind) {
    await checkOnScale({ shopId, grinderId: dto.grinderId, grind: dto.grind, path: 'grind' }, transaction);
  }
  await checkMethod(shopId, dto.methodId, transaction);
}
