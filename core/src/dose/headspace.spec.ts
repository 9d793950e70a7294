import fc from 'fast-check';
import { ROASTS } from '../brew/types';
import { createRandom, drawNormal, type Random } from '../puck/random';
import { findDose, ROAST_DENSITY, strikeLevelDose, type Print, type Weighing } from './headspace';

const question = { nominalGrams: 18, roast: 'medium' as const, minGrams: 13, maxGrams: 22 };

/** A basket with one right dose, read by a hand of its own: neither the band nor the error is the finder's. */
function printOf(random: Random, grams: number, right: number, band: number): Print {
  const over = grams - right + drawNormal(random, 0, 0.12);
  return over > band ? 'deep' : over < -band ? 'none' : 'faint';
}

describe('the dose finder', () => {
  it('begins a little under the number on the rim, and higher for denser beans', () => {
    const at = (roast: (typeof ROASTS)[number]) => findDose({ ...question, roast, weighings: [] }).nextGrams!;
    expect(at('medium')).toBeCloseTo(17.6, 0);
    expect(at('light')).toBeGreaterThan(at('dark') + 0.8);
    expect(ROAST_DENSITY.light).toBeGreaterThan(ROAST_DENSITY.dark);
  });

  it('goes down after a deep print and up after none', () => {
    const after = (print: Print) => findDose({ ...question, weighings: [{ grams: 17.6, print }] });
    expect(after('deep').nextGrams!).toBeLessThan(17.3);
    expect(after('none').nextGrams!).toBeGreaterThan(17.9);
    expect(Math.abs(after('faint').grams - 17.6)).toBeLessThan(0.15);
  });

  it('needs at most 4 weighings to ±0.3 g in 95 % of simulated baskets', () => {
    const random = createRandom('baskets');
    const baskets = 300;
    let met = 0;
    for (let i = 0; i < baskets; i += 1) {
      const roast = ROASTS[Math.floor(random() * ROASTS.length)]!;
      const nominalGrams = [14, 16, 18, 20][Math.floor(random() * 4)]!;
      const right = nominalGrams * ROAST_DENSITY[roast] * (0.93 + 0.1 * random());
      const band = 0.2 + 0.2 * random();
      const weighings: Weighing[] = [];
      const limits = { minGrams: nominalGrams - 4, maxGrams: nominalGrams + 4 };
      let finding = findDose({ nominalGrams, roast, ...limits, weighings });
      while (finding.nextGrams !== null && weighings.length < 4) {
        weighings.push({ grams: finding.nextGrams, print: printOf(random, finding.nextGrams, right, band) });
        finding = findDose({ nominalGrams, roast, ...limits, weighings });
      }
      if (Math.abs(finding.grams - right) <= 0.3) met += 1;
    }
    expect(met / baskets).toBeGreaterThanOrEqual(0.95);
  });

  it('takes a puck’s word for less than a coin’s', () => {
    const coin = findDose({ ...question, weighings: [{ grams: 18, print: 'faint' }] });
    const puck = findDose({ ...question, weighings: [{ grams: 18, puck: 'firm' }] });
    const none = findDose({ ...question, weighings: [] });
    expect(coin.toleranceGrams).toBeLessThan(puck.toleranceGrams);
    expect(puck.toleranceGrams).toBeLessThan(none.toleranceGrams);
    expect(findDose({ ...question, weighings: [{ grams: 18, puck: 'imprint' }] }).grams).toBeLessThan(none.grams);
  });

  it('says so when prints contradict each other', () => {
    const weighings: Weighing[] = [
      { grams: 19, print: 'none' },
      { grams: 17, print: 'deep' },
    ];
    expect(findDose({ ...question, weighings }).contradictory).toBe(true);
    expect(findDose({ ...question, weighings: weighings.slice(0, 1) }).contradictory).toBe(false);
  });

  it('never proposes outside the limits, whatever was read', () => {
    const weighing = fc.record({
      grams: fc.double({ min: 13, max: 22, noNaN: true }),
      print: fc.constantFrom<Print>('deep', 'faint', 'none'),
    });
    fc.assert(
      fc.property(fc.array(weighing, { maxLength: 8 }), (weighings) => {
        const { nextGrams, grams, toleranceGrams } = findDose({ ...question, weighings });
        expect(Number.isFinite(grams)).toBe(true);
        expect(toleranceGrams).toBeGreaterThan(0);
        if (nextGrams !== null) {
          expect(nextGrams).toBeGreaterThanOrEqual(13);
          expect(nextGrams).toBeLessThanOrEqual(22);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('gives a dose without a scale, with a wide tolerance', () => {
    const { grams, toleranceGrams } = strikeLevelDose(18, 'medium');
    expect(grams).toBeCloseTo(17.6, 1);
    expect(toleranceGrams).toBeGreaterThanOrEqual(1);
    expect(() => strikeLevelDose(0, 'medium')).toThrow(RangeError);
  });
});
