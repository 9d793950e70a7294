import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { BasketDto } from './basket.dto';
import { Basket } from './basket.entity';

@Injectable()
export class BasketsService extends Store<Basket, BasketDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Basket, { what: 'basket', order: [['name', 'ASC']] });
  }
}
