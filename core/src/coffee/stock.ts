import { requirePositive } from '../brew/requirePositive';

export interface StockInput {
  weightGrams: number;
  /** Doses and purges taken from this bag, g. */
  usedGrams: number;
  /** What the house takes of this coffee on an ordinary day, g; 0 when unknown. */
  gramsPerDay: number;
}

export interface Stock {
  leftGrams: number;
  /** Days until it is empty at the usual pace; null when nothing is known of the pace. */
  daysLeft: number | null;
}

/** What is left of a bag, never below nothing: a scale and a spill make small differences. */
export function stockOf({ weightGrams, usedGrams, gramsPerDay }: StockInput): Stock {
  const leftGrams = Math.max(0, weightGrams - usedGrams);
  return { leftGrams, daysLeft: gramsPerDay > 0 ? leftGrams / gramsPerDay : null };
}

/**
 * What one shot costs in coffee, cents.
 * @throws RangeError on a non-positive dose or bag weight
 */
export function shotCostCents(bag: { priceCents: number; weightGrams: number }, doseGrams: number): number {
  requirePositive('shotCostCents', { weightGrams: bag.weightGrams, doseGrams });
  return (bag.priceCents / bag.weightGrams) * doseGrams;
}

/** Shots still in so much coffee, after throwing out a purge now and then. */
export function shotsIn(leftGrams: number, doseGrams: number): number {
  requirePositive('shotsIn', { doseGrams });
  return Math.max(0, Math.floor(leftGrams / doseGrams));
}

export interface DialInBudget {
  shots: number;
  grams: number;
}

/** A dial-in with nothing known takes about six shots, with a known grinder five, with a known coffee four. */
const SHOTS_BY_KNOWLEDGE = [6, 5, 4] as const;

/**
 * How many shots and grams a dial-in may take, said before it begins.
 * @param known how many of grinder and coffee have taught something
 */
export function dialInBudget(input: { known: 0 | 1 | 2; doseGrams: number; purgeGrams: number }): DialInBudget {
  const shots = SHOTS_BY_KNOWLEDGE[input.known];
  // About every second shot follows a change of grind.
  return { shots, grams: Math.round(shots * input.doseGrams + Math.floor(shots / 2) * input.purgeGrams) };
}
