import {
  brewPuck,
  CLEAN_PUCK,
  createRandom,
  drawNormal,
  idealShot,
  PLAIN_WORLD,
  pullShot,
  STEADY_BARISTA,
  type BrewSettings,
} from '../index';

const house: BrewSettings = { grind: 12, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };
const brew = (change: Partial<BrewSettings> = {}, condition = CLEAN_PUCK) =>
  brewPuck(PLAIN_WORLD, { ...house, ...change }, condition);

describe('brewPuck', () => {
  it('pours an ordinary espresso at ordinary settings', () => {
    const shot = brew();
    expect(shot.pumpOnSeconds).toBeGreaterThan(25);
    expect(shot.pumpOnSeconds).toBeLessThan(32);
    expect(shot.firstDripSeconds).toBeGreaterThan(5);
    expect(shot.firstDripSeconds).toBeLessThan(8.5);
    expect(shot.extractionPercent).toBeGreaterThan(18);
    expect(shot.extractionPercent).toBeLessThan(22);
  });

  it('keeps mass: what left the coffee into the cup is the cup’s TDS, and the trace ends at the yield', () => {
    const shot = brew();
    const cup = shot.trace.at(-1)!.grams;
    expect(cup).toBeGreaterThanOrEqual(36);
    expect(cup).toBeLessThan(36.7);
    expect((shot.tdsPercent * cup) / 18).toBeCloseTo(shot.extractionPercent, 6);
    const grams = shot.trace.map((point) => point.grams);
    expect(grams.every((value, i) => i === 0 || value >= grams[i - 1]!)).toBe(true);
  });

  it('answers every lever the way the table of levers says', () => {
    const at = brew();
    const finer = brew({ grind: 10 });
    expect(finer.pumpOnSeconds).toBeGreaterThan(at.pumpOnSeconds + 2);
    expect(finer.extractionPercent).toBeGreaterThan(at.extractionPercent);
    expect(finer.tdsPercent).toBeGreaterThan(at.tdsPercent);
    const longer = brew({ yieldGrams: 42 });
    expect(longer.pumpOnSeconds).toBeGreaterThan(at.pumpOnSeconds);
    expect(longer.extractionPercent).toBeGreaterThan(at.extractionPercent);
    expect(longer.tdsPercent).toBeLessThan(at.tdsPercent);
    const hotter = brew({ temperatureC: 95 });
    expect(hotter.extractionPercent).toBeGreaterThan(at.extractionPercent);
    expect(Math.abs(hotter.pumpOnSeconds - at.pumpOnSeconds)).toBeLessThan(1);
    const more = brew({ doseGrams: 18.5 });
    expect(more.pumpOnSeconds).toBeGreaterThan(at.pumpOnSeconds);
    expect(more.tdsPercent).toBeGreaterThan(at.tdsPercent);
  });

  it('is nearly log-linear in grind', () => {
    const perStep = [8, 10, 12, 14].map(
      (grind) => Math.log(brew({ grind }).pumpOnSeconds) - Math.log(brew({ grind: grind + 2 }).pumpOnSeconds),
    );
    for (const change of perStep) expect(Math.abs(change / perStep[0]! - 1)).toBeLessThan(0.35);
  });

  it('runs faster and weaker through a channel', () => {
    const channelled = brew({}, { ...CLEAN_PUCK, channelShare: 0.3 });
    expect(channelled.pumpOnSeconds).toBeLessThan(brew().pumpOnSeconds);
    expect(channelled.extractionPercent).toBeLessThan(brew().extractionPercent);
    expect(channelled.overExtractedShare).toBeGreaterThan(brew().overExtractedShare);
  });

  it('chokes rather than looping for ever', () => {
    const world = { ...PLAIN_WORLD, coffee: { ...PLAIN_WORLD.coffee, resistance: 500 } };
    expect(brewPuck(world, house, CLEAN_PUCK).choked).toBe(true);
  });
});

describe('pullShot', () => {
  const pull = (seed: string) =>
    pullShot({
      world: PLAIN_WORLD,
      settings: house,
      barista: { ...STEADY_BARISTA, channelChance: 0 },
      previousGrind: 12,
      random: createRandom(seed),
    });

  it('is the same shot for the same seed, another for another', () => {
    expect(pull('a')).toEqual(pull('a'));
    expect(pull('a')).not.toEqual(pull('b'));
  });

  it('scatters around the ideal shot by about the barista’s noise', () => {
    const shots = Array.from({ length: 300 }, (_, i) => pull(`shot ${i}`));
    const ideal = idealShot(PLAIN_WORLD, house);
    const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;
    const times = shots.map((shot) => shot.pumpOnSeconds);
    expect(Math.abs(mean(times) - ideal.puck.pumpOnSeconds)).toBeLessThan(0.5);
    const sd = Math.sqrt(mean(times.map((t) => (t - mean(times)) ** 2)));
    expect(sd).toBeGreaterThan(0.8);
    expect(sd).toBeLessThan(2.5);
    expect(Math.abs(mean(shots.map((s) => s.taste.balance)) - ideal.taste.balance)).toBeLessThan(0.15);
  });

  it('draws normals with the asked mean and spread', () => {
    const random = createRandom('normal');
    const draws = Array.from({ length: 4000 }, () => drawNormal(random, 3, 2));
    const mean = draws.reduce((a, b) => a + b, 0) / draws.length;
    const sd = Math.sqrt(draws.reduce((a, b) => a + (b - mean) ** 2, 0) / draws.length);
    expect(Math.abs(mean - 3)).toBeLessThan(0.1);
    expect(Math.abs(sd - 2)).toBeLessThan(0.1);
  });
});
