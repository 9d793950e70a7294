import type { Move } from './moves';
import type { Outlook } from '../../belief/particles';

/** What a next shot costs, in shots, by what it is paid for. */
export interface Prices {
  /** Expected shots to go, this one included. */
  toGo: number;
  /** Leaving settings that may be right. */
  leaving: number;
  coffee: number;
  /** A lever whose turn is later in the method's order. */
  order: number;
  /** How far from the wanted cup it is expected to end. */
  distance: number;
}

/** A next shot that could be pulled, with what it would bring. */
export interface Choice {
  move: Move;
  outlook: Outlook;
  /** Only of those that were weighed against each other. */
  prices?: Prices;
}

export type Priced = Choice & { prices: Prices };

export function costOf({ prices }: Priced): number {
  return prices.toGo + prices.leaving + prices.coffee + prices.order + prices.distance;
}
