import { Inject, Injectable } from '@nestjs/common';
import { Op, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { notFound, Problem } from '../common/problem';
import { writeOnce } from '../common/writeOnce';
import { CONFIG, type Config } from '../config';
import { shown, type Shown } from '../database/owned.model';
import { LiveService } from '../live/live.service';
import type { AskPullDto, GivePullDto, PullDto } from './pull.dto';
import { Pull } from './pull.entity';

/** A shot that nobody touches any longer is over, whatever became of its tablet. */
const OVER_MS = 10 * 60_000;
/** Whoever holds a shot may be at the grinder: after so long without an answer it goes to the one who asked. */
const ANSWER_MS = 10_000;

@Injectable()
export class PullsService {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly sequelize: Sequelize,
    private readonly live: LiveService,
  ) {}

  /** Those being pulled now, the newest first. */
  async open(shopId: string): Promise<Shown<Pull>[]> {
    const since = new Date(this.config.now() - OVER_MS);
    const where = { shopId, endedAt: null, updatedAt: { [Op.gte]: since } };
    return (await Pull.findAll({ where, order: [['updatedAt', 'DESC']], limit: 20 })).map(shown);
  }

  async get(shopId: string, id: string): Promise<Shown<Pull>> {
    return shown(await this.row(shopId, id));
  }

  /** Written by the tablet that holds it and by no other; the last word of its holder counts. */
  put(shopId: string, id: string, dto: PullDto): Promise<Shown<Pull>> {
    return this.change(shopId, id, async (row, transaction) => {
      const values = { ...dto, runId: dto.runId ?? null, ownerName: dto.ownerName ?? '' };
      const times = { startedAt: dto.startedAt ?? null, endedAt: dto.endedAt ?? null };
      if (!row) return Pull.create({ ...values, ...times, shopId, id } as never, { transaction });
      if (row.ownerId !== dto.ownerId) {
        throw new Problem('conflict', 'Another tablet holds this shot now.', [
          { path: 'ownerId', message: 'is not the tablet that holds it: ask for it first' },
        ]);
      }
      return row.update({ ...values, ...times, revision: row.revision + 1 } as never, { transaction });
    });
  }

  ask(shopId: string, id: string, { tabletId, name }: AskPullDto): Promise<Shown<Pull>> {
    return this.change(shopId, id, async (row, transaction) => {
      if (!row) throw notFound('shot being pulled');
      if (row.ownerId === tabletId || row.askedById === tabletId) return row;
      const asked = { askedById: tabletId, askedByName: name ?? '', askedAt: new Date(this.config.now()) };
      return row.update({ ...asked, revision: row.revision + 1 }, { transaction });
    });
  }

  /** The holder gives it, or keeps it; whoever asked takes it where no answer came. */
  give(shopId: string, id: string, { tabletId, toId }: GivePullDto): Promise<Shown<Pull>> {
    return this.change(shopId, id, async (row, transaction) => {
      if (!row) throw notFound('shot being pulled');
      const isUnanswered = row.askedAt !== null && this.config.now() - row.askedAt.getTime() >= ANSWER_MS;
      const mayTake = tabletId === toId && row.askedById === tabletId && isUnanswered;
      if (row.ownerId !== tabletId && !mayTake) {
        throw new Problem('conflict', 'The tablet that holds this shot has not answered yet.', [
          { path: 'tabletId', message: 'must hold the shot, or have asked for it ten seconds ago' },
        ]);
      }
      const ownerName = toId === row.askedById ? row.askedByName : row.ownerName;
      const given = { ownerId: toId, ownerName, askedById: null, askedByName: '', askedAt: null };
      return row.update({ ...given, revision: row.revision + 1 }, { transaction });
    });
  }

  private async row(shopId: string, id: string): Promise<Pull> {
    const found = await Pull.findOne({ where: { shopId, id } });
    if (!found) throw notFound('shot being pulled');
    return found;
  }

  private async change(
    shopId: string,
    id: string,
    work: (row: Pull | null, transaction: Transaction) => Promise<Pull>,
  ): Promise<Shown<Pull>> {
    return writeOnce(this.sequelize, async (transaction) => {
      const row = await Pull.findOne({ where: { shopId, id }, transaction, lock: true });
      const written = await work(row, transaction);
      await this.live.tell(shopId, { kind: 'pull', pullId: id, stationId: written.stationId }, transaction);
      return shown(written);
    });
  }
}
