import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { OpeningDto } from './opening.dto';
import { Opening } from './opening.entity';

@Injectable()
export class OpeningsService {
  readonly store: Store<Opening, OpeningDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({
      sequelize,
      model: Opening,
      what: 'opening',
      order: [['day', 'DESC']],
      filters: ['stationId'],
    });
  }
}
