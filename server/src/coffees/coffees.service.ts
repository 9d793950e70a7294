import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { CoffeeDto } from './coffee.dto';
import { Coffee } from './coffee.entity';

@Injectable()
export class CoffeesService {
  readonly store: Store<Coffee, CoffeeDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({ sequelize, model: Coffee, what: 'coffee', order: [['name', 'ASC']] });
  }
}
