import type { Move } from './moves';
import type { Outlook } from './particles';

/** A next shot that could be pulled, with what it would bring and cost. */
export interface Choice {
  move: Move;
  outlook: Outlook;
  /** Expected shots to go. */
  shots: number;
  /** The same with the price of coffee, of leaving these settings and of leaving the method's order. */
  cost: number;
}
