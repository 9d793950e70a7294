import fc from 'fast-check';
import { cardMarkdown, cardRecipe, type CardFile } from '../index';

const card: CardFile = {
  ...{ name: 'Saltmarsh', coffeeName: 'Saltmarsh', stationName: 'Left bar', purpose: 'black', version: 3 },
  ...{ setAt: '2026-03-01T06:41:00.000Z', setBy: 'Oda', note: 'new bag', tastesLike: 'apricot', foundSeconds: 28.6 },
  recipe: {
    ...{ grind: 11.5, doseGrams: 18, yieldGrams: 37, temperatureC: 93, soakSeconds: 5, cups: 2, timer: 'pump-on' },
    ...{ timeSeconds: { min: 27, max: 33 }, grinderName: 'Lefty', machineName: 'Harbour twin', basketName: '18 g' },
  },
};

describe('a card as a file', () => {
  it('is a table in Markdown', () => {
    const text = cardMarkdown(card);
    expect(text.split('\n')[0]).toBe('# Saltmarsh');
    expect(text).toContain('| Yield | 37 g (1:2.06) |');
    expect(text).toContain('| Time | 27–33 s from pump on |');
    expect(text).not.toContain('Valve');
  });

  it('is a schema.org recipe', () => {
    expect(cardRecipe(card)).toMatchObject({
      ...{ '@context': 'https://schema.org', '@type': 'Recipe', name: 'Saltmarsh', cookTime: 'PT28.6S' },
      ...{ recipeYield: '37 g', recipeIngredient: ['18 g Saltmarsh'], author: { '@type': 'Person', name: 'Oda' } },
    });
    expect(cardRecipe({ ...card, setBy: '', foundSeconds: null })).toMatchObject({ cookTime: 'PT30S' });
  });

  it('stays one table whatever names hold', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.string(), (name, note) => {
        const text = cardMarkdown({ ...card, name: `${name} | # [x](y)\n- z`, note });
        const plain = cardMarkdown(card);
        expect(text.split('\n')).toHaveLength(plain.split('\n').length);
        const bars = (line: string): number => line.replaceAll(/\\./g, '').split('|').length;
        expect(text.split('\n').map(bars)).toEqual(plain.split('\n').map(bars));
        JSON.parse(JSON.stringify(cardRecipe({ ...card, name })));
      }),
    );
  });
});
