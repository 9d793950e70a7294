import { Injectable } from '@nestjs/common';
import {
  buildAdviceRequest,
  findMethod,
  fitTimedDose,
  lessonOf,
  parseAdviceRequest,
  type Method,
  type TimedDoseModel,
} from '@olvet/core';
import dayjs from 'dayjs';
import { Op, type Transaction } from 'sequelize';
import { Sequelize, type Model, type ModelCtor } from 'sequelize-typescript';
import { Bag } from '../bags/bag.entity';
import { Basket } from '../baskets/basket.entity';
import { Coffee } from '../coffees/coffee.entity';
import { Problem } from '../common/problem';
import type { ListQuery, Page } from '../common/rows';
import { Store } from '../common/store';
import { FoundDose } from '../doses/foundDose.entity';
import { Grinder } from '../grinders/grinder.entity';
import { keepLesson, learnPalates } from '../lessons/lessons';
import type { PalateView } from '../lessons/palate.dto';
import { PalatesService } from '../lessons/palates.service';
import { StartsService } from '../lessons/starts.service';
import { OwnMethod } from '../methods/ownMethod.entity';
import { checkMethod, ownMethod } from '../methods/ownMethods.service';
import { Machine } from '../machines/machine.entity';
import { Shot } from '../shots/shot.entity';
import { Station } from '../stations/station.entity';
import { Tasting } from '../tastings/tasting.entity';
import { timedGrinderOf, timedWeighings } from '../weighings/timedDoses';
import type { RunDto } from './run.dto';
import { Run } from './run.entity';

export interface Sheet {
  run: Run;
  station: Station;
  grinder: Grinder;
  machine: Machine;
  basket: Basket;
  coffee: Coffee;
  ageDays: number | null;
  centsPerGram: number | null;
  palates: PalateView[];
  method: Method | null;
  timedDose: TimedDoseModel | null;
  foundDose: FoundDose | null;
  hasScale: boolean;
  shots: (Shot & { tastings: Tasting[] })[];
}

@Injectable()
export class RunsService extends Store<Run, RunDto> {
  constructor(
    sequelize: Sequelize,
    private readonly palates: PalatesService,
    private readonly starts: StartsService,
  ) {
    super(sequelize, Run, {
      what: 'dial-in',
      order: [['startedAt', 'DESC']],
      filters: ['stationId', 'coffeeId'],
    });
  }

  /** With names, so that a page needs no second look into longer lists. */
  override async list(shopId: string, query: ListQuery): Promise<Page<object>> {
    const page = await this.rows(shopId, query);
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
      ...(run.toJSON() as object),
      coffeeName: coffees.get(run.coffeeId) ?? '',
      stationName: stations.get(run.stationId) ?? '',
      methodName: findMethod(run.methodId)?.name ?? methods.get(run.methodId) ?? '',
    }));
    return { ...page, items };
  }

  async sheet(shopId: string, id: string): Promise<Sheet> {
    const run = await this.get(shopId, id);
    const own = (rowId: string) => ({ where: { shopId, id: rowId }, rejectOnEmpty: true as const });
    const [station, grinder, machine, basket, coffee, bag, method, foundDose, shots] = await Promise.all([
      Station.findOne(own(run.stationId)),
      Grinder.findOne(own(run.grinderId)),
      Machine.findOne(own(run.machineId)),
      Basket.findOne(own(run.basketId)),
      Coffee.findOne(own(run.coffeeId)),
      openBag(shopId, run),
      ownMethod(shopId, run.methodId),
      foundDoseOf(shopId, run),
      Shot.findAll({
        where: { shopId, runId: id, discardedAt: null },
        order: [
          ['pulledAt', 'ASC'],
          ['id', 'ASC'],
        ],
      }),
    ]);
    const isTimed = grinder.dosing === 'timed';
    const [tastings, weighings] = await Promise.all([
      Tasting.findAll({
        where: { shopId, shotId: { [Op.in]: shots.map((shot) => shot.id) } },
        order: [['createdAt', 'ASC']],
      }),
      isTimed ? timedWeighings(this.sequelize, shopId, run.grinderId, run.startedAt) : [],
    ]);
    const people = [...new Set(tastings.map(({ person }) => person))].filter((person) => person !== '');
    return {
      run,
      station,
      grinder,
      machine,
      basket,
      coffee,
      ageDays: bag?.roastedOn ? Math.max(0, dayjs(run.startedAt).diff(dayjs(bag.roastedOn), 'day')) : null,
      method,
      timedDose: isTimed ? fitTimedDose(timedGrinderOf(grinder), weighings) : null,
      foundDose,
      hasScale: station.weighs,
      palates: await this.palates.list(shopId, people),
      centsPerGram: bag?.priceCents == null ? null : bag.priceCents / bag.weightGrams,
      shots: shots.map((shot) => ({
        ...(shot.toJSON() as Shot),
        tastings: tastings.filter((tasting) => tasting.shotId === shot.id),
      })) as Sheet['shots'],
    };
  }

  /** Keeps what a finished run taught: with itself, the grinder, the coffee and the people who tasted. */
  async learn(shopId: string, id: string, transaction: Transaction): Promise<void> {
    // Read beside the transaction: its shots are committed, and one connection takes one query at a time.
    const sheet = await this.sheet(shopId, id);
    const parsed = parseAdviceRequest(JSON.parse(JSON.stringify(buildAdviceRequest(sheet))));
    if (!parsed.ok) return;
    const run = await Run.findOne({ where: { shopId, id }, transaction, rejectOnEmpty: true });
    await keepLesson(run, lessonOf(parsed.request), transaction);
    const people = sheet.shots.flatMap(({ tastings }) => tastings.map(({ person }) => person));
    await learnPalates(shopId, people, transaction);
  }

  /** After a shot or a tasting of a closed run was corrected, what it taught follows. */
  async learnAgain(shopId: string, id: string | null | undefined): Promise<void> {
    if (!id) return;
    const run = await Run.findOne({ where: { shopId, id } });
    if (!run || run.status === 'open') return;
    await this.sequelize.transaction((transaction) => this.learn(shopId, id, transaction));
  }

  protected override serverOwned(): readonly string[] {
    return ['lesson', 'suggestedStart'];
  }

  protected override async atCreation(shopId: string, dto: RunDto, transaction: Transaction): Promise<object> {
    if (dto.startGrind != null) return {};
    const { grinderId, coffeeId, basketId, target } = dto;
    const { doseGrams, yieldGrams, timeSeconds } = target;
    const middleSeconds = (timeSeconds.min + timeSeconds.max) / 2;
    const wanted = { grinderId, coffeeId, basketId, doseGrams, yieldGrams, middleSeconds };
    try {
      return { suggestedStart: await this.starts.suggest(shopId, wanted, transaction) };
    } catch (error) {
      // What is missing is named by the row's own foreign keys.
      if (error instanceof Problem && error.kind === 'not-found') return {};
      throw error;
    }
  }

  protected override check(shopId: string, dto: RunDto, row: Run | null, transaction: Transaction): Promise<void> {
    checkStatus(dto, row);
    checkStart(dto);
    return checkMethod(shopId, dto.methodId, transaction);
  }

  protected override async beforeChange(row: Run, dto: RunDto, transaction: Transaction): Promise<void> {
    if (row.status === 'open' && dto.status === 'given-up') await this.learn(row.shopId, row.id, transaction);
  }
}

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

function checkStart({ startGrind, startSd }: RunDto): void {
  if (startSd == null || startGrind != null) return;
  const message = 'is the spread of startGrind: give that, too, or leave both out';
  throw new Problem('invalid', 'A spread needs the setting it is of.', [{ path: 'startSd', message }]);
}

/** The bag in use when the run began: the newest one roasted by then. */
function openBag(shopId: string, run: Run): Promise<Bag | null> {
  return Bag.findOne({
    where: {
      shopId,
      coffeeId: run.coffeeId,
      roastedOn: { [Op.or]: { [Op.lte]: dayjs(run.startedAt).format('YYYY-MM-DD'), [Op.is]: null } },
    },
    order: [['roastedOn', 'DESC NULLS LAST']],
  });
}

/** The newest dose somebody found for this basket and coffee. */
function foundDoseOf(shopId: string, { basketId, coffeeId }: Run): Promise<FoundDose | null> {
  return FoundDose.findOne({ where: { shopId, basketId, coffeeId }, order: [['foundAt', 'DESC']] });
}
