import { Injectable } from '@nestjs/common';
import { findMethod } from '@olvet/core';
import { Op } from 'sequelize';
import { Sequelize, type Model, type ModelCtor } from 'sequelize-typescript';
import { Coffee } from '../coffees/coffee.entity';
import { Problem } from '../common/problem';
import type { Page } from '../common/rows';
import { createStore, type Resource, type Store, type Writing } from '../common/store';
import { shown, type Shown } from '../database/owned.model';
import { checkOnScale } from '../grinders/onScale';
import { wantedBy } from '../learning/learner';
import { LearningService } from '../learning/learning.service';
import { StartsService } from '../lessons/starts.service';
import { OwnMethod } from '../methods/ownMethod.entity';
import { checkMethod } from '../methods/ownMethods.service';
import { Station } from '../stations/station.entity';
import type { RunDto } from './run.dto';
import { Run } from './run.entity';

@Injectable()
export class RunsService {
  readonly store: Store<Run, RunDto> & Resource<RunDto, Shown<Run>, ListedRun>;

  constructor(
    sequelize: Sequelize,
    private readonly learning: LearningService,
    private readonly starts: StartsService,
  ) {
    const rows = createStore<Run, RunDto>({
      sequelize,
      model: Run,
      what: 'dial-in',
      order: [['startedAt', 'DESC']],
      filters: ['stationId', 'coffeeId'],
      check: checkRun,
      atCreation: (writing) => this.suggestStart(writing),
      beforeChange: (row, writing) => this.teach(row, writing),
    });
    this.store = {
      ...rows,
      list: async (shopId, query) => this.withNames(shopId, await rows.rows(shopId, query)),
      put: (shopId, id, dto) => this.put(shopId, id, dto, rows),
    };
  }

  /** With names, so that a page needs no second look into longer lists. */
  private async withNames(shopId: string, page: Page<Run>): Promise<Page<ListedRun>> {
    const named = (model: typeof Coffee | typeof Station | typeof OwnMethod, ids: string[]) =>
      namesOf(shopId, model as ModelCtor<Named>, ids);
    const [coffees, stations, methods] = await Promise.all([
      named(
        Coffee,
        page.items.map((run) => run.coffeeId),
      ),
      named(
        Station,
        page.items.map((run) => run.stationId),
      ),
      named(
        OwnMethod,
        page.items.map((run) => run.methodId).filter((id) => !findMethod(id)),
      ),
    ]);
    const items = page.items.map((run) => ({
      ...shown(run.toJSON<Run>()),
      coffeeName: coffees.get(run.coffeeId) ?? '',
      stationName: stations.get(run.stationId) ?? '',
      methodName: findMethod(run.methodId)?.name ?? methods.get(run.methodId) ?? '',
    }));
    return { ...page, items };
  }

  /** Closed, its lesson is learned beside the request; begun, it waits a moment for what its grinder still has to learn. */
  private async put(shopId: string, id: string, dto: RunDto, rows: Store<Run, RunDto>): Promise<Shown<Run>> {
    await this.learning.settled(shopId, dto.grinderId);
    const saved = await rows.write(shopId, id, dto);
    if (saved.status === 'open') return shown(saved);
    await this.learning.settled(shopId, saved.grinderId);
    return shown(await saved.reload());
  }

  private async suggestStart({ shopId, dto, transaction }: Writing<Run, RunDto>): Promise<object> {
    if (dto.startGrind != null) return {};
    try {
      return { suggestedStart: await this.starts.suggest(shopId, wantedBy(dto), transaction) };
    } catch (error) {
      // What is missing is named by the row's own foreign keys.
      if (error instanceof Problem && error.kind === 'not-found') return {};
      throw error;
    }
  }

  private async teach(row: Run, { dto, transaction }: Writing<Run, RunDto>): Promise<void> {
    if (row.status === 'open' && dto.status === 'given-up') await this.learning.enqueue(row, transaction);
  }
}

async function checkRun({ shopId, dto, row, transaction }: Writing<Run, RunDto>): Promise<void> {
  checkStatus(dto, row);
  checkStart(dto);
  checkEnd(dto, row);
  if (row?.startGrind !== dto.startGrind) {
    const { grinderId, startGrind } = dto;
    await checkOnScale({ shopId, grinderId, grind: startGrind, path: 'startGrind' }, transaction);
  }
  await checkMethod(shopId, dto.methodId, transaction);
}

export type ListedRun = Shown<Run> & { coffeeName: string; stationName: string; methodName: string };

type Named = Model & { id: string; name: string };

async function namesOf(shopId: string, model: ModelCtor<Named>, ids: string[]): Promise<Map<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await model.findAll({
    attributes: ['id', 'name'],
    where: { shopId, id: { [Op.in]: [...new Set(ids)] } },
  });
  return new Map(rows.map(({ id, name }) => [id, name]));
}

/** A dial-in is done once its recipe is on a card, and stays so; `CardsService` does both at once. */
function checkStatus({ status }: RunDto, row: Run | null): void {
  const before = row?.status ?? 'open';
  if (status === before || (status !== 'kept' && before !== 'kept')) return;
  const message =
    status === 'kept' ? 'is set by writing the card: keep the recipe instead' : 'is kept on a card: open a new dial-in';
  throw new Problem('invalid', 'A dial-in is done when its card is written.', [{ path: 'status', message }]);
}

/** What was stored before there was this rule stays, until its times are touched. */
function checkEnd({ startedAt, endedAt }: RunDto, row: Run | null): void {
  if (!endedAt || Date.parse(endedAt) >= Date.parse(startedAt)) return;
  if (Date.parse(endedAt) === row?.endedAt?.getTime() && Date.parse(startedAt) === row.startedAt.getTime()) return;
  throw new Problem('invalid', 'A dial-in ends after it began.', [
    { path: 'endedAt', message: 'lies before startedAt: check the clock' },
  ]);
}

function checkStart({ startGrind, startSd }: RunDto): void {
  if (startSd == null || startGrind != null) return;
  const message = 'is the spread of startGrind: give that, too, or leave both out';
  throw new Problem('invalid', 'A spread needs the setting it is of.', [{ path: 'startSd', message }]);
}
