import { suggestStart, type KeptSetting } from './start';

// Fine enough to see the law itself; a stepless collar would be set to round figures.
const GRINDER = { scale: { min: 0, max: 40, step: 0.001 }, finer: 'lower' as const, slope: { mean: 0.1, sd: 0 } };
const wanted = {
  coffeeId: 'new',
  basketId: '18 g',
  basketMm: 58,
  roast: 'medium' as const,
  doseGrams: 18,
  yieldGrams: 36,
  middleSeconds: 30,
};
const kept = (change: Partial<KeptSetting> = {}): KeptSetting => ({
  ...wanted,
  coffeeId: 'old',
  coffeeName: 'Fogbell',
  grind: 12,
  daysAgo: 0,
  ...change,
});

describe('the first setting for a coffee', () => {
  it('is none where nothing was kept', () => {
    expect(suggestStart(wanted, [], GRINDER)).toBeNull();
  });

  it('is what one like coffee stood at, with the spread of one vote', () => {
    const start = suggestStart(wanted, [kept()], GRINDER)!;
    expect(start.grind).toBeCloseTo(12, 9);
    expect(start.sd).toBeCloseTo(0.16 / 0.1, 9);
  });

  it('moves with time, yield and dose by the near-log law', () => {
    // A tenth more time for a gram is ln 1.1 / slope finer; lower numbers are finer.
    const slower = suggestStart({ ...wanted, middleSeconds: 33 }, [kept()], GRINDER)!;
    expect(slower.grind).toBeCloseTo(12 - Math.log(1.1) / 0.1, 2);
    const longer = suggestStart({ ...wanted, yieldGrams: 39.6 }, [kept()], GRINDER)!;
    expect(longer.grind).toBeCloseTo(12 + Math.log(1.1) / 0.1, 2);
    const heavier = suggestStart({ ...wanted, doseGrams: 19 }, [kept()], GRINDER)!;
    expect(heavier.grind).toBeCloseTo(12 + (2 * Math.log(19 / 18)) / 0.1, 2);
  });

  it('carries a recipe to another basket by the height of its bed', () => {
    const less = { ...wanted, doseGrams: 16, yieldGrams: 32, basketId: '16 g' };
    // In ratio at the same time: the yield’s share and the plain height, ln (16/18) each.
    const asWide = suggestStart(less, [kept()], GRINDER)!;
    expect(asWide.grind).toBeCloseTo(12 + (2 * Math.log(16 / 18)) / 0.1, 2);
    const narrower = suggestStart({ ...less, basketMm: 54 }, [kept()], GRINDER)!;
    expect(narrower.grind).toBeCloseTo(asWide.grind + (4 * Math.log(58 / 54)) / 0.1, 2);
    // Less in a basket that stays leaves it room above, too.
    const sameBasket = suggestStart({ ...less, basketId: '18 g' }, [kept()], GRINDER)!;
    expect(sameBasket.grind).toBeLessThan(asWide.grind);
  });

  it('is less sure the further it is carried, however many recipes say so', () => {
    const doubtful = { ...GRINDER, slope: { mean: 0.1, sd: 0.025 } };
    const many = Array.from({ length: 30 }, () => kept());
    const spread = (seconds: number): number => suggestStart({ ...wanted, middleSeconds: seconds }, many, doubtful)!.sd;
    expect(spread(30)).toBeCloseTo(0.16 / Math.sqrt(30) / 0.1, 6);
    // A quarter of the way itself: so badly is the slope known.
    expect(spread(45)).toBeCloseTo(Math.hypot(0.16 / Math.sqrt(30), 0.25 * Math.log(1.5)) / 0.1, 6);
  });

  it('goes the other way on a scale that runs the other way', () => {
    const other = suggestStart({ ...wanted, middleSeconds: 33 }, [kept()], { ...GRINDER, finer: 'higher' })!;
    expect(other.grind).toBeCloseTo(12 + Math.log(1.1) / 0.1, 2);
  });

  it('believes the same coffee before others, and the newest before the old', () => {
    const start = suggestStart({ ...wanted, coffeeId: 'a' }, [kept({ grind: 15 }), kept({ coffeeId: 'a' })], GRINDER)!;
    expect(start.grind).toBeLessThan(12.7);
    expect(start.from[0]!.coffeeId).toBe('a');
    const aged = suggestStart(wanted, [kept({ grind: 15, daysAgo: 300 }), kept()], GRINDER)!;
    expect(aged.grind).toBeLessThan(12.5);
  });

  it('sets a lighter roast finer than a darker one stood', () => {
    const start = suggestStart({ ...wanted, roast: 'light' }, [kept({ roast: 'dark' })], GRINDER)!;
    expect(start.grind).toBeLessThan(12);
  });

  it('stays on the grinder’s own steps', () => {
    const stepped = { ...GRINDER, scale: { min: 11, max: 13, step: 0.5 } };
    expect(suggestStart(wanted, [kept({ grind: 12.2 })], stepped)!.grind).toBe(12);
    expect(suggestStart({ ...wanted, middleSeconds: 60 }, [kept()], stepped)!.grind).toBe(11);
  });

  it('names a round figure on a collar without steps', () => {
    const stepless = { ...GRINDER, scale: { min: 0, max: 40, step: 0 } };
    expect(suggestStart(wanted, [kept({ grind: 12.2437 })], stepless)!.grind).toBe(12.2);
  });
});
