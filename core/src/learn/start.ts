import { snap, type Scale } from '../brew/snap';
import { ROASTS, type Roast } from '../brew/types';

/** A recipe that was kept on the grinder in question. */
export interface KeptSetting {
  coffeeId: string;
  coffeeName: string;
  roast: Roast;
  grind: number;
  doseGrams: number;
  yieldGrams: number;
  middleSeconds: number;
  /** Days since it was kept. */
  daysAgo: number;
}

export interface WantedShot {
  coffeeId: string;
  roast: Roast;
  doseGrams: number;
  yieldGrams: number;
  middleSeconds: number;
}

export interface StartSuggestion {
  grind: number;
  /** Spread of the guess, units of the grinder. */
  sd: number;
  /** What speaks loudest for it, most telling first. */
  from: KeptSetting[];
}

/** Spreads in ln time: the same coffee from bag to bag, another coffee, and each step of roast between them. */
const SAME_COFFEE_SD = 0.08;
const OTHER_COFFEE_SD = 0.16;
const ROAST_STEP_SD = 0.07;
/** A lighter roast resists less at the same setting, by about this in ln time a step. */
const ROAST_STEP = 0.04;
/** Burrs and hoppers wander by this in ln time a month. */
const MONTH_SD = 0.06;
/** A puck resists with about the square of its dose. */
const DOSE_EXPONENT = 2;
const WITNESSES = 3;

/**
 * Where to set a grinder for a coffee it may not know: each kept recipe, moved to the wanted dose, yield and time by the
 * near-log law, is one vote weighed by its precision.
 * @param slope change of ln time for one unit finer
 * @returns null when the grinder has kept nothing yet
 */
export function suggestStart(
  wanted: WantedShot,
  kept: readonly KeptSetting[],
  grinder: { scale: Scale; finer: 'lower' | 'higher'; slope: number },
): StartSuggestion | null {
  if (kept.length === 0) return null;
  const finerSign = grinder.finer === 'higher' ? 1 : -1;
  const votes = kept.map((setting) => {
    const slower =
      Math.log(wanted.middleSeconds / wanted.yieldGrams / (setting.middleSeconds / setting.yieldGrams)) -
      DOSE_EXPONENT * Math.log(wanted.doseGrams / setting.doseGrams) +
      ROAST_STEP * (ROASTS.indexOf(setting.roast) - ROASTS.indexOf(wanted.roast));
    return {
      setting,
      grind: setting.grind + (finerSign * slower) / grinder.slope,
      weight: spreadOf(wanted, setting) ** -2,
    };
  });
  const total = votes.reduce((sum, { weight }) => sum + weight, 0);
  const grind = votes.reduce((sum, vote) => sum + vote.weight * vote.grind, 0) / total;
  const from = [...votes].sort((a, b) => b.weight - a.weight).slice(0, WITNESSES);
  return {
    grind: snap(grind, grinder.scale),
    sd: 1 / Math.sqrt(total) / grinder.slope,
    from: from.map(({ setting }) => setting),
  };
}

function spreadOf(wanted: WantedShot, setting: KeptSetting): number {
  const aged = MONTH_SD * (setting.daysAgo / 30);
  if (setting.coffeeId === wanted.coffeeId) return Math.hypot(SAME_COFFEE_SD, aged);
  const steps = Math.abs(ROASTS.indexOf(setting.roast) - ROASTS.indexOf(wanted.roast));
  return Math.hypot(OTHER_COFFEE_SD + ROAST_STEP_SD * steps, aged);
}
