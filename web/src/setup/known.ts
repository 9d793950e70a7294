import { recommendMethod, type PreBrew, type Roast } from '@olvet/core';
import {
  useListBasketsQuery,
  useListCoffeesQuery,
  useListGrindersQuery,
  useListMachinesQuery,
  useListPeopleQuery,
  useListStationsQuery,
  type CoffeeView,
  type GrinderView,
  type MachineView,
} from '../app/api';
import type { useMethods } from '../parts/useMethods';
import { NEW, type SetupFields } from './setupDto';

export type Named = { id: string; name: string };

/** What the shop has to choose from. */
export interface Known {
  grinders: (Named & Pick<GrinderView, 'purgeGrams' | 'learnedSlope'>)[];
  machines: (Named & Pick<MachineView, 'temperatureC' | 'preBrew'>)[];
  /** How many work here; 0 where nobody was entered. */
  people: number;
  baskets: (Named & { nominalGrams: number })[];
  coffees: (Named &
    Pick<CoffeeView, 'altitudeM' | 'flavourGoal' | 'bodyGoal' | 'drunkAs' | 'learnedTaste' | 'roast'>)[];
  stations: Named[];
}

const ALL = {};

/** null until all of it is loaded. */
export function useKnown(): Known | null {
  const grinders = inUse(useListGrindersQuery(ALL).data?.items);
  const machines = inUse(useListMachinesQuery(ALL).data?.items);
  const baskets = inUse(useListBasketsQuery(ALL).data?.items);
  const coffees = inUse(useListCoffeesQuery(ALL).data?.items);
  const stations = useListStationsQuery(ALL).data?.items;
  const people = useListPeopleQuery({ state: 'in-use' });
  return grinders && machines && baskets && coffees && stations && !people.isLoading
    ? { grinders, machines, baskets, coffees, stations, people: people.data?.items.length ?? 0 }
    : null;
}

/** What was retired is not offered for a new station. */
function inUse<T extends { retiredAt?: string | null }>(items: T[] | undefined): T[] | undefined {
  return items?.filter(({ retiredAt }) => !retiredAt);
}

export function firstOf(items: Named[]): string {
  return items[0]?.id ?? NEW;
}

/** What of the form decides the method. */
export interface Answers {
  coffeeId: string;
  machineId: string;
  roast: Roast | undefined;
  canSet: boolean | undefined;
  preBrew: PreBrew | undefined;
  people: number | undefined;
}

export function roastOf(known: Known, { coffeeId, roast }: Pick<Answers, 'coffeeId' | 'roast'>): Roast {
  return known.coffees.find(({ id }) => id === coffeeId)?.roast ?? roast ?? 'medium';
}

export function fittingMethod(known: Known, answers: Answers) {
  const machine = known.machines.find(({ id }) => id === answers.machineId);
  return recommendMethod({
    roast: roastOf(known, answers),
    altitudeM: known.coffees.find(({ id }) => id === answers.coffeeId)?.altitudeM,
    canSetTemperature: machine ? machine.temperatureC != null : (answers.canSet ?? false),
    preBrew: machine ? machine.preBrew : answers.preBrew,
    people: answers.people ?? known.people,
  });
}

/** What the house wants of a coffee it knows. */
export function goalsOf(known: Known, coffeeId: string): Pick<SetupFields, 'flavourGoal' | 'bodyGoal'> {
  const { flavourGoal, bodyGoal } = known.coffees.find(({ id }) => id === coffeeId) ?? {};
  return { flavourGoal: flavourGoal ?? undefined, bodyGoal: bodyGoal ?? undefined };
}

/** Dose, yield and window as the method begins with this basket. */
export function aimOf(
  known: Known,
  method: NonNullable<ReturnType<ReturnType<typeof useMethods>['find']>>,
  basket: { id: string; nominalGrams: number | null | undefined },
): Pick<SetupFields, 'doseGrams' | 'yieldGrams' | 'window'> {
  const nominal = known.baskets.find(({ id }) => id === basket.id)?.nominalGrams ?? basket.nominalGrams;
  const doseGrams = nominal ?? method.start.doseGrams;
  return { doseGrams, yieldGrams: Math.round(doseGrams * method.start.ratio), window: { ...method.windowSeconds } };
}
