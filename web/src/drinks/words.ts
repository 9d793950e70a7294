import { plainNumber, type ButtonKind, type Foam, type Milk, type Pouring } from '@olvet/core';
import type { DrinkView } from '../app/api';

export const MILK_WORDS: Readonly<Record<Milk, string>> = {
  none: 'no milk',
  cow: 'cow’s milk',
  oat: 'oat',
  soy: 'soy',
  almond: 'almond',
  other: 'another milk',
};
export const FOAM_WORDS: Readonly<Record<Foam, string>> = { none: 'no foam', thin: 'thin foam', thick: 'thick foam' };
export const POURING_WORDS: Readonly<Record<Pouring, string>> = {
  'coffee-first': 'coffee first',
  'milk-first': 'milk first',
  'water-first': 'water first',
};
export const BUTTON_WORDS: Readonly<Record<ButtonKind, string>> = { volumetric: 'by volume', timed: 'by time' };

/** One cup of a double, the shot, two shots. */
export function shareInWords(share: number): string {
  if (share === 0.5) return 'one cup of two';
  return share === 1 ? 'one shot' : `${plainNumber(share, 2)} shots`;
}

/** What goes into a cup, in the order of the card. */
export function madeOf({ share, milkMl, milk, foam, waterMl, pouring }: DrinkView): string {
  return [
    shareInWords(share),
    ...(milkMl > 0 ? [`${plainNumber(milkMl, 0)} ml ${MILK_WORDS[milk]}, ${FOAM_WORDS[foam]}`] : []),
    ...(waterMl > 0 ? [`${plainNumber(waterMl, 0)} ml water`] : []),
    ...(milkMl + waterMl > 0 ? [POURING_WORDS[pouring]] : []),
  ].join(' · ');
}
