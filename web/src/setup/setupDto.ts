import {
  dialInBudget,
  goalInWords,
  tasteTarget,
  type DrunkAs,
  type PreBrew,
  type Roast,
  type TimerStart,
} from '@olvet/core';
import type { Dayjs } from 'dayjs';
import type { CoffeeDto, SetupDto } from '../app/api';

/** Stands for "not one of those we have". */
export const NEW = 'new';

export interface SetupFields {
  coffeeId: string;
  grinderId: string;
  machineId: string;
  basketId: string;
  coffee: { name: string; roast: Roast };
  roastedOn?: Dayjs | null;
  grinder: {
    name: string;
    min: number;
    max: number;
    step: number;
    finer: 'lower' | 'higher';
    dosing: 'timed' | 'weighed';
    purgeGrams: number;
  };
  grind?: number | null;
  machine: { name: string; canSet: boolean; min: number; max: number; step: number; preBrew: PreBrew };
  /** `isMarked` false where no figure stands on its rim: the dose finder comes next. */
  basket: { nominalGrams: number; isMarked: boolean };
  /** How many pull here; only for the method. */
  people: number;
  stationName: string;
  methodId: string;
  doseGrams: number;
  yieldGrams: number;
  window: { min: number; max: number };
  goal?: string;
  /** Ids of flavour and body wanted, chosen in words. */
  flavourGoal?: CoffeeDto['flavourGoal'];
  bodyGoal?: CoffeeDto['bodyGoal'];
}

export interface SetupIds {
  station: string;
  run: string;
  grinder: string;
  machine: string;
  basket: string;
  coffee: string;
  bag: string;
  startedAt: string;
}

/** What follows from the answers and from what is known of their grinder and coffee. */
export interface SetupAim {
  timer: TimerStart;
  temperatureC: number | null;
  position: number;
  drunkAs?: DrunkAs | null;
  /** How many of grinder and coffee have taught something. */
  known: 0 | 1 | 2;
  purgeGrams: number;
}

/** A basket takes about two grams less to one and a half more than its rim says. */
const BASKET_LESS_GRAMS = 2;
const BASKET_MORE_GRAMS = 1.5;
/** Without a figure it may be a small single or a large triple, until its dose is found. */
const UNMARKED = { minGrams: 6, maxGrams: 24 };
/** A bag nobody weighed. */
const USUAL_BAG_GRAMS = 250;

/** The form's answers as one request: everything or nothing is made. */
export function setupDto(fields: SetupFields, ids: SetupIds, aim: SetupAim): SetupDto {
  const pick = (chosen: string, made: string): string => (chosen === NEW ? made : chosen);
  const wish = { flavour: fields.flavourGoal, body: fields.bodyGoal, drunkAs: aim.drunkAs };
  const station = {
    grinderId: pick(fields.grinderId, ids.grinder),
    machineId: pick(fields.machineId, ids.machine),
    basketId: pick(fields.basketId, ids.basket),
    coffeeId: pick(fields.coffeeId, ids.coffee),
    methodId: fields.methodId as SetupDto['station']['methodId'],
    target: {
      doseGrams: fields.doseGrams,
      yieldGrams: fields.yieldGrams,
      temperatureC: aim.temperatureC,
      timeSeconds: fields.window,
      timer: aim.timer,
      ...tasteTarget(wish),
    },
  };
  const { machine, basket } = fields;
  const budget = dialInBudget({ known: aim.known, doseGrams: fields.doseGrams, purgeGrams: aim.purgeGrams });
  return {
    coffee:
      fields.coffeeId === NEW
        ? { ...fields.coffee, flavourGoal: fields.flavourGoal ?? null, bodyGoal: fields.bodyGoal ?? null }
        : null,
    bag: fields.roastedOn
      ? {
          id: ids.bag,
          coffeeId: station.coffeeId,
          roastedOn: fields.roastedOn.format('YYYY-MM-DD'),
          weightGrams: USUAL_BAG_GRAMS,
        }
      : null,
    grinder: fields.grinderId === NEW ? fields.grinder : null,
    machine:
      fields.machineId === NEW
        ? {
            name: machine.name,
            preBrew: machine.preBrew,
            temperatureC: machine.canSet ? { min: machine.min, max: machine.max, step: machine.step } : null,
          }
        : null,
    basket: fields.basketId === NEW ? basketDto(basket) : null,
    station: { ...station, name: fields.stationName, position: aim.position, grind: fields.grind ?? null },
    run: {
      ...station,
      stationId: ids.station,
      goal: fields.goal || goalInWords(wish),
      startGrind: fields.grind ?? null,
      budgetShots: budget.shots,
      budgetGrams: budget.grams,
      status: 'open',
      startedAt: ids.startedAt,
    },
    runId: ids.run,
  };
}

function basketDto({ nominalGrams: nominal, isMarked }: SetupFields['basket']): NonNullable<SetupDto['basket']> {
  if (!isMarked) return { name: 'Basket without a figure', nominalGrams: nominal, ...UNMARKED };
  return {
    name: `${nominal} g basket`,
    nominalGrams: nominal,
    minGrams: Math.max(4, nominal - BASKET_LESS_GRAMS),
    maxGrams: Math.min(40, nominal + BASKET_MORE_GRAMS),
  };
}
