import type { Order } from '../../method/Method';

/** What the dial between the book and the fewest shots turns: the same engine, a few figures. */
export interface Dial {
  /** The method's levers are turned one after the other; else its order is only a price. */
  isOrderBinding: boolean;
  /** Price in shots of the last lever before the others were given a chance. */
  earlyPrice: number;
  /** A cup that read right is pulled again by rule; else only where another is worth its shot. */
  isAgainByRule: boolean;
  /** Two answers were the craft's, and so many shots have told of this coffee: its odds are heard against it. */
  heardFromShots: number;
  /** What another way must save then, in shots. */
  mustSaveShots: number;
  /** Heat waits for a long dial-in before it is heard. */
  isHeatHeld: boolean;
}

export const DIAL: Readonly<Record<Order, Dial>> = Object.freeze({
  'by-the-book': {
    ...{ isOrderBinding: true, earlyPrice: 0.3, isAgainByRule: true },
    ...{ heardFromShots: 3, mustSaveShots: 0.3, isHeatHeld: true },
  },
  'fewest-shots': {
    ...{ isOrderBinding: false, earlyPrice: 0.1, isAgainByRule: false },
    ...{ heardFromShots: 2, mustSaveShots: 0, isHeatHeld: false },
  },
});
