import type { AdviceShot } from '../contract/request';
import { readAims } from './aims';

const bar = {
  start: { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 },
  temperatureScale: { min: 88, max: 97, step: 0.5 },
  isByEye: false,
};
const poured = (doseGrams: number, yieldGrams: number, more: Partial<AdviceShot> = {}): AdviceShot => ({
  grind: 14,
  doseGrams,
  yieldGrams,
  temperatureC: 93,
  ...more,
});
const read = (shots: AdviceShot[], at: Partial<typeof bar> | { temperatureScale: null } = {}) =>
  readAims(shots, { ...bar, ...at });
const weighed = (shots: AdviceShot[], at?: Parameters<typeof read>[1]) =>
  read(shots, at).map(({ doseGrams, yieldGrams }) => [doseGrams, yieldGrams]);

describe('what was aimed at', () => {
  it('is what was planned, however it was weighed', () => {
    const planned = { doseGrams: 18, yieldGrams: 36 };
    const shots = [poured(18.3, 37, { planned }), poured(17.8, 35.1, { planned })];
    expect(weighed(shots)).toEqual([
      [18, 36],
      [18, 36],
    ]);
  });

  it('is what was planned before where nobody measured', () => {
    expect(read([poured(18, 36, { planned: { doseGrams: 18.5, yieldGrams: 37 } }), { grind: 12 }])).toEqual([
      { ...bar.start, doseGrams: 18.5, yieldGrams: 37 },
      { ...bar.start, grind: 12, doseGrams: 18.5, yieldGrams: 37 },
    ]);
    expect(read([{}])).toEqual([bar.start]);
  });

  it('is the same for what nobody planned and lies no further apart than a hand strays, and the newest as measured', () => {
    const shots = [poured(18.1, 36.8), poured(17.9, 35.5), poured(18.2, 36.3)];
    expect(weighed(shots)).toEqual([
      [18.2, 36.3],
      [18.2, 36.3],
      [18.2, 36.3],
    ]);
  });

  it('tells a dose or a yield that was turned from the hand, and finds the way back', () => {
    const shots = [poured(18.1, 36.3), poured(18, 38.2), poured(18.6, 38.4), poured(18.5, 35.8)];
    const [first, second, third, last] = read(shots);
    expect(last).toMatchObject({ doseGrams: 18.5, yieldGrams: 35.8 });
    expect(third!.doseGrams).toBe(last!.doseGrams);
    expect(first!.yieldGrams).toBe(last!.yieldGrams);
    expect([first!.doseGrams, second!.doseGrams]).toEqual([18, 18]);
    expect(second!.yieldGrams).toBe(third!.yieldGrams);
    expect(second!.yieldGrams).not.toBe(first!.yieldGrams);
  });

  it('follows a hand that repeats what it weighed, though that leads away from the recipe by and by', () => {
    const shots = [poured(18, 36.9), poured(18, 37.8), poured(18, 38.6)];
    expect(new Set(weighed(shots).map(([, grams]) => grams))).toEqual(new Set([38.6]));
  });

  it('keeps plans that differ apart, and counts a shot that nobody planned to the newest of them that it may have been aimed at', () => {
    const at = (yieldGrams: number) => poured(18, yieldGrams, { planned: { doseGrams: 18, yieldGrams } });
    const shots = [at(36), at(37), poured(18, 36.3), at(40)];
    expect(weighed(shots).map(([, grams]) => grams)).toEqual([36, 37, 37, 40]);
    expect(weighed([at(36), at(38), poured(18, 36.4)]).map(([, grams]) => grams)).toEqual([36.4, 38, 36.4]);
  });

  it('allows a hand without a scale twice as much', () => {
    const shots = [poured(18, 36), poured(18, 38)];
    expect(weighed(shots)[0]).toEqual([18, 36]);
    expect(weighed(shots, { isByEye: true })[0]).toEqual([18, 38]);
  });

  it('reads a thermometer to the nearest mark of the machine, but leaves what stood beyond its ends', () => {
    const heats = [92.8, 93.1, 94.2, 96.9, 97.2, 98].map((temperatureC) => poured(18, 36, { temperatureC }));
    expect(read(heats).map(({ temperatureC }) => temperatureC)).toEqual([93, 93, 94, 97, 97, 98]);
    const planned = { temperatureC: 92.8 };
    expect(read([poured(18, 36, { planned })])[0]!.temperatureC).toBe(92.8);
  });

  it('takes a machine that cannot be set to stand as it is, whatever was read', () => {
    const heats = [92, 94].map((temperatureC) => poured(18, 36, { temperatureC }));
    expect(read(heats, { temperatureScale: null }).map(({ temperatureC }) => temperatureC)).toEqual([94, 94]);
  });
});
