import { caffeineOf } from './caffeine';
import { ageingBetween, forecastMorning, type MorningInput } from './forecast';
import { openingOrder } from './order';
import { usualWarmUpMinutes, warmUpAt } from './warmUp';

const NOW = Date.UTC(2026, 2, 1, 6, 0);
const MINUTE = 60_000;

describe('warming up', () => {
  it('reckons when a machine is hot from one tap', () => {
    const at = warmUpAt({ switchedOnAt: NOW - 10 * MINUTE, warmUpMinutes: 35, now: NOW });
    expect(at).toEqual({ hotAt: NOW + 25 * MINUTE, minutesLeft: 25, isHot: false, share: 10 / 35 });
    expect(warmUpAt({ switchedOnAt: NOW - 40 * MINUTE, warmUpMinutes: 35, now: NOW })).toMatchObject({
      isHot: true,
      minutesLeft: 0,
      share: 1,
    });
    expect(usualWarmUpMinutes(2)).toBeGreaterThan(usualWarmUpMinutes(1));
  });
});

describe('the order of opening', () => {
  const station = (id: string, hotIn: number | null, shotsPerDay: number, doubt = 0.05) => ({
    id,
    hotAt: hotIn === null ? null : NOW + hotIn * MINUTE,
    shotsPerDay,
    doubt,
  });

  it('takes what is hot, then what pours most, then what is least certain; machines off come last', () => {
    const turns = openingOrder(
      [station('off', null, 300), station('decaf', 0, 12), station('house', -5, 140), station('late', 30, 200)],
      NOW,
    );
    expect(turns.map(({ id }) => id)).toEqual(['house', 'decaf', 'late', 'off']);
    expect(turns[0]!.reason).toBe('Most guests wait for it.');
    expect(turns[3]!.reason).toMatch(/off/);
    const tie = openingOrder([station('sure', 0, 50, 0.05), station('unsure', 0, 50, 0.2)], NOW);
    expect(tie[0]!.id).toBe('unsure');
  });
});

describe('the forecast for the morning', () => {
  const input: MorningInput = {
    closing: { grind: 12, timeSeconds: 29 },
    ageDays: { closing: 35, now: 38 },
    band: { settlesDay: 5, bestFromDay: 10, bestUntilDay: 28, pastDay: 45 },
    weather: { closing: { roomC: 21, humidityPercent: 60 }, now: { roomC: 21, humidityPercent: 35 } },
    grinder: { scale: { min: 0, max: 30, step: 0.5 }, finer: 'lower', slope: { mean: 0.08, sd: 0.01 } },
    window: { min: 27, max: 33 },
  };

  it('adds the parts, and says them', () => {
    const forecast = forecastMorning(input);
    const parts = forecast.parts.reduce((sum, { logTime }) => sum + logTime, 0);
    expect(forecast.logTime.mean).toBeCloseTo(parts, 12);
    expect(forecast.timeSeconds.mean).toBeCloseTo(29 * Math.exp(parts), 9);
    expect(forecast.parts.map(({ text }) => text)).toEqual([
      '3 days older: about 2.7 % faster.',
      'The air is drier: about 7.2 % faster.',
    ]);
  });

  it('moves finer for a faster morning, on the grinder’s own steps, and only beyond its doubt', () => {
    const forecast = forecastMorning(input);
    expect(forecast.start.grind).toBe(10.5);
    expect(forecast.worthMoving).toBe(true);
    const turned = forecastMorning({ ...input, grinder: { ...input.grinder, finer: 'higher' } });
    expect(turned.start.grind).toBe(13.5);
    const calm = forecastMorning({ ...input, weather: null, ageDays: { closing: 20, now: 21 } });
    expect(calm.worthMoving).toBe(false);
    expect(calm.start.grind).toBe(12);
  });

  it('begins where it says, as surely as the night lets it be', () => {
    const still = forecastMorning({ ...input, closing: { grind: 12, timeSeconds: 30 }, weather: null, ageDays: null });
    expect(still.start.grind).toBe(12);
    expect(still.start.sd).toBeCloseTo(still.logTime.sd / 0.08, 12);
    // At the edge of the window it is left where it stands, and further from its middle.
    const edge = forecastMorning({ ...input, closing: { grind: 12, timeSeconds: 33 }, weather: null, ageDays: null });
    expect(edge.start.grind).toBe(12);
    expect(edge.start.sd).toBeGreaterThan(still.start.sd);
  });

  it('does without weather and roast day, with a spread that remains', () => {
    const { logTime, parts, timeSeconds } = forecastMorning({ ...input, weather: null, ageDays: null, band: null });
    expect(parts).toEqual([]);
    expect(logTime.mean).toBe(0);
    expect(timeSeconds.p90 - timeSeconds.p10).toBeGreaterThan(2);
  });
});

describe('caffeine', () => {
  it('counts a full double as two singles of 60–80 mg, sips as sips', () => {
    expect(caffeineOf([{ doseGrams: 18, share: 1 }])).toEqual({ low: 120, high: 160 });
    expect(caffeineOf([{ doseGrams: 18, share: 0.25 }])).toEqual({ low: 30, high: 40 });
    expect(caffeineOf([{ doseGrams: 18, share: 1, arabicaPercent: 50 }])).toEqual({ low: 180, high: 240 });
    expect(caffeineOf([{ doseGrams: 18, share: 1, decaf: true }]).high).toBeLessThan(10);
    expect(caffeineOf([])).toEqual({ low: 0, high: 0 });
  });
});

describe('ageing', () => {
  const band = { settlesDay: 5, bestFromDay: 10, bestUntilDay: 28, pastDay: 45 };

  it('adds up day by day, and is the way back for a younger bag', () => {
    expect(ageingBetween(8, 30, band)).toBeCloseTo(2 * -0.012 + 18 * -0.004 + 2 * -0.009, 12);
    expect(ageingBetween(8, 20, band) + ageingBetween(20, 30, band)).toBeCloseTo(ageingBetween(8, 30, band), 12);
    expect(ageingBetween(30, 8, band)).toBe(-ageingBetween(8, 30, band));
  });
});
