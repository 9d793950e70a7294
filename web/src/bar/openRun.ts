import { dialInBudget, goalInWords, tasteTarget, type CarriedStart } from '@olvet/core';
import type { CoffeeView, FoundDoseView, GrinderView, RunDto, StationView } from '../app/api';

export interface RunStart {
  station: StationView;
  coffee: CoffeeView;
  grinder: GrinderView;
  /** The newest dose found for basket and coffee. */
  foundDose: FoundDoseView | null;
  /** Where to start, and how surely; the station's own setting when absent. */
  start?: CarriedStart | null;
  startedAt: string;
}

/**
 * A dial-in as it is opened: the station's aim, with the taste its coffee is wanted for, a dose that was found since the
 * aim was set (yield follows in ratio), and a budget said beforehand.
 */
export function runStart({ station, coffee, grinder, foundDose, start, startedAt }: RunStart): RunDto {
  const { grinderId, machineId, basketId, coffeeId, methodId, target } = station;
  const isNewer = foundDose !== null && foundDose.foundAt > station.updatedAt;
  const doseGrams = isNewer ? foundDose.grams : target.doseGrams;
  const yieldGrams = Math.round(target.yieldGrams * (doseGrams / target.doseGrams) * 10) / 10;
  const { flavourGoal, bodyGoal, drunkAs } = coffee;
  const wish = { flavour: flavourGoal, body: bodyGoal, drunkAs };
  // What a person aimed this station at stays, unless its coffee is wanted otherwise.
  const isAimed = target.balance !== 0 || target.body !== 0;
  const isWished = Boolean(flavourGoal) || Boolean(bodyGoal);
  const known = Number(grinder.learnedSlope !== null) + Number(coffee.learnedTaste !== null);
  const budget = dialInBudget({ known: known as 0 | 1 | 2, doseGrams, purgeGrams: grinder.purgeGrams });
  return {
    stationId: station.id,
    grinderId,
    machineId,
    basketId,
    coffeeId,
    methodId,
    target: { ...target, doseGrams, yieldGrams, ...(isWished || !isAimed ? tasteTarget(wish) : {}) },
    goal: goalInWords(wish),
    startGrind: start?.grind ?? station.grind,
    startSd: start?.sd ?? null,
    budgetShots: budget.shots,
    budgetGrams: budget.grams,
    status: 'open',
    startedAt,
  };
}
