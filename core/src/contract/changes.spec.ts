import { changesBetween, directionOf } from './changes';

const settings = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };

describe('changes', () => {
  it('come in the order a barista sets them, without what stays', () => {
    const to = { grind: 12.5, doseGrams: 18, yieldGrams: 38, temperatureC: 94 };
    expect(changesBetween(settings, to).map(({ variable }) => variable)).toEqual([
      'grind',
      'yieldGrams',
      'temperatureC',
    ]);
    expect(changesBetween(settings, settings)).toEqual([]);
  });

  it('do not tell of a temperature that is not known', () => {
    expect(changesBetween({ ...settings, temperatureC: null }, settings)).toEqual([]);
  });

  it('count finer as up, whichever way the collar is numbered', () => {
    const change = { variable: 'grind' as const, from: 14, to: 12 };
    expect(directionOf({ finerSign: -1 }, change)).toBe(1);
    expect(directionOf({ finerSign: 1 }, change)).toBe(-1);
    expect(directionOf({ finerSign: -1 }, { variable: 'yieldGrams', from: 36, to: 38 })).toBe(1);
  });
});
