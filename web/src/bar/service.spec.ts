import { sheetView } from '../../testing/sheet.fixture';
import { recipeDto } from '../../testing/sheet.fixture';
import { serviceAim, tappableSeconds, toldBy, togetherSaid } from './service';

const { station } = sheetView();
const card = {
  ...{ cardId: 'card', versionId: 'v2', version: 2, name: 'Saltmarsh', purpose: 'black' as const },
  recipe: recipeDto({ grind: 11, yieldGrams: 38, timer: 'first-drip' }),
  found: { seconds: 24.6, sd: 1, shots: 3 },
  reference: null,
};

describe('a shot in service', () => {
  it('is aimed by its card where there is one, at the setting that stands', () => {
    expect(serviceAim({ ...station, grind: 13 }, card)).toEqual({
      settings: { grind: 13, doseGrams: 18, yieldGrams: 38, temperatureC: 93 },
      timer: 'first-drip',
      wantedSeconds: 24.6,
    });
    expect(serviceAim({ ...station, grind: null }, card).settings.grind).toBe(11);
    expect(serviceAim({ ...station, grind: null }, undefined)).toMatchObject({
      ...{ settings: { grind: null, yieldGrams: 36 }, timer: 'pump-on', wantedSeconds: 30 },
    });
  });

  it('is timed with one tap, near the wanted time', () => {
    expect(tappableSeconds(24.6)).toEqual(Array.from({ length: 17 }, (_, i) => 17 + i));
    expect(tappableSeconds(4)[0]).toBe(1);
  });

  it('says together what was tapped and typed; what was measured is not assumed besides', () => {
    const tapped = { timeSeconds: 28, assumed: ['doseGrams' as const, 'yieldGrams' as const] };
    expect(togetherSaid(tapped, { yieldGrams: 34, timeSeconds: 28.4 })).toEqual({
      ...{ timeSeconds: 28.4, yieldGrams: 34, assumed: ['doseGrams'] },
    });
    expect(togetherSaid({}, {}).assumed).toBeUndefined();
    expect([toldBy({ timeSeconds: 28.44 }), toldBy({ yieldGrams: 34 }), toldBy({})]).toEqual([
      '28.4 s',
      '34 g',
      'The shot',
    ]);
  });
});
