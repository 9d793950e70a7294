import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { OpeningDto } from './opening.dto';
import { Opening } from './opening.entity';

@Injectable()
export class OpeningsService extends Store<Opening, OpeningDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Opening, { what: 'opening', order: [['day', 'DESC']], filters: ['stationId'] });
  }
}
