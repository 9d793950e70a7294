import { createRandom, drawNormal, learnEffects, THUMB, type EffectName, type EffectShot } from '../index';

/** Days of a shop whose own effects are known. */
function shop(days: number, truth: Partial<Record<EffectName, number>>, seed = 'shop'): EffectShot[] {
  const random = createRandom(seed);
  return Array.from({ length: days }, (_, day) => {
    const stray = drawNormal(random, 0, 0.04);
    const [damp, warm] = [drawNormal(random, 50, 10), drawNormal(random, 21, 3)];
    return Array.from({ length: 12 }, (_shot, i): EffectShot => {
      const hour = 8 + i / 2;
      const humidityPercent = damp + 3 * Math.sin(hour);
      const celsius = warm + hour / 4;
      const ageing = -0.004 * (day % 14);
      const log =
        stray +
        (truth.humidity ?? 0) * (humidityPercent - 50) +
        (truth.warmth ?? 0) * (celsius - 21) +
        (truth.age ?? 0) * ageing +
        (truth.hour ?? 0) * (hour - 12) +
        drawNormal(random, 0, 0.05);
      return { day: `day ${day}`, hour, cardId: 'card', log, humidityPercent, celsius, ageing };
    });
  }).flat();
}

describe('what moves a time at this shop', () => {
  it('is the rule of thumb as long as nothing was poured', () => {
    const nothing = learnEffects([]);
    for (const [name, { mean, sd }] of Object.entries(THUMB)) {
      const learned = nothing[name as EffectName];
      expect(learned).toMatchObject({ days: 0 });
      expect(learned.mean).toBeCloseTo(mean, 10);
      expect(learned.sd).toBeCloseTo(sd, 10);
    }
  });

  it('comes nearer to the truth with the days, and grows surer', () => {
    const truth = { humidity: 0.007, warmth: 0.001, age: 2, hour: 0.004 };
    const [few, many] = [learnEffects(shop(5, truth)), learnEffects(shop(90, truth))];
    for (const name of ['humidity', 'warmth'] as const) {
      expect(many[name].sd).toBeLessThan(few[name].sd);
      expect(few[name].sd).toBeLessThan(THUMB[name].sd);
      expect(Math.abs(many[name].mean - truth[name])).toBeLessThan(3 * many[name].sd);
    }
    expect(many.humidity.mean).toBeGreaterThan(0.005);
    expect(many.humidity.days).toBe(90);
  });

  it('is believed as surely as it is right: four in five lie inside', () => {
    const inside = Array.from({ length: 60 }, (_, i) => {
      const random = createRandom(`truth ${i}`);
      const humidity = drawNormal(random, THUMB.humidity.mean, THUMB.humidity.sd);
      const { mean, sd } = learnEffects(shop(20, { humidity, warmth: 0.003, age: 1 }, `world ${i}`)).humidity;
      return Math.abs(mean - humidity) <= 1.2816 * sd;
    }).filter(Boolean).length;
    expect(inside / 60).toBeGreaterThan(0.68);
    expect(inside / 60).toBeLessThan(0.95);
  });

  it('stays with the rule where no sensor tells the air, and leaves a wild shot out', () => {
    const blind = shop(30, { humidity: 0.01 }).map((shot) => ({ ...shot, humidityPercent: null, celsius: null }));
    const { humidity } = learnEffects(blind);
    expect(humidity).toMatchObject({ mean: expect.closeTo(THUMB.humidity.mean, 6) as number, days: 0 });
    const calm = shop(10, {});
    const wild = [...calm, { ...calm[0]!, log: 3 }];
    expect(learnEffects(wild).hour.mean).toBeCloseTo(learnEffects(calm).hour.mean, 10);
  });
});
