import { Injectable } from '@nestjs/common';
import {
  extractionYieldPercent,
  MOST_EXTRACTED_PERCENT,
  tracedOf,
  type FieldError,
  type StoredTrace,
} from '@olvet/core';
import { QueryTypes, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { notFound, Problem } from '../common/problem';
import type { Page, PageQuery } from '../common/rows';
import { createStore, type Store, type Writing } from '../common/store';
import { writeOnce } from '../common/writeOnce';
import { shown, type Shown } from '../database/owned.model';
import { LearningService } from '../learning/learning.service';
import { Card, CardVersion } from '../cards/card.entity';
import { checkOnScale } from '../grinders/onScale';
import { Run } from '../runs/run.entity';
import { Station } from '../stations/station.entity';
import { TastingsService } from '../tastings/tastings.service';
import { completeShot } from './completeShot';
import type { ShotDto } from './shot.dto';
import { packTrace, unpackTrace } from './packTrace';
import { Shot, ShotEdit } from './shot.entity';
import { ShotTrace } from './trace.entity';

/** Far beyond any dial-in; what it reads, shows and learns from stays quick. */
const MOST_SHOTS = 200;

@Injectable()
export class ShotsService {
  readonly store: Store<Shot, ShotDto>;
  private readonly rows: Store<Shot, ShotDto>;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly tastings: TastingsService,
    private readonly learning: LearningService,
  ) {
    const rows = createStore<Shot, ShotDto>({
      sequelize,
      model: Shot,
      what: 'shot',
      order: [
        ['pulledAt', 'DESC'],
        ['id', 'DESC'],
      ],
      filters: ['stationId', 'runId'],
      total: (shopId, query) => (query.runId ? null : this.countAt(shopId, query.stationId)),
      check: checkShot,
      beforeChange: keepBefore,
      afterWrite: (row, transaction) =>
        row.runId
          ? learning.enqueueAgain(row.shopId, row.runId, transaction)
          : learning.enqueueService(row, transaction),
    });
    this.rows = rows;
    this.store = { ...rows, put: (shopId, id, dto) => this.put(shopId, id, dto) };
  }

  /** Several shots in one write: all of them or none. */
  async putAll(shopId: string, shots: readonly (ShotDto & { id: string })[]): Promise<Shown<Shot>[]> {
    const saved = await writeOnce(this.sequelize, async (transaction) => {
      const written: Shot[] = [];
      for (const [i, { id, ...dto }] of shots.entries()) {
        written.push(await within(`shots[${i}]`, () => this.write(shopId, id, dto, transaction)));
      }
      return written;
    });
    return saved.map(shown);
  }

  /** The shot and, where given, its first taste note: all or nothing. */
  private async put(shopId: string, id: string, dto: ShotDto): Promise<Shown<Shot>> {
    const saved = await writeOnce(this.sequelize, (transaction) => this.write(shopId, id, dto, transaction));
    await this.learning.settledFor(shopId, saved.runId);
    return shown(saved);
  }

  private async write(shopId: string, id: string, dto: ShotDto, transaction: Transaction): Promise<Shot> {
    const { tasting, trace, ...shot } = completeShot(dto);
    shot.coffeeId ??= await coffeeInHopper(shopId, id, shot, transaction);
    const written = await this.rows.write(shopId, id, shot, transaction);
    if (trace) await keepTrace(written, trace, transaction);
    if (tasting) {
      const { id: tastingId, ...values } = tasting;
      await this.tastings.store.write(shopId, tastingId, { ...values, shotId: id }, transaction);
    }
    return written;
  }

  /** From the running totals: counting a long history takes longer than reading a page of it. */
  private async countAt(shopId: string, stationId: string | undefined): Promise<number> {
    const [row] = await this.sequelize.query<{ shots: number }>(
      `SELECT coalesce(sum("shots"), 0)::int AS "shots" FROM station_totals
       WHERE "shopId" = :shopId ${stationId ? 'AND "stationId" = :stationId' : ''}`,
      { replacements: { shopId, stationId }, type: QueryTypes.SELECT },
    );
    return row!.shots;
  }

  /** What scale and machine said while it ran. */
  async trace(shopId: string, id: string): Promise<StoredTrace> {
    await this.store.row(shopId, id);
    const found = await ShotTrace.findOne({ where: { shopId, shotId: id } });
    if (!found) throw notFound('trace of a shot');
    return unpackTrace(found.body);
  }

  /** Newest first. */
  async history(shopId: string, id: string, { page = 1, pageSize = 50 }: PageQuery): Promise<Page<Shown<ShotEdit>>> {
    await this.store.row(shopId, id);
    const { rows, count } = await ShotEdit.findAndCountAll({
      where: { shopId, shotId: id },
      order: [['revision', 'DESC']],
      limit: pageSize,
      offset: (page - 1) * pageSize,
    });
    return { items: rows.map(shown), total: count, page, pageSize };
  }
}

/** Field paths of what fails inside one of a list say which one. */
async function within<T>(path: string, act: () => Promise<T>): Promise<T> {
  try {
    return await act();
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    const errors = error.errors.map((each) => ({ ...each, path: `${path}.${each.path}` }));
    throw new Problem(error.kind, error.message, errors);
  }
}

/** As it stands, else of the dial-in or the card it was pulled by, else what stands at the station now. */
async function coffeeInHopper(
  shopId: string,
  id: string,
  { runId, cardVersionId, stationId }: ShotDto,
  transaction: Transaction,
): Promise<string | null> {
  const own = (rowId: string) => ({ attributes: ['coffeeId'], where: { shopId, id: rowId }, transaction });
  const stands = await Shot.findOne(own(id));
  if (stands?.coffeeId) return stands.coffeeId;
  if (runId) return (await Run.findOne(own(runId)))?.coffeeId ?? null;
  const where = { shopId, id: cardVersionId };
  const version = cardVersionId ? await CardVersion.findOne({ where, transaction }) : null;
  const from = version ? await Card.findOne(own(version.cardId)) : await Station.findOne(own(stationId));
  return from?.coffeeId ?? null;
}

/** Kept once: sent again it is the same. Its figures lie with the shot. */
async function keepTrace(shot: Shot, trace: StoredTrace, transaction: Transaction): Promise<void> {
  const { shopId, id } = shot;
  await ShotTrace.upsert({ shopId, shotId: id, body: packTrace(trace) }, { transaction });
  // Not a change of the shot: its revision stays.
  await shot.update({ traced: tracedOf(trace, shot.timer) }, { transaction });
}

async function keepBefore(row: Shot, { transaction }: Writing<Shot, ShotDto>): Promise<void> {
  const { shopId, id, revision } = row;
  await ShotEdit.create({ shopId, shotId: id, revision, before: row.toJSON() }, { transaction });
}

/** A shot of a run was pulled on the run's station. */
async function checkShot({ shopId, dto, row, transaction }: Writing<Shot, ShotDto>): Promise<void> {
  checkFigures(dto);
  // The scale of a grinder may have changed since; what was set then stays, until it is touched.
  if (row?.grind !== dto.grind) await checkGrind(shopId, dto, transaction);
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
  if (row === null && (await Shot.count({ where: { shopId, runId: dto.runId }, transaction })) >= MOST_SHOTS) {
    throw new Problem('invalid', 'This dial-in is full.', [
      { path: 'runId', message: `has ${MOST_SHOTS} shots, the most a dial-in holds: close it and open a new one` },
    ]);
  }
}

/** What no shot can be, however it was poured. */
function checkFigures({ doseGrams, yieldGrams, tdsPercent, timeSeconds, firstDripSeconds, timer }: ShotDto): void {
  const errors: FieldError[] = [];
  if (timer !== 'first-drip' && timeSeconds != null && firstDripSeconds != null && firstDripSeconds > timeSeconds) {
    errors.push({ path: 'firstDripSeconds', message: 'must not be after the shot has ended' });
  }
  if (doseGrams != null && yieldGrams != null && tdsPercent != null) {
    const extracted = extractionYieldPercent({ tdsPercent, yieldGrams, doseGrams });
    if (extracted > MOST_EXTRACTED_PERCENT) {
      const message = `makes an extraction of ${extracted.toFixed(0)} %: above ${MOST_EXTRACTED_PERCENT} % there is none`;
      errors.push({ path: 'tdsPercent', message });
    }
  }
  if (errors.length > 0) throw new Problem('invalid', 'This shot cannot be right.', errors);
}

/** A setting is one of its grinder's: of the dial-in's, or else of the station's. */
async function checkGrind(shopId: string, { grind, runId, stationId }: ShotDto, transaction: Transaction) {
  if (grind == null) return;
  const where = { shopId, id: runId ?? stationId };
  const place = runId ? await Run.findOne({ where, transaction }) : await Station.findOne({ where, transaction });
  if (place) await checkOnScale({ shopId, grinderId: place.grinderId, grind, path: 'grind' }, transaction);
}
