import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { GrinderDto } from './grinder.dto';
import { Grinder } from './grinder.entity';

@Injectable()
export class GrindersService extends Store<Grinder, GrinderDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Grinder, { what: 'grinder', order: [['name', 'ASC']] });
  }

  protected override serverOwned(): readonly string[] {
    return ['learnedSlope'];
  }
}
