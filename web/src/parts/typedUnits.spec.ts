import { readDegrees, readMillilitres } from './typedUnits';

describe('units as people type them', () => {
  it.each([
    ['200 f', 'C', '93.33'],
    ['200°F', 'F', '200'],
    ['93c', 'F', '199.4'],
    ['93,5', 'C', '93.5'],
    ['ninety', 'C', 'ninety'],
  ] as const)('%s in a field of °%s', (text, unit, read) => expect(readDegrees(text, unit)).toBe(read));

  it.each([
    ['1.5 oz', '44.4'],
    ['2 fl oz', '59.1'],
    ['45 ml', '45'],
    ['45,5', '45.5'],
  ])('%s of a glass', (text, read) => expect(readMillilitres(text)).toBe(read));
});
