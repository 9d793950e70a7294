import { Injectable } from '@nestjs/common';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Store } from '../common/store';
import { RunsService } from '../runs/runs.service';
import { Shot } from '../shots/shot.entity';
import type { TastingDto } from './tasting.dto';
import { Tasting } from './tasting.entity';

@Injectable()
export class TastingsService extends Store<Tasting, TastingDto> {
  constructor(
    sequelize: Sequelize,
    private readonly runs: RunsService,
  ) {
    super(sequelize, Tasting, { what: 'tasting', order: [['createdAt', 'DESC']] });
  }

  override async put(shopId: string, id: string, dto: TastingDto, within?: Transaction): Promise<Tasting> {
    const saved = await super.put(shopId, id, dto, within);
    if (within) return saved;
    const shot = await Shot.findOne({ attributes: ['runId'], where: { shopId, id: saved.shotId } });
    await this.runs.learnAgain(shopId, shot?.runId);
    return saved;
  }
}
