import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { BarScaleDto } from './barScale.dto';
import { BarScale } from './barScale.entity';

@Injectable()
export class BarScalesService extends Store<BarScale, BarScaleDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, BarScale, { what: 'scale', order: [['name', 'ASC']] });
  }
}
