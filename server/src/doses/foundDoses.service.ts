import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { FoundDoseDto } from './foundDose.dto';
import { FoundDose } from './foundDose.entity';

@Injectable()
export class FoundDosesService {
  readonly store: Store<FoundDose, FoundDoseDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({
      sequelize,
      model: FoundDose,
      what: 'dose',
      order: [['foundAt', 'DESC']],
      filters: ['basketId', 'coffeeId'],
    });
  }
}
