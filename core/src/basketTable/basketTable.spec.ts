import { basketSize, basketTable, type TableBase, type TableBasket, type TableGrinder } from '../index';

const basket = (id: string, nominalGrams: number, more: Partial<TableBasket> = {}): TableBasket => ({
  ...{ id, nominalGrams, minGrams: nominalGrams - 2, maxGrams: nominalGrams + 2, diameterMm: null },
  ...{ foundDoseGrams: null, ...more },
});
const DOUBLE = basket('double', 15);
const SINGLE = basket('single', 7);
const TRIPLE = basket('triple', 20);
const base: TableBase = {
  ...{ basketId: 'double', grind: 14, doseGrams: 15, yieldGrams: 30, timer: 'pump-on', foundSeconds: 27 },
  timeSeconds: { min: 25, max: 29 },
};
const grinder: TableGrinder = { min: 0, max: 40, step: 0.5, finer: 'lower', slope: { mean: 0.08, sd: 0.02 } };
const table = (shots: Parameters<typeof basketTable>[2] = [], change: Partial<TableBase> = {}) =>
  basketTable({ ...base, ...change }, [SINGLE, DOUBLE, TRIPLE], shots, grinder);
const cell = (basketId: string, length: string, cells = table()) =>
  cells.find((each) => each.basketId === basketId && each.length === length)!;

describe('the basket table of a coffee', () => {
  it('knows a single and a triple by what they take', () => {
    expect([7, 11, 12, 18, 20, 22].map(basketSize)).toEqual([
      ...['single', 'single', 'double', 'double', 'triple', 'triple'],
    ]);
  });

  it('keeps the card’s own cell as it is', () => {
    expect(cell('double', 'normal')).toMatchObject({
      ...{ doseGrams: 15, yieldGrams: 30, ratio: 2, timeSeconds: base.timeSeconds, grind: 14, unitsFiner: 0 },
    });
  });

  it('gives each basket its own time at one grind, as practice has it', () => {
    const middle = ({ timeSeconds: { min, max } }: ReturnType<typeof cell>) => (min + max) / 2;
    // A small single 21–23 s and a deep triple 32–34 s beside a double of 26–28 s.
    expect(Math.abs(middle(cell('single', 'normal')) - 22)).toBeLessThanOrEqual(1);
    expect(Math.abs(middle(cell('triple', 'normal')) - 33)).toBeLessThanOrEqual(1.5);
  });

  it('is finer where it would run fast, coarser where slow, on the grinder’s own clicks', () => {
    expect(cell('single', 'normal').grind).toBeLessThan(14);
    expect(cell('single', 'normal').unitsFiner).toBeGreaterThan(0);
    expect(cell('triple', 'long').grind).toBeGreaterThan(14);
    // ln(1 / (0.25 + 0.75 × 0.75)) / 0.08 = 2.6 units.
    expect(cell('double', 'short')).toMatchObject({ yieldGrams: 22.5, grind: 11.5, unitsFiner: 2.5 });
  });

  it('counts from the first drip without the dry seconds', () => {
    const dripping = table([], { timer: 'first-drip' });
    const short = cell('double', 'short', dripping).timeSeconds;
    expect((short.min + short.max) / 2 / 27).toBeCloseTo(0.75, 1);
  });

  it('believes what was pulled in a basket the more the more there is', () => {
    const slow = { basketId: 'triple', grind: 14, doseGrams: 20, yieldGrams: 40, timeSeconds: 43 };
    const of = (count: number) => cell('triple', 'normal', table(Array.from({ length: count }, () => slow)));
    const middles = [0, 1, 4, 40].map((count) => of(count).timeSeconds).map(({ min, max }) => (min + max) / 2);
    expect([...middles].sort((a, b) => a - b)).toEqual(middles);
    expect(middles[3]).toBeCloseTo(43, -0.5);
    expect(of(4).shots).toBe(4);
  });

  it('reads a shot at another grind by the grinder’s slope', () => {
    const plain = cell('triple', 'normal').timeSeconds;
    const finer = { basketId: 'triple', grind: 12, doseGrams: 20, yieldGrams: 40 };
    const asPredicted = ((plain.min + plain.max) / 2) * Math.exp(2 * 0.08);
    const learned = cell('triple', 'normal', table([{ ...finer, timeSeconds: asPredicted }])).timeSeconds;
    expect(Math.abs(learned.min - plain.min)).toBeLessThanOrEqual(1);
  });

  it('takes a dose that was found before one that is reckoned', () => {
    const found = basketTable(base, [DOUBLE, { ...TRIPLE, foundDoseGrams: 19.3 }], [], grinder);
    expect(cell('triple', 'normal', found).doseGrams).toBe(19.3);
    expect(cell('triple', 'normal').doseGrams).toBe(20);
  });

  it('is empty without the card’s basket', () => {
    expect(basketTable({ ...base, basketId: 'gone' }, [DOUBLE], [], grinder)).toEqual([]);
  });
});
