import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store } from '../common/store';
import type { PersonDto } from './person.dto';
import { Person } from './person.entity';

@Injectable()
export class PeopleService {
  readonly store: Store<Person, PersonDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore({ sequelize, model: Person, what: 'person', order: [['name', 'ASC']] });
  }
}
