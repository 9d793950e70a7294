import { Injectable } from '@nestjs/common';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { createStore, type Store, type Writing } from '../common/store';
import { shown, type Shown } from '../database/owned.model';
import { LearningService } from '../learning/learning.service';
import { Shot } from '../shots/shot.entity';
import type { TastingDto } from './tasting.dto';
import { Tasting, TastingEdit } from './tasting.entity';

@Injectable()
export class TastingsService {
  readonly store: Store<Tasting, TastingDto>;

  constructor(
    sequelize: Sequelize,
    private readonly learning: LearningService,
  ) {
    const rows = createStore<Tasting, TastingDto>({
      sequelize,
      model: Tasting,
      what: 'tasting',
      order: [['createdAt', 'DESC']],
      beforeChange: keepTrace,
      afterWrite: (row, transaction) => this.learnAgain(row, transaction),
    });
    this.store = { ...rows, put: (shopId, id, dto) => this.put(shopId, rows.write(shopId, id, dto)) };
  }

  private async put(shopId: string, written: Promise<Tasting>): Promise<Shown<Tasting>> {
    const saved = await written;
    const shot = await Shot.findOne({ attributes: ['runId'], where: { shopId, id: saved.shotId } });
    await this.learning.settledFor(shopId, shot?.runId ?? null);
    return shown(saved);
  }

  private async learnAgain({ shopId, shotId }: Tasting, transaction: Transaction): Promise<void> {
    const shot = await Shot.findOne({ attributes: ['runId'], where: { shopId, id: shotId }, transaction });
    await this.learning.enqueueAgain(shopId, shot?.runId ?? null, transaction);
  }
}

async function keepTrace(row: Tasting, { transaction }: Writing<Tasting, TastingDto>): Promise<void> {
  const { shopId, id, revision } = row;
  await TastingEdit.create({ shopId, tastingId: id, revision, before: row.toJSON() }, { transaction });
}
