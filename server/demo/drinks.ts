import type { HistoryMaker } from './maker';

type Drink = readonly [
  name: string,
  share: number,
  cupMl: number,
  milkMl: number,
  foam: 'none' | 'thin' | 'thick',
  waterMl: number,
];

const OF_CARD: Readonly<Record<string, readonly Drink[]>> = {
  Saltmarsh: [
    ['Short', 1, 70, 0, 'none', 0],
    ['Harbour white', 1, 190, 110, 'thin', 0],
    ['Long black', 1, 220, 0, 'none', 130],
  ],
  'Heron Bank': [['Guest black', 1, 70, 0, 'none', 0]],
  'Low Tide decaf': [['Evening bowl', 1, 260, 160, 'thick', 0]],
};

/** The menu of the house. One drink was not brought in line yet when its card changed last. */
export function addDrinks(maker: HistoryMaker): void {
  for (const card of maker.rows.cards) {
    const newest = maker.rows.card_versions.filter(({ cardId }) => cardId === card.id).length;
    const createdAt = card.createdAt as Date;
    for (const [name, share, cupMl, milkMl, foam, waterMl] of OF_CARD[card.name as string] ?? []) {
      const isBehind = name === 'Harbour white' && newest > 1;
      maker.add('drinks', {
        ...{ cardId: card.id, cardVersion: isBehind ? newest - 1 : newest, createdAt },
        ...{ name, share, cupMl, milkMl, foam, waterMl, milk: milkMl > 0 ? 'cow' : 'none' },
        pouring: waterMl > 0 ? 'water-first' : 'coffee-first',
      });
    }
    if (card.name !== 'Saltmarsh') continue;
    const machineId = maker.rows.machines.find(({ name }) => name === 'Harbour twin')!.id;
    const button = { name: 'Left group, two cups', kind: 'volumetric', share: 1, machineId };
    maker.add('buttons', { ...button, cardId: card.id, cardVersion: newest, createdAt });
  }
}

/** One barista would like a card otherwise; the lead has not answered yet. */
export function addProposal(maker: HistoryMaker): void {
  const card = maker.rows.cards.find(({ name }) => name === 'Heron Bank')!;
  const newest = maker.rows.card_versions.filter(({ cardId }) => cardId === card.id).at(-1)!;
  const recipe = newest.recipe as { yieldGrams: number };
  const createdAt = maker.at(1, 0.6);
  maker.add('card_proposals', {
    ...{ cardId: card.id, proposedBy: 'Tomas', changedBy: 'Tomas', createdAt },
    recipe: { ...recipe, yieldGrams: recipe.yieldGrams + 2 },
    tastesLike: newest.tastesLike,
    note: 'a little longer is sweeter after noon',
  });
}
