import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { CoffeeDto } from './coffee.dto';
import { Coffee } from './coffee.entity';

@Injectable()
export class CoffeesService extends Store<Coffee, CoffeeDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Coffee, { what: 'coffee', order: [['name', 'ASC']] });
  }

  protected override serverOwned(): readonly string[] {
    return ['learnedTaste'];
  }
}
