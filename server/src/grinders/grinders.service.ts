import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { GrinderDto } from './grinder.dto';
import { Grinder } from './grinder.entity';

@Injectable()
export class GrindersService {
  readonly store: Store<Grinder, GrinderDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({ sequelize, model: Grinder, what: 'grinder', order: [['name', 'ASC']] });
  }
}
