import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { BarScaleDto } from './barScale.dto';
import { BarScale } from './barScale.entity';

@Injectable()
export class BarScalesService {
  readonly store: Store<BarScale, BarScaleDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({ sequelize, model: BarScale, what: 'scale', order: [['name', 'ASC']] });
  }
}
