import { driftedStart, judgedStart, stationState } from '../index';

const windowSeconds = { min: 27, max: 33 };
const state = (timesSeconds: number[], change: { pulledToday?: boolean; runOpen?: boolean } = {}) =>
  stationState({ timesSeconds, windowSeconds, pulledToday: true, runOpen: false, ...change });

describe('stationState', () => {
  it.each([
    [[29, 30, 31], 'dialled'],
    [[30, 29, 22], 'dialled'],
    [[26, 25.5, 25], 'drifting-fast'],
    [[34, 33.5, 35], 'drifting-slow'],
    [[31, 20, 21], 'dialled'],
    [[27.2, 21, 27.1], 'dialled'],
    [[26.5, 21, 28], 'drifting-fast'],
    [[], 'unknown'],
  ])('%p → %s', (times, expected) => expect(state(times)).toBe(expected));

  it('says unknown before the first shot of the day, and dialling in while a run is open', () => {
    expect(state([29, 30, 31], { pulledToday: false })).toBe('unknown');
    expect(state([20, 20, 20], { runOpen: true })).toBe('dialling-in');
  });
});

describe('driftedStart', () => {
  const grinder = { scale: { min: 0, max: 40, step: 0.5 }, finer: 'lower' as const, slope: { mean: 0.08, sd: 0.02 } };
  const poured = (times: number[], grind = 14) => times.map((timeSeconds) => ({ grind, timeSeconds }));
  const start = (change: object = {}) =>
    driftedStart({
      state: 'drifting-fast',
      grind: 14,
      shots: poured([30, 24, 26, 25]),
      windowSeconds,
      grinder,
      ...change,
    });

  it('turns a stepless collar to a figure that a hand finds again, and not by less than half of the smallest turn', () => {
    const stepless = { ...grinder, scale: { min: 0, max: 12, step: 0 }, slope: { mean: 0.22, sd: 0.02 } };
    // ln(30/25) / 0.22 is 0.829 finer than 6.25: 5.421, and 1.5 % of the time is about 0.05.
    expect(start({ grind: 6.25, shots: poured([26, 24, 25], 6.25), grinder: stepless })?.grind).toBe(5.4);
    expect(start({ grind: 6.23, shots: poured([29.9, 29.9, 29.9], 6.23), grinder: stepless })).toBeNull();
  });

  it('brings the middle one of the last three to the middle of the window', () => {
    // ln(30/25) is 0.182: 2.3 units finer, on its half steps.
    expect(start()?.grind).toBe(11.5);
    expect(start({ state: 'drifting-slow', shots: poured([36, 36, 36]) })?.grind).toBe(16.5);
    expect(start({ grinder: { ...grinder, finer: 'higher' } })?.grind).toBe(16.5);
  });

  it('stays on the scale', () => {
    expect(start({ grind: 1, shots: poured([20, 20, 20], 1) })?.grind).toBe(0);
  });

  it('is the less sure the further it goes by a slope hardly known, or where the scale ends', () => {
    const sdAt = (change: object) => start(change)!.sd;
    const near = sdAt({ shots: poured([26, 26, 26]) });
    expect(near).toBeGreaterThan(0.5);
    expect(sdAt({ shots: poured([22, 22, 22]) })).toBeGreaterThan(near);
    expect(sdAt({ grinder: { ...grinder, slope: { mean: 0.08, sd: 0.05 } } })).toBeGreaterThan(sdAt({}));
    // Eight units short of where it should go: 8 · 0.08 in ln, eight units of spread.
    expect(sdAt({ grind: 0.5, shots: poured([15, 15, 15], 0.5) })).toBeGreaterThan(8);
  });

  it.each([
    ['nothing drifted', { state: 'dialled' }],
    ['nobody knows where the grinder stands', { grind: null }],
    ['the last shots stood elsewhere', { shots: [...poured([24, 26]), { grind: 13, timeSeconds: 25 }] }],
    [
      'no step comes nearer',
      { grinder: { ...grinder, scale: { min: 0, max: 40, step: 10 } }, grind: 10, shots: poured([26, 26, 26], 10) },
    ],
  ])('is none where %s', (_why, change) => expect(start(change)).toBeNull());
});

describe('judgedStart', () => {
  const grinder = { scale: { min: 0, max: 40, step: 0.5 }, finer: 'lower' as const, slope: { mean: 0.07, sd: 0.01 } };
  const at = (mean: number, grind: number | null = 12) =>
    judgedStart({ grind, foundSeconds: 30, shiftSeconds: { mean, p10: mean - 1, p90: mean + 1 }, grinder });

  it('leads back to the found time by the near-log law', () => {
    // ln(34.5/30) / 0.07 = 2 units, coarser is higher.
    expect(at(4.5)!.grind).toBe(14);
    expect(at(-4)!.grind).toBe(10);
    expect(at(4.5)!.sd).toBeGreaterThan(0.2);
  });

  it('leaves what no step brings nearer, and what nobody knows', () => {
    expect(at(0.3)).toBeNull();
    expect(at(4.5, null)).toBeNull();
  });
});
