import { Injectable } from '@nestjs/common';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import { LearningService } from '../learning/learning.service';
import { Shot } from '../shots/shot.entity';
import type { TastingDto } from './tasting.dto';
import { Tasting, TastingEdit } from './tasting.entity';

@Injectable()
export class TastingsService extends Store<Tasting, TastingDto> {
  constructor(
    sequelize: Sequelize,
    private readonly learning: LearningService,
  ) {
    super(sequelize, Tasting, { what: 'tasting', order: [['createdAt', 'DESC']] });
  }

  override async put(shopId: string, id: string, dto: TastingDto, within?: Transaction): Promise<Tasting> {
    const saved = await super.put(shopId, id, dto, within);
    if (within) return saved;
    const shot = await Shot.findOne({ attributes: ['runId'], where: { shopId, id: saved.shotId } });
    await this.learning.settledFor(shopId, shot?.runId ?? null);
    return saved;
  }

  protected override async beforeChange(row: Tasting, _dto: TastingDto, transaction: Transaction): Promise<void> {
    const { shopId, id, revision } = row;
    await TastingEdit.create({ shopId, tastingId: id, revision, before: row.toJSON() }, { transaction });
  }

  protected override async afterWrite(row: Tasting, transaction: Transaction): Promise<void> {
    const shot = await Shot.findOne({
      attributes: ['runId'],
      where: { shopId: row.shopId, id: row.shotId },
      transaction,
    });
    await this.learning.enqueueAgain(row.shopId, shot?.runId ?? null, transaction);
  }
}
