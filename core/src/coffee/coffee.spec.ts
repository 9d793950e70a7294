import fc from 'fast-check';
import { ROASTS } from '../brew/types';
import { BODY_GOALS, FLAVOUR_GOALS, goalInWords, tasteTarget } from './goal';
import { readLabel } from './label';
import { restOf } from './rest';
import { dialInBudget, shotCostCents, shotsIn, stockOf } from './stock';

describe('rest', () => {
  const at = (today: string, frozen = [] as { from: string; to: string | null }[]) =>
    restOf({ roastedOn: '2026-03-01', today, roast: 'medium', frozen });

  it('puts a medium roast at its best from day 10 to day 28', () => {
    expect(at('2026-03-03').phase).toBe('too-fresh');
    expect(at('2026-03-08').phase).toBe('settling');
    expect(at('2026-03-11')).toMatchObject({ phase: 'best', bestFrom: '2026-03-11', bestUntil: '2026-03-29' });
    expect(at('2026-03-30').phase).toBe('fading');
    expect(at('2026-05-01').phase).toBe('past');
  });

  it('lets lighter roasts come later and stay longer', () => {
    const bands = ROASTS.map((roast) => restOf({ roastedOn: '2026-03-01', today: '2026-03-02', roast }).band);
    for (let i = 1; i < bands.length; i += 1) {
      expect(bands[i]!.bestFromDay).toBeLessThan(bands[i - 1]!.bestFromDay);
      expect(bands[i]!.bestUntilDay).toBeLessThan(bands[i - 1]!.bestUntilDay);
    }
  });

  it('stops the clock in the freezer, nearly', () => {
    const thawed = at('2026-04-10', [{ from: '2026-03-06', to: '2026-04-05' }]);
    // 40 days off roast, 30 of them frozen at a twentieth of the pace.
    expect(thawed.ageDays).toBeCloseTo(40 - 0.95 * 30, 5);
    expect(thawed.phase).toBe('best');
    const lying = at('2026-04-10', [{ from: '2026-03-06', to: null }]);
    expect(lying).toMatchObject({ bestFrom: null, bestUntil: null });
    expect(lying.reason).toMatch(/Frozen/);
  });
});

describe('stock and cost', () => {
  it('counts what is left and how long it lasts', () => {
    expect(stockOf({ weightGrams: 1000, usedGrams: 640, gramsPerDay: 120 })).toEqual({ leftGrams: 360, daysLeft: 3 });
    expect(stockOf({ weightGrams: 250, usedGrams: 260, gramsPerDay: 0 })).toEqual({ leftGrams: 0, daysLeft: null });
  });

  it('prices a shot, and finds 13 of them in a 250 g bag', () => {
    expect(shotCostCents({ priceCents: 2500, weightGrams: 1000 }, 18)).toBeCloseTo(45, 10);
    expect(shotsIn(250, 18)).toBe(13);
    expect(() => shotCostCents({ priceCents: 1, weightGrams: 0 }, 18)).toThrow(RangeError);
  });

  it('allows a dial-in less when more is known', () => {
    const grams = ([0, 1, 2] as const).map((known) => dialInBudget({ known, doseGrams: 18, purgeGrams: 10 }).grams);
    expect(grams[0]!).toBeGreaterThan(grams[1]!);
    expect(grams[1]!).toBeGreaterThan(grams[2]!);
    expect(grams[2]).toBe(4 * 18 + 2 * 10);
  });
});

describe('reading a bag label', () => {
  it('recognises the usual lines, headed or not', () => {
    const { fields, unread } = readLabel(
      `Gull Rock
Roaster: Old Net Roastery
Origin: Sable Valley
1700–1900 masl
Washed
Light roast
Tasting notes: apricot, black tea
Roasted on 3 November 2026
250 g`,
      '2026-11-23',
    );
    expect(fields).toEqual({
      name: 'Gull Rock',
      roaster: 'Old Net Roastery',
      origin: 'Sable Valley',
      altitudeM: 1800,
      process: 'washed',
      roast: 'light',
      notes: 'apricot, black tea',
      roastedOn: '2026-11-03',
      weightGrams: 250,
    });
    expect(unread).toEqual([]);
  });

  it.each([
    ['Roast date: 03.11.2026', { roastedOn: '2026-11-03' }],
    ['Roasted 11/25/2025', { roastedOn: '2025-11-25' }],
    ['Packed: Nov 5', { roastedOn: '2026-11-05' }],
    ['Roasted on 24 Dec', { roastedOn: '2025-12-24' }],
    ['Roast: medium to dark', { roast: 'medium-dark' }],
    ['Process: anaerobic natural', { process: 'anaerobic' }],
    ['Elevation - 6,000 ft', { altitudeM: 1829 }],
    ['Net weight: 12 oz', { weightGrams: 340 }],
    ['1 kg', { weightGrams: 1000 }],
    ['80% arabica, 20% robusta', { arabicaPercent: 80 }],
    ['Price: 14,50', { price: 14.5 }],
  ])('reads %s', (line, fields) => {
    expect(readLabel(`Kelp Street\n${line}`, '2026-11-23').fields).toMatchObject(fields);
  });

  it('leaves alone what it cannot know', () => {
    const { fields, unread } = readLabel(
      'Kelp Street\nBrewed with love by the sea\nRoasted on 31.02.2026',
      '2026-11-23',
    );
    expect(fields).toEqual({ name: 'Kelp Street' });
    expect(unread).toHaveLength(2);
  });

  it('never throws, and names only lines that stood there', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        const { from } = readLabel(text, '2026-11-23');
        for (const line of Object.values(from)) expect(text).toContain(line);
      }),
    );
  });
});

describe('a goal in words', () => {
  it('becomes a target, and milk wants it stronger', () => {
    expect(tasteTarget({ flavour: 'even', body: 'round' })).toEqual({ balance: 0, body: 0 });
    expect(tasteTarget({ flavour: 'bright' }).balance).toBeLessThan(0);
    expect(tasteTarget({ flavour: 'even', drunkAs: 'milk' }).body).toBeGreaterThan(0);
  });

  it('is said as it was wished, and not at all where nobody wished anything', () => {
    expect(goalInWords({ flavour: 'bright', body: 'light' })).toBe('bright, with clear acidity; light and clear');
    expect(goalInWords({ flavour: null, body: 'heavy' })).toBe('heavy, syrupy');
    expect(goalInWords({ flavour: 'of another day' })).toBe('');
  });

  it('stays where a cup can be, for any words', () => {
    for (const { id: flavour } of FLAVOUR_GOALS) {
      for (const { id: body } of BODY_GOALS) {
        const target = tasteTarget({ flavour, body, drunkAs: 'milk' });
        expect(Math.abs(target.balance)).toBeLessThanOrEqual(1.5);
        expect(Math.abs(target.body)).toBeLessThanOrEqual(1.5);
      }
    }
  });
});
