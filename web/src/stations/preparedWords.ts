import { PREPARATION_PARTS, type Preparation, type PreparationPart } from '@olvet/core';

export const PART_WORDS: Record<PreparationPart, string> = {
  distribution: 'Distribution',
  levelling: 'Levelling',
  tamp: 'Tamp',
  mist: 'A mist of water on the beans',
  tap: 'A tap on the mat',
};

export const WAY_WORDS = {
  distribution: {
    'by-hand': 'distributed by hand',
    needles: 'fine needles',
    shaken: 'shaken in a cup',
    spun: 'spun with a tool',
  },
  levelling: { none: 'not levelled', tool: 'levelled with a tool' },
  tamp: { 'by-hand': 'tamped by hand', fixed: 'fixed force', 'self-levelling': 'self-levelling tamper' },
  mist: { no: 'no mist', yes: 'misted' },
  tap: { no: 'no tap', yes: 'tapped' },
} as const satisfies { [Part in PreparationPart]: Record<Preparation[Part], string> };

/** One part of a way. */
export function partInWords(part: PreparationPart, value: string): string {
  return (WAY_WORDS[part] as Record<string, string>)[value] ?? value;
}

/** Of mist and tap only what is done. */
export function wayInWords(way: Preparation): string {
  return PREPARATION_PARTS.filter((part) => way[part] !== 'no')
    .map((part) => partInWords(part, way[part]))
    .join(', ');
}
