import type { Roast } from '../brew/types';
import type { Method } from './Method';
import { findMethod } from './methods';

export interface CoffeeAndMachine {
  roast: Roast;
  altitudeM?: number | null;
  /** Whether the machine's brewing temperature can be set. */
  canSetTemperature: boolean;
}

export interface Recommendation {
  method: Method;
  /** Why this one, in a barista's words. */
  reasons: string[];
}

/** High-grown beans are dense and give slowly, even a shade darker. */
const HIGH_GROWN_M = 1900;

/**
 * The school that suits a coffee and a machine, with reasons. Valve and lever machines choose their own method; nothing
 * about the coffee decides that.
 */
export function recommendMethod({ roast, altitudeM, canSetTemperature }: CoffeeAndMachine): Recommendation {
  const dense = roast === 'light' || (roast === 'medium-light' && (altitudeM ?? 0) >= HIGH_GROWN_M);
  if (dense && canSetTemperature) {
    return pick(
      'open-light',
      roast === 'light'
        ? 'A light roast gives its sweetness slowly: hotter water and a longer ratio help more than a finer grind.'
        : 'Grown this high it is dense and gives slowly: hotter water and a longer ratio help more than a finer grind.',
      'Time is an outcome here, so a fast shot that tastes right is right.',
    );
  }
  if (dense) {
    return pick(
      'balance-walk',
      'A light roast would gain from hotter water, but this machine’s temperature cannot be set.',
      'Yield and grind are left, and this method uses both in turn.',
    );
  }
  if (roast === 'dark') {
    return pick(
      'small-classic',
      'A dark roast gives much and turns bitter soon: a short, cooler cup keeps it round.',
      canSetTemperature
        ? 'It starts at 88–90 °C.'
        : 'If the machine runs hot, flush before the shot; mind the steam and follow the maker’s manual.',
    );
  }
  return pick(
    'balance-walk',
    `A ${roast} roast forgives: time first, then yield for body and grind for balance find its middle in the fewest shots.`,
  );
}

function pick(id: string, ...reasons: string[]): Recommendation {
  return { method: findMethod(id)!, reasons };
}
