import { ML_PER_GRAM } from '../brew/units';
import { caffeineOf } from '../opening/caffeine';

export const MILKS = ['none', 'cow', 'oat', 'soy', 'almond', 'other'] as const;
export type Milk = (typeof MILKS)[number];
export const FOAMS = ['none', 'thin', 'thick'] as const;
export type Foam = (typeof FOAMS)[number];
export const POURING = ['coffee-first', 'milk-first', 'water-first'] as const;
export type Pouring = (typeof POURING)[number];

/** How much of the card's yield goes into a cup: half of a double, all of it, or two. */
export const CARD_SHARES = [0.5, 1, 2] as const;

/** Foam stands this much above the milk it is made of, as a share of it [assumption]. */
const FOAM_SHARE: Record<Foam, number> = { none: 0, thin: 0.1, thick: 0.3 };

export interface DrinkParts {
  cupMl: number;
  /** Of the card's yield. */
  share: number;
  milkMl: number;
  foam: Foam;
  waterMl: number;
}

export interface DrinkFigures {
  coffeeGrams: number;
  /** Without crema and foam, ml. */
  liquidMl: number;
  /** With both: what the cup must hold, ml. */
  fillsMl: number;
  fits: boolean;
  /** Ground coffee in 100 ml of the drink, g. */
  strength: number;
  caffeineMg: { low: number; high: number };
}

/** What a drink on a card comes to: how full the cup is, how strong, how much caffeine. */
export function drinkFigures(
  { cupMl, share, milkMl, foam, waterMl }: DrinkParts,
  recipe: { doseGrams: number; yieldGrams: number },
  coffee: { arabicaPercent?: number | null; decaf?: boolean | null } = {},
): DrinkFigures {
  const coffeeGrams = share * recipe.yieldGrams;
  const doseGrams = share * recipe.doseGrams;
  const liquidMl = coffeeGrams + milkMl + waterMl;
  const fillsMl = coffeeGrams * ML_PER_GRAM.usual + milkMl * (1 + FOAM_SHARE[foam]) + waterMl;
  return {
    ...{ coffeeGrams, liquidMl, fillsMl, fits: fillsMl <= cupMl },
    strength: (100 * doseGrams) / liquidMl,
    caffeineMg: caffeineOf([{ doseGrams, share: 1, ...coffee, decaf: coffee.decaf ?? false }]),
  };
}

export const BUTTON_KINDS = ['volumetric', 'timed'] as const;
export type ButtonKind = (typeof BUTTON_KINDS)[number];

/**
 * What a programmed button must bring for a card: millilitres as a marked glass shows them, with the spread crema really has, or
 * seconds from pump on where the card counts so.
 */
export function buttonSetting(
  kind: ButtonKind,
  share: number,
  recipe: { yieldGrams: number; timer: string },
  foundSeconds: number | null,
): { value: number; least: number; most: number; unit: 'ml' | 's' } | null {
  if (kind === 'volumetric') {
    const grams = share * recipe.yieldGrams;
    const ml = (perGram: number): number => Math.round(grams * perGram);
    return { value: ml(ML_PER_GRAM.usual), least: ml(ML_PER_GRAM.least), most: ml(ML_PER_GRAM.most), unit: 'ml' };
  }
  if (foundSeconds === null || recipe.timer !== 'pump-on') return null;
  return { value: foundSeconds, least: foundSeconds, most: foundSeconds, unit: 's' };
}
