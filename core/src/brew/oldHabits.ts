import { ML_PER_GRAM } from './units';

/** A figure with what it really may be. */
export interface Roughly {
  value: number;
  least: number;
  most: number;
}

/** Small classic: a cup is made of so much coffee, and poured to so many millilitres (handbook §4). */
const CLASSIC_CUP = { doseGrams: { value: 7.5, least: 7, most: 8 }, ml: 25 };
/** What one of two spouts gets of a shot, from a level portafilter: half, give or take [assumption]. */
const SPOUT_SHARE = { least: 0.45, most: 0.55 };

/** What a glass read with its crema weighs, g. */
export function gramsInGlass(ml: number): Roughly {
  return { value: ml / ML_PER_GRAM.usual, least: ml / ML_PER_GRAM.most, most: ml / ML_PER_GRAM.least };
}

/** Where a shot stands in a marked glass with its crema, ml. */
export function glassOfGrams(grams: number): Roughly {
  return { value: grams * ML_PER_GRAM.usual, least: grams * ML_PER_GRAM.least, most: grams * ML_PER_GRAM.most };
}

/** What each of two cups under one portafilter gets, g. */
export function eachOfTwo(yieldGrams: number): Roughly {
  const { least, most } = SPOUT_SHARE;
  return { value: yieldGrams / 2, least: yieldGrams * least, most: yieldGrams * most };
}

/** The dose of one pull of a lever, or of a small classic, for so many cups, and where the cups stand. */
export function classicCups(cups: number): { doseGrams: Roughly; ml: number; yieldGrams: Roughly } {
  const { value, least, most } = CLASSIC_CUP.doseGrams;
  const ml = cups * CLASSIC_CUP.ml;
  return {
    doseGrams: { value: value * cups, least: least * cups, most: most * cups },
    ml,
    yieldGrams: gramsInGlass(ml),
  };
}
