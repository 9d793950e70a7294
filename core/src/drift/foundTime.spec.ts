import { foundTime, spreadInService } from './foundTime';

const recipe = { grind: 12, yieldGrams: 36, timer: 'pump-on' };
const shot = (timeSeconds: number | null, change: object = {}) => ({
  grind: 12,
  yieldGrams: 36,
  timeSeconds,
  timer: 'pump-on',
  ...change,
});

describe('the time a recipe was found at', () => {
  it('is the mean of the shots at its settings, with the usual spread where there are few', () => {
    const others = [shot(20, { grind: 13 }), shot(34, { yieldGrams: 45 }), shot(22, { timer: 'first-drip' })];
    const spoilt = shot(15, { cause: 'channelled' });
    // (3 · (0.06 · 30)² + 1 + 1) / 4, rooted.
    expect(foundTime([...others, spoilt, shot(29), shot(31), shot(null)], recipe)).toEqual({
      seconds: 30,
      sd: 1.71,
      shots: 2,
    });
    expect(foundTime([shot(30)], recipe)).toEqual({ seconds: 30, sd: 1.8, shots: 1 });
    expect(foundTime(others, recipe)).toBeNull();
  });

  it('learns its spread from service, and its middle never', () => {
    const found = { seconds: 30, sd: 1.8, shots: 2 };
    const drifting = Array.from({ length: 60 }, (_, i) => 30 + 0.1 * i);
    const steady = spreadInService(found, drifting);
    expect(steady.seconds).toBe(30);
    expect(steady.sd).toBeLessThan(0.6);
    const wild = spreadInService(found, [25, 35, 24, 36, 26, 35]);
    expect(wild.sd).toBeGreaterThan(4);
    expect(spreadInService(found, [40])).toEqual(found);
  });
});
