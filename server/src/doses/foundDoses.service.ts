import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { FoundDoseDto } from './foundDose.dto';
import { FoundDose } from './foundDose.entity';

@Injectable()
export class FoundDosesService extends Store<FoundDose, FoundDoseDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, FoundDose, { what: 'dose', order: [['foundAt', 'DESC']], filters: ['basketId', 'coffeeId'] });
  }
}
