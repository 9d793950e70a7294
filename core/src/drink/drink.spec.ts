import { buttonSetting, drinkFigures } from '../index';

const recipe = { doseGrams: 18, yieldGrams: 36, timer: 'pump-on' };
const black = { cupMl: 70, share: 1, milkMl: 0, foam: 'none' as const, waterMl: 0 };

describe('a drink on a card', () => {
  it('is as strong as its coffee over all that is in the cup', () => {
    expect(drinkFigures(black, recipe)).toMatchObject({ coffeeGrams: 36, liquidMl: 36, strength: 50, fits: true });
    // 18 g of coffee in 36 + 144 ml.
    const milky = { ...black, cupMl: 240, milkMl: 144, foam: 'thin' as const };
    expect(drinkFigures(milky, recipe).strength).toBeCloseTo(10, 10);
    // Half of a double holds half the coffee.
    expect(drinkFigures({ ...black, share: 0.5 }, recipe)).toMatchObject({ coffeeGrams: 18, strength: 50 });
  });

  it('says that it does not fit: crema and foam need room, too', () => {
    const full = { cupMl: 200, share: 1, milkMl: 150, foam: 'none' as const, waterMl: 0 };
    expect(drinkFigures(full, recipe)).toMatchObject({ liquidMl: 186, fillsMl: 204, fits: false });
    expect(drinkFigures({ ...full, milkMl: 120, foam: 'thick' }, recipe).fits).toBe(false);
    expect(drinkFigures({ ...full, milkMl: 120 }, recipe).fits).toBe(true);
  });

  it('counts caffeine by its dose, and hardly any of a decaf', () => {
    expect(drinkFigures(black, recipe).caffeineMg).toEqual({ low: 120, high: 160 });
    expect(drinkFigures(black, recipe, { decaf: true }).caffeineMg.high).toBeLessThan(10);
  });
});

describe('a programmed button', () => {
  it('is set in millilitres with the spread crema has, or in seconds where the card counts as the machine does', () => {
    expect(buttonSetting('volumetric', 1, recipe, null)).toEqual({ value: 54, least: 50, most: 58, unit: 'ml' });
    expect(buttonSetting('timed', 1, recipe, 29.6)).toMatchObject({ value: 29.6, unit: 's' });
    expect(buttonSetting('timed', 1, { ...recipe, timer: 'first-drip' }, 29.6)).toBeNull();
    expect(buttonSetting('timed', 1, recipe, null)).toBeNull();
  });
});
