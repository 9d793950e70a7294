import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
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
}
