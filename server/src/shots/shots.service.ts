import { Injectable } from '@nestjs/common';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Problem } from '../common/problem';
import { Store } from '../common/store';
import { Run } from '../runs/run.entity';
import { RunsService } from '../runs/runs.service';
import { Tasting } from '../tastings/tasting.entity';
import { TastingsService } from '../tastings/tastings.service';
import type { ShotDto } from './shot.dto';
import { Shot, ShotEdit } from './shot.entity';

@Injectable()
export class ShotsService extends Store<Shot, ShotDto> {
  constructor(
    sequelize: Sequelize,
    private readonly tastings: TastingsService,
    private readonly runs: RunsService,
  ) {
    super(sequelize, Shot, {
      what: 'shot',
      order: [
        ['pulledAt', 'DESC'],
        ['id', 'DESC'],
      ],
      filters: ['stationId', 'runId'],
    });
  }

  /** The shot and, where given, its first taste note: all or nothing. */
  override async put(shopId: string, id: string, dto: ShotDto, within?: Transaction): Promise<Shot> {
    const { tasting, ...shot } = dto;
    if (within) return super.put(shopId, id, shot, within);
    const saved = await this.putWithTasting(shopId, id, shot, tasting);
    await this.runs.learnAgain(shopId, saved.runId);
    return saved;
  }

  private async putWithTasting(
    shopId: string,
    id: string,
    shot: Omit<ShotDto, 'tasting'>,
    tasting: ShotDto['tasting'],
  ): Promise<Shot> {
    if (!tasting) return super.put(shopId, id, shot);
    return this.sequelize.transaction(async (transaction) => {
      const saved = await super.put(shopId, id, shot, transaction);
      const { id: tastingId, ...values } = tasting;
      const seen = await Tasting.findOne({ where: { shopId, id: tastingId }, transaction });
      await this.tastings.put(shopId, tastingId, { ...values, shotId: id, revision: seen?.revision }, transaction);
      return saved;
    });
  }

  async history(shopId: string, id: string): Promise<ShotEdit[]> {
    await this.get(shopId, id);
    return ShotEdit.findAll({ where: { shopId, shotId: id }, order: [['revision', 'DESC']] });
  }

  protected override async beforeChange(row: Shot, _dto: ShotDto, transaction: Transaction): Promise<void> {
    await ShotEdit.create(
      { shopId: row.shopId, shotId: row.id, revision: row.revision, before: row.toJSON() },
      { transaction },
    );
  }

  /** A shot of a run was pulled on the run's station. */
  protected override async check(
    shopId: string,
    dto: ShotDto,
    row: Shot | null,
    transaction: Transaction,
  ): Promise<void> {
    if (!dto.runId) return;
    const run = await Run.findOne({ where: { shopId, id: dto.runId }, transaction });
    if (run && run.stationId !== dto.stationId) {
      throw new Problem('invalid', 'This shot is filed under another station than its run.', [
        { path: 'stationId', message: 'is not the station of this run' },
      ]);
    }
    if (run && run.status !== 'open' && row === null) {
      throw new Problem('conflict', 'This dial-in is closed.', [
        { path: 'runId', message: 'is a closed dial-in: open a new one' },
      ]);
    }
  }
}
