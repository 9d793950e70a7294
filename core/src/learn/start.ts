import { findable } from '../brew/collar';
import type { Scale } from '../brew/snap';
import { ROASTS, type Roast } from '../brew/types';

/** The basket a dose lies in: the bed of another one is as high as its width makes it. */
export interface PouredFrom {
  basketId: string;
  basketMm: number;
}

/** A recipe that was kept on the grinder in question. */
export interface KeptSetting extends PouredFrom {
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

export interface WantedShot extends PouredFrom {
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
/** A puck resists with about the square of its dose in one basket, which leaves it less room above; in another one plainly with its height. */
const DOSE_EXPONENT = { sameBasket: 2, otherBasket: 1, sd: 0.7 };
/** By Darcy a bed of the same grams resists with its diameter to the minus fourth: thinner, and wider. */
const DIAMETER_EXPONENT = -4;
const WITNESSES = 3;

/** A grinder whose recipes are asked. */
export interface AskedGrinder {
  scale: Scale;
  finer: 'lower' | 'higher';
  /** Change of ln time for one unit finer. */
  slope: { mean: number; sd: number };
}

/**
 * Where to set a grinder for a coffee it may not know: each kept recipe, moved to the wanted dose, yield and time by the
 * near-log law, is one vote weighed by its precision. What all votes share, slope and puck law, no number of them makes surer.
 * @returns null when the grinder has kept nothing yet
 */
export function suggestStart(
  wanted: WantedShot,
  kept: readonly KeptSetting[],
  { scale, finer, slope }: AskedGrinder,
): StartSuggestion | null {
  if (kept.length === 0) return null;
  const finerSign = finer === 'higher' ? 1 : -1;
  const votes = kept.map((setting) => {
    const moreDose = Math.log(wanted.doseGrams / setting.doseGrams);
    const slower =
      Math.log(wanted.middleSeconds / wanted.yieldGrams / (setting.middleSeconds / setting.yieldGrams)) -
      bedAgainst(wanted, setting, moreDose) +
      ROAST_STEP * (ROASTS.indexOf(setting.roast) - ROASTS.indexOf(wanted.roast));
    const own = spreadOf(wanted, setting);
    const shared = Math.hypot((slower * slope.sd) / slope.mean, DOSE_EXPONENT.sd * moreDose);
    return {
      setting,
      grind: setting.grind + (finerSign * slower) / slope.mean,
      ownPrecision: own ** -2,
      shared,
      weight: Math.hypot(own, shared) ** -2,
    };
  });
  const mean = (of: (vote: (typeof votes)[number]) => number): number =>
    votes.reduce((sum, vote) => sum + vote.weight * of(vote), 0) / votes.reduce((sum, { weight }) => sum + weight, 0);
  const own = votes.reduce((sum, { ownPrecision }) => sum + ownPrecision, 0) ** -0.5;
  const from = [...votes].sort((a, b) => b.weight - a.weight).slice(0, WITNESSES);
  return {
    grind: findable(
      mean(({ grind }) => grind),
      scale,
      slope.mean,
    ),
    sd:
      Math.hypot(
        own,
        mean(({ shared }) => shared),
      ) / slope.mean,
    from: from.map(({ setting }) => setting),
  };
}

/** ln of how much more the wanted bed resists than the kept one, at the same grind. */
function bedAgainst(wanted: WantedShot, setting: KeptSetting, moreDose: number): number {
  if (wanted.basketId === setting.basketId) return DOSE_EXPONENT.sameBasket * moreDose;
  return DOSE_EXPONENT.otherBasket * moreDose + DIAMETER_EXPONENT * Math.log(wanted.basketMm / setting.basketMm);
}

function spreadOf(wanted: WantedShot, setting: KeptSetting): number {
  const aged = MONTH_SD * (setting.daysAgo / 30);
  if (setting.coffeeId === wanted.coffeeId) return Math.hypot(SAME_COFFEE_SD, aged);
  const steps = Math.abs(ROASTS.indexOf(setting.roast) - ROASTS.indexOf(wanted.roast));
  return Math.hypot(OTHER_COFFEE_SD + ROAST_STEP_SD * steps, aged);
}
