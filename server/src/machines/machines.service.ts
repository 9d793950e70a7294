import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { MachineDto } from './machine.dto';
import { Machine } from './machine.entity';

@Injectable()
export class MachinesService {
  readonly store: Store<Machine, MachineDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({ sequelize, model: Machine, what: 'machine', order: [['name', 'ASC']] });
  }
}
