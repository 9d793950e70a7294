import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import type { MachineDto } from './machine.dto';
import { Machine } from './machine.entity';

@Injectable()
export class MachinesService extends Store<Machine, MachineDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Machine, { what: 'machine', order: [['name', 'ASC']] });
  }

  protected override serverOwned(): readonly string[] {
    return ['temperatureOffset', 'firstDrip'];
  }
}
