import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { BasketDto } from './basket.dto';
import { Basket } from './basket.entity';

@Injectable()
export class BasketsService {
  readonly store: Store<Basket, BasketDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({ sequelize, model: Basket, what: 'basket', order: [['name', 'ASC']] });
  }
}
