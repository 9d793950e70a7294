import { Injectable } from '@nestjs/common';
import { doseCreep, fitTimedDose } from '@olvet/core';
import { Sequelize } from 'sequelize-typescript';
import { notFound } from '../common/problem';
import { Store } from '../common/store';
import { Grinder } from '../grinders/grinder.entity';
import type { DoseWeighingDto } from './doseWeighing.dto';
import { DoseWeighing } from './doseWeighing.entity';
import type { TimedDoseDeskView } from './timedDose.view';
import { timedGrinderOf, timedWeighings } from './timedDoses';

@Injectable()
export class DoseWeighingsService extends Store<DoseWeighing, DoseWeighingDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, DoseWeighing, { what: 'weighing', order: [['weighedAt', 'DESC']], filters: ['grinderId'] });
  }

  /** The weighings of one grinder with what they say together. */
  async desk(shopId: string, grinderId: string): Promise<TimedDoseDeskView> {
    const grinder = await Grinder.findOne({ where: { shopId, id: grinderId } });
    if (!grinder) throw notFound('grinder');
    const weighings = await timedWeighings(this.sequelize, shopId, grinderId);
    return { weighings, model: fitTimedDose(timedGrinderOf(grinder), weighings), creep: doseCreep(weighings) };
  }

  protected override listWhere(): object {
    return { discardedAt: null };
  }
}
