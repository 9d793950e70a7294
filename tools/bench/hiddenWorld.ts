import type { Barista, BrewSettings, MeasuredPull, Random, TrueTaste } from '../../core/src/index';

/** A world hidden from the advice. Drift multiplies the resistance of the bed. */
export interface HiddenWorld {
  /** +1 when higher grind numbers are coarser. */
  coarserSign: 1 | -1;
  /** The noise-free shot. */
  ideal(settings: BrewSettings, drift: number): Clocked & { taste: TrueTaste };
  /** One shot by a fallible hand, as it is measured and tasted. */
  pull(input: PullInput): MeasuredPull;
}

/** Seconds on every clock a barista may read; the first drip counts from first contact. */
export interface Clocked {
  pumpOnSeconds: number;
  totalContactSeconds: number;
  firstDripSeconds: number;
}

export interface PullInput {
  settings: BrewSettings;
  barista: Barista;
  previousGrind: number | null;
  drift: number;
  random: Random;
}
