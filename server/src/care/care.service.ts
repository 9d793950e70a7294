import { Injectable } from '@nestjs/common';
import { CARE_CODES, careDue, careTask, dayAfter, daysBetween, shopDay, type CareTaskCode } from '@olvet/core';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { Problem } from '../common/problem';
import { createStore, type Store, type Writing } from '../common/store';
import { shown } from '../database/owned.model';
import { Grinder } from '../grinders/grinder.entity';
import { Machine } from '../machines/machine.entity';
import { Shop } from '../shop/shop.entity';
import { Station } from '../stations/station.entity';
import type { CareDoneDto, CareIntervalView, CareItemView, CareRuleDto, CareView } from './care.dto';
import { CareDone, CareRule } from './care.entity';
import { usedSince, type Used } from './usedSince';

type Place = Pick<CareDone, 'task' | 'machineId' | 'grinderId'>;
type Written = { task: CareTaskCode; machineId?: string | null; grinderId?: string | null };

/** A task wherever it is done, and since when that stands here. */
interface Standing extends Place {
  name: string;
  grinder: Grinder | null;
  since: Date;
}

/** Shots and coffee a day are those of this long. */
const PACE_DAYS = 14;
const DAY_MS = 86_400_000;

/** What is done to a machine names a machine, what is done to a grinder a grinder, and the bar neither. */
async function checkPlace({ dto: { task, machineId, grinderId } }: Writing<never, Written>): Promise<void> {
  const { place } = careTask(task);
  const named = { machineId: machineId ?? null, grinderId: grinderId ?? null };
  const errors = Object.entries({ machineId: 'machine', grinderId: 'grinder' } as const).flatMap(([path, kind]) => {
    const isNamed = named[path as keyof typeof named] !== null;
    if (isNamed === (place === kind)) return [];
    return [{ path, message: isNamed ? `must be left out: this is done to the ${place}` : `must name a ${kind}` }];
  });
  if (errors.length > 0) throw new Problem('invalid', 'This task is done elsewhere.', errors);
}

@Injectable()
export class CareService {
  readonly done: Store<CareDone, CareDoneDto>;
  readonly rules: Store<CareRule, CareRuleDto>;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly clock: Clock,
  ) {
    const check = (writing: Writing<unknown, Written>) => checkPlace(writing as Writing<never, Written>);
    this.done = createStore<CareDone, CareDoneDto>({
      ...{ sequelize, model: CareDone, what: 'care done', order: [['at', 'DESC']], listed: { removedAt: null } },
      check,
    });
    this.rules = createStore<CareRule, CareRuleDto>({
      ...{ sequelize, model: CareRule, what: 'care rule', order: [['updatedAt', 'DESC']], check },
    });
  }

  /** Every task wherever it is done here, and how far each is from due. */
  async read(shopId: string): Promise<CareView> {
    const [shop, places, rules, last] = await Promise.all([
      Shop.findByPk(shopId, { rejectOnEmpty: true }),
      this.places(shopId),
      CareRule.findAll({ where: { shopId }, order: [['updatedAt', 'DESC']] }),
      this.lastDone(shopId),
    ]);
    const now = this.clock.now();
    const today = shopDay(now, shop);
    const used = await usedSince(this.sequelize, shopId, {
      places: places.map(({ grinder: _grinder, ...place }) => ({
        ...place,
        key: keyOf(place),
        since: find(last, place)?.at ?? null,
      })),
      paceFrom: new Date(now.getTime() - PACE_DAYS * DAY_MS),
    });
    const items = places.map(({ name, since, grinder, ...place }): CareItemView => {
      const [rule, done] = [find(rules, place), find(last, place)];
      const every = rule ? intervalOf(rule) : (burrLife(place.task, grinder) ?? careTask(place.task).every);
      const { shots, kg, ...pace } = used.get(keyOf(place)) ?? UNUSED;
      const before = done ? 0 : (grinder?.groundKg ?? 0);
      const gone = { days: daysBetween(shopDay(done?.at ?? since, shop), today), shots, kg: kg + before };
      const perDay = { shots: pace.paceShots / PACE_DAYS, kg: pace.paceKg / PACE_DAYS };
      const { share, isDue, inDays } = careDue(every, gone, perDay);
      const dueOn = inDays === null ? null : dayAfter(today, inDays);
      return { ...place, name, every, since: gone, rule: shown(rule), last: shown(done), share, isDue, dueOn };
    });
    return { items: items.sort((a, b) => (b.share ?? -1) - (a.share ?? -1)) };
  }

  /** What stands at a station in use; the bar once there is one. */
  private async places(shopId: string): Promise<Standing[]> {
    const stations = await Station.findAll({ where: { shopId, retiredAt: null } });
    const used = (pick: 'machineId' | 'grinderId') => ({ [Op.in]: [...new Set(stations.map((row) => row[pick]))] });
    const [machines, grinders] = await Promise.all([
      Machine.findAll({ where: { shopId, id: used('machineId') }, order: [['name', 'ASC']] }),
      Grinder.findAll({ where: { shopId, id: used('grinderId') }, order: [['name', 'ASC']] }),
    ]);
    const began = new Date(Math.min(...stations.map(({ createdAt }) => createdAt.getTime())));
    const nowhere = { machineId: null, grinderId: null, grinder: null, name: '' };
    const at = {
      machine: machines.map(({ id, name, createdAt }) => ({ ...nowhere, machineId: id, name, since: createdAt })),
      grinder: grinders.map((grinder) => ({
        ...{ ...nowhere, grinder, grinderId: grinder.id, name: grinder.name, since: grinder.createdAt },
      })),
      bar: stations.length > 0 ? [{ ...nowhere, since: began }] : [],
    };
    return CARE_CODES.flatMap((task) => at[careTask(task).place].map((place) => ({ task, ...place })));
  }

  private lastDone(shopId: string): Promise<CareDone[]> {
    return this.sequelize.query(
      `SELECT DISTINCT ON ("task", "machineId", "grinderId") * FROM care_done
       WHERE "shopId" = :shopId AND "removedAt" IS NULL ORDER BY "task", "machineId", "grinderId", "at" DESC`,
      { replacements: { shopId }, model: CareDone, mapToModel: true },
    );
  }
}

const UNUSED: Used = { shots: 0, kg: 0, paceShots: 0, paceKg: 0 };

function keyOf({ task, machineId, grinderId }: Place): string {
  return `${task} ${machineId ?? grinderId ?? ''}`;
}

function find<T extends Place>(rows: readonly T[], place: Place): T | null {
  return rows.find((row) => keyOf(row) === keyOf(place)) ?? null;
}

/** The maker's figure stands with the grinder. */
function burrLife(task: CareTaskCode, grinder: Grinder | null): CareIntervalView | null {
  return task === 'burrs' && grinder?.burrLifeKg ? { kg: grinder.burrLifeKg } : null;
}

function intervalOf({ everyDays, everyShots, everyKg }: CareRule): CareIntervalView {
  const parts = Object.entries({ days: everyDays, shots: everyShots, kg: everyKg });
  return Object.fromEntries(parts.filter(([, value]) => value !== null));
}
