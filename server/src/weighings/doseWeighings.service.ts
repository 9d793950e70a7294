import { Injectable } from '@nestjs/common';
import { doseCreep, fitTimedDose } from '@olvet/core';
import { Sequelize } from 'sequelize-typescript';
import { notFound } from '../common/problem';
import { createStore, type Store } from '../common/store';
import { Grinder } from '../grinders/grinder.entity';
import type { DoseWeighingDto } from './doseWeighing.dto';
import { DoseWeighing } from './doseWeighing.entity';
import type { TimedDoseDeskView } from './timedDose.view';
import { timedGrinderOf, timedWeighings } from './timedDoses';

@Injectable()
export class DoseWeighingsService {
  readonly store: Store<DoseWeighing, DoseWeighingDto>;

  constructor(private readonly sequelize: Sequelize) {
    this.store = createStore({
      sequelize,
      model: DoseWeighing,
      what: 'weighing',
      order: [['weighedAt', 'DESC']],
      filters: ['grinderId'],
      listed: { removedAt: null },
    });
  }

  /** The weighings of one grinder with what they say together. */
  async desk(shopId: string, grinderId: string): Promise<TimedDoseDeskView> {
    const grinder = await Grinder.findOne({ where: { shopId, id: grinderId } });
    if (!grinder) throw notFound('grinder');
    const weighings = await timedWeighings(this.sequelize, shopId, grinderId);
    return { weighings, model: fitTimedDose(timedGrinderOf(grinder), weighings), creep: doseCreep(weighings) };
  }
}
