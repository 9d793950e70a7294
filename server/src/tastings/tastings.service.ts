import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { TastingDto } from './tasting.dto';
import { Tasting } from './tasting.entity';

@Injectable()
export class TastingsService extends Store<Tasting, TastingDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Tasting, { what: 'tasting', order: [['createdAt', 'DESC']] });
  }
}
