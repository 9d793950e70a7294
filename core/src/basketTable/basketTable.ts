import { clamp, roundTo, snap, type Scale } from '../brew/snap';
import type { SecondsRange, TimerStart } from '../brew/types';

/** How far the water goes on: shorter and longer than the card's own ratio, as a share of it (ordinary practice: 1:1.5, 1:2, 1:2.75). */
export const LENGTHS = { short: 0.75, normal: 1, long: 1.375 } as const;
export type Length = keyof typeof LENGTHS;
export const LENGTH_CODES = Object.keys(LENGTHS) as Length[];

/** Up to so many grams a basket is a single, and from the other on a triple (handbook §8). */
export const SINGLE_MOST_GRAMS = 12;
export const TRIPLE_LEAST_GRAMS = 20;
export type BasketSize = 'single' | 'double' | 'triple';

export function basketSize(nominalGrams: number): BasketSize {
  if (nominalGrams < SINGLE_MOST_GRAMS) return 'single';
  return nominalGrams < TRIPLE_LEAST_GRAMS ? 'double' : 'triple';
}

export interface TableBasket {
  id: string;
  nominalGrams: number;
  minGrams: number;
  maxGrams: number;
  /** Inside, at the top, mm; null: as is usual. */
  diameterMm: number | null;
  /** The dose somebody found for this coffee in it, g. */
  foundDoseGrams: number | null;
}

/** A shot of this coffee on this grinder, in any basket of the table. */
export interface TableShot {
  basketId: string;
  grind: number;
  doseGrams: number;
  yieldGrams: number;
  timeSeconds: number;
}

/** The card that the table is made from. */
export interface TableBase {
  basketId: string;
  grind: number;
  doseGrams: number;
  yieldGrams: number;
  timeSeconds: SecondsRange;
  timer: TimerStart;
  /** The time it was found at; null: the middle of its window. */
  foundSeconds: number | null;
}

export interface TableGrinder extends Scale {
  finer: 'lower' | 'higher';
  /** Change of ln time for one unit finer. */
  slope: { mean: number; sd: number };
}

export interface TableCell {
  basketId: string;
  length: Length;
  doseGrams: number;
  yieldGrams: number;
  ratio: number;
  /** At the card's grind, s. */
  timeSeconds: SecondsRange;
  /** Shots pulled in this basket that corrected it; 0: from its bed alone. */
  shots: number;
  /** Where it would run in the card's own time, and how many units finer that is (below zero: coarser). */
  grind: number;
  unitsFiner: number;
}

/** Of an ordinary group, and of a single’s narrow well (handbook §8), mm. */
const USUAL_DIAMETER_MM = { single: 45, double: 58, triple: 58 } as const;
/**
 * Time goes with the height of the bed to this power, at one grind: a small single then runs 21–23 s and a deep triple 32–34 s where a
 * double runs 26–28 s (handbook §15).
 */
const BED_POWER = 0.85;
/** Of a shot's time nothing flows yet; with the clock at the first drip, none (handbook §15). */
const DRY_SHARE: Record<TimerStart, number> = { 'pump-on': 0.25, 'first-drip': 0, 'total-contact': 0.5 };
/** How far a basket strays from its bed alone, and a shot from its basket, ln. */
const BED_SD = 0.15;
const SHOT_SD = 0.07;

interface Poured {
  basket: TableBasket;
  doseGrams: number;
  yieldGrams: number;
}

function heightOf({ basket, doseGrams }: Poured): number {
  const diameter = basket.diameterMm ?? USUAL_DIAMETER_MM[basketSize(basket.nominalGrams)];
  return doseGrams / (diameter * diameter);
}

/** How long one pour takes against another at the same grind. */
function timeAgainst(pour: Poured, base: Poured, timer: TimerStart): number {
  const dry = DRY_SHARE[timer];
  const length = pour.yieldGrams / pour.doseGrams / (base.yieldGrams / base.doseGrams);
  return (heightOf(pour) / heightOf(base)) ** BED_POWER * (dry + (1 - dry) * length);
}

/**
 * What a coffee asks of every basket, short, normal and long: the card's own cell as it was found, every other from its bed, then from
 * what was pulled in that basket.
 *
 * @returns nothing where the card's own basket is not among them
 */
export function basketTable(
  base: TableBase,
  baskets: readonly TableBasket[],
  shots: readonly TableShot[],
  grinder: TableGrinder,
): TableCell[] {
  const own = baskets.find(({ id }) => id === base.basketId);
  if (!own) return [];
  const { doseGrams, yieldGrams, timer, timeSeconds } = base;
  const middle = (timeSeconds.min + timeSeconds.max) / 2;
  const finerSign = grinder.finer === 'higher' ? 1 : -1;
  const against = (pour: Poured): number => timeAgainst(pour, { basket: own, doseGrams, yieldGrams }, timer);
  return baskets.flatMap((basket) => {
    const isOwn = basket.id === own.id;
    const dose = isOwn ? doseGrams : doseFor(basket, own, doseGrams);
    const pulled = isOwn ? [] : shots.filter(({ basketId }) => basketId === basket.id);
    const stray = strayOf(pulled, grinder.slope, (shot) => ({
      seconds: (base.foundSeconds ?? middle) * against({ ...shot, basket }),
      unitsFiner: finerSign * (shot.grind - base.grind),
    }));
    return LENGTH_CODES.map((length): TableCell => {
      const isCard = isOwn && length === 'normal';
      const poured = isCard ? yieldGrams : halfGrams((dose * yieldGrams * LENGTHS[length]) / doseGrams);
      const times = against({ basket, doseGrams: dose, yieldGrams: poured }) * Math.exp(stray);
      const finer = isCard ? 0 : -Math.log(times) / grinder.slope.mean;
      const grind = isCard ? base.grind : snap(base.grind + finerSign * finer, grinder);
      const seconds = isCard ? middle : (base.foundSeconds ?? middle) * times;
      const half = ((timeSeconds.max - timeSeconds.min) / 2) * times;
      return {
        ...{ basketId: basket.id, length, doseGrams: dose, yieldGrams: poured, ratio: poured / dose },
        timeSeconds: { min: Math.round(seconds - half), max: Math.round(seconds + half) },
        ...{ shots: pulled.length, grind, unitsFiner: isCard ? 0 : roundTo(finerSign * (grind - base.grind), 3) },
      };
    });
  });
}

/** How a basket strays from what its bed says, ln of time, by what was pulled in it; drawn to zero where little was. */
function strayOf(
  shots: readonly TableShot[],
  slope: TableGrinder['slope'],
  predict: (shot: TableShot) => { seconds: number; unitsFiner: number },
): number {
  let [precision, sum] = [BED_SD ** -2, 0];
  for (const shot of shots) {
    const { seconds, unitsFiner } = predict(shot);
    const weight = 1 / (SHOT_SD ** 2 + (unitsFiner * slope.sd) ** 2);
    sum += weight * (Math.log(shot.timeSeconds / seconds) - unitsFiner * slope.mean);
    precision += weight;
  }
  return sum / precision;
}

/** As somebody found it, or filled as far as the card fills its own basket. */
function doseFor(basket: TableBasket, own: TableBasket, doseGrams: number): number {
  const { foundDoseGrams, nominalGrams, minGrams, maxGrams } = basket;
  return foundDoseGrams ?? clamp(roundTo((nominalGrams * doseGrams) / own.nominalGrams, 1), minGrams, maxGrams);
}

function halfGrams(grams: number): number {
  return Math.round(grams * 2) / 2;
}
