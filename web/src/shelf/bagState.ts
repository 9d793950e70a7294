import { dayAfter, restOf, shotCostCents, stockOf, type Rest, type Stock } from '@olvet/core';
import dayjs from 'dayjs';
import type { BagView, CoffeeView, StockView } from '../app/api';

export interface BagState {
  bag: BagView;
  rest: Rest | null;
  stock: Stock;
  /** What an ordinary shot of it costs, cents; null without a price. */
  shotCents: number | null;
}

/** An ordinary double where no recipe says otherwise. */
const USUAL_DOSE_GRAMS = 18;

/** Everything the shelf says of one bag. */
export function bagState(bag: BagView, coffee: CoffeeView, stock: StockView | undefined, today: string): BagState {
  const left = stock?.bags.find(({ bagId }) => bagId === bag.id)?.leftGrams ?? bag.weightGrams;
  const gramsPerDay = stock?.pace.find(({ coffeeId }) => coffeeId === coffee.id)?.gramsPerDay ?? 0;
  const frozen = (bag.frozen ?? []).map(({ from, to }) => ({ from, to: to ?? null }));
  return {
    bag,
    rest: bag.roastedOn ? restOf({ roastedOn: bag.roastedOn, today, roast: coffee.roast, frozen }) : null,
    stock: stockOf({ weightGrams: left, usedGrams: 0, gramsPerDay }),
    shotCents:
      bag.priceCents == null
        ? null
        : shotCostCents({ priceCents: bag.priceCents, weightGrams: bag.weightGrams }, USUAL_DOSE_GRAMS),
  };
}

export function isFrozen(bag: BagView): boolean {
  return (bag.frozen ?? []).some(({ to }) => to == null);
}

/** "runs out Thursday", "lasts about 3 weeks"; empty where nobody can know. */
export function lastsInWords(daysLeft: number | null, today: string): string {
  if (daysLeft === null) return '';
  if (daysLeft < 1) return 'runs out today';
  if (daysLeft < 7) return `runs out ${dayjs(dayAfter(today, Math.floor(daysLeft))).format('dddd')}`;
  return daysLeft < 21 ? `lasts about ${Math.round(daysLeft)} days` : `lasts about ${Math.round(daysLeft / 7)} weeks`;
}
