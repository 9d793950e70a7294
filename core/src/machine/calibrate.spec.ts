import { firstDripDelay, temperatureOffset } from './calibrate';

describe('calibrating a machine', () => {
  it('weighs readings against what machines usually do', () => {
    // Prior 0 ± 3, four readings of −2 with ±1 each: −2 · 4 / (4 + 1/9).
    const four = temperatureOffset(Array.from({ length: 4 }, () => ({ shownC: 93, measuredC: 91 })));
    expect(four).toEqual({ mean: -1.95, sd: 0.49, readings: 4 });
    expect(temperatureOffset([])).toEqual({ mean: 0, sd: 3, readings: 0 });
  });

  it('comes nearer to what was watched with every shot', () => {
    const after = (n: number) => firstDripDelay(Array.from({ length: n }, () => 9));
    expect(after(0).mean).toBe(6.5);
    expect(after(1).mean).toBeGreaterThan(8);
    expect(after(5).mean).toBeGreaterThan(after(1).mean);
    expect(after(5).sd).toBeLessThan(after(1).sd);
  });
});
