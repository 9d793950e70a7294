import { plainNumber } from '@olvet/core';
import type { HappenedView } from '../app/api';
import { HOLD_WORDS } from '../bar/keeperWords';

const grind = (value: number | null): string => (value === null ? '–' : plainNumber(value, 2));

/** What was done, in a few words. */
export const HAPPENED_WORDS: Readonly<Record<HappenedView['kind'], (row: HappenedView) => string>> = {
  turned: ({ fromGrind, toGrind, isKeeper }) =>
    `${isKeeper ? 'Olvet turned' : 'Turned'} ${grind(fromGrind)} → ${grind(toGrind)}`,
  left: () => 'A drift let be',
  card: ({ name, version }) => (version === 1 ? `Card ${name} kept` : `Card ${name}, version ${version}`),
  coffee: ({ name }) => `${name} in the hopper`,
  bag: ({ name }) => `New bag of ${name}`,
  'hopper-filled': () => 'Hopper filled',
  cleaned: () => 'Grinder cleaned',
  held: ({ heldWhy }) => `Olvet held: ${heldWhy ? HOLD_WORDS[heldWhy] : ''}`,
};

const COUNTED: { kinds: readonly HappenedView['kind'][]; one: string; many: string }[] = [
  { kinds: ['turned'], one: 'turn of the grind', many: 'turns of the grind' },
  { kinds: ['left'], one: 'drift let be', many: 'drifts let be' },
  { kinds: ['card'], one: 'card changed', many: 'cards changed' },
  { kinds: ['coffee'], one: 'other coffee', many: 'other coffees' },
  { kinds: ['bag'], one: 'new bag', many: 'new bags' },
  { kinds: ['hopper-filled'], one: 'hopper filled', many: 'hoppers filled' },
  { kinds: ['cleaned'], one: 'cleaning', many: 'cleanings' },
  { kinds: ['held'], one: 'hold', many: 'holds' },
];

/** "2 turns of the grind, a new bag": nothing where nothing happened. */
export function countedInWords(rows: readonly Pick<HappenedView, 'kind'>[]): string {
  return COUNTED.flatMap(({ kinds, one, many }) => {
    const count = rows.filter(({ kind }) => kinds.includes(kind)).length;
    if (count === 0) return [];
    return [count === 1 ? `1 ${one}` : `${count} ${many}`];
  }).join(', ');
}
