import { createRandom, drawNormal } from '../puck/random';
import { doseCreep, fitTimedDose, predictDose, secondsForDose, weighOnceMore, type TimedWeighing } from './timedDose';
import { adviseValve, VALVE_TARGET_GRAMS, type ValveReading } from './valve';

const grinder = { finer: 'lower' as const, logTimePerUnit: 0.1 };

describe('the timed dose', () => {
  it('says nothing before a weighing, and something after one', () => {
    expect(fitTimedDose(grinder, [])).toBeNull();
    const model = fitTimedDose(grinder, [{ seconds: 4, grams: 16, grind: 12 }])!;
    expect(predictDose(model, { seconds: 4, grind: 12 }).grams).toBeCloseTo(16, 1);
    const longer = secondsForDose(model, { doseGrams: 18, grind: 12 });
    // Between pure proportion (4.5 s) and all of the lag the prior allows.
    expect(longer).toBeGreaterThan(4.35);
    expect(longer).toBeLessThan(4.5);
  });

  it('finds rate and lag of exact weighings, as two points on a line give them', () => {
    const weighings = [2, 4, 6, 8, 3, 5].map((seconds) => ({ seconds, grams: 4.4 * (seconds - 0.5), grind: 12 }));
    const model = fitTimedDose(grinder, weighings)!;
    expect(model.gramsPerSecond).toBeCloseTo(4.4, 1);
    expect(model.lagSeconds).toBeCloseTo(0.5, 1);
  });

  it('expects less when finer, and a longer grind for the same dose', () => {
    const model = fitTimedDose(grinder, [{ seconds: 4.5, grams: 18, grind: 12 }])!;
    expect(predictDose(model, { seconds: 4.5, grind: 11 }).grams).toBeLessThan(17.6);
    expect(secondsForDose(model, { doseGrams: 18, grind: 11 })).toBeGreaterThan(4.5);
    const upwards = fitTimedDose({ ...grinder, finer: 'higher' }, [{ seconds: 4.5, grams: 18, grind: 12 }])!;
    expect(predictDose(upwards, { seconds: 4.5, grind: 13 }).grams).toBeLessThan(17.6);
  });

  it('lies within ±0.3 g in 90 % of simulated grinders after 3 weighings', () => {
    const random = createRandom('grinders');
    const grinders = 500;
    let met = 0;
    for (let i = 0; i < grinders; i += 1) {
      const rate = Math.exp(drawNormal(random, Math.log(3.8), 0.4));
      const lag = Math.max(0, drawNormal(random, 0.35, 0.15));
      const perFiner = 0.01 + 0.06 * random();
      const give = (seconds: number, grind: number): number =>
        rate * Math.exp(-perFiner * (12 - grind)) * (seconds - lag) + drawNormal(random, 0, 0.12);
      const weighings: TimedWeighing[] = [];
      // First a guess, then what the model says each time, as one works; the last at a finer setting.
      let seconds = 17 / rate;
      for (const grind of [12, 12, 11]) {
        const known = fitTimedDose(grinder, weighings);
        if (known) seconds = secondsForDose(known, { doseGrams: 18, grind });
        weighings.push({ seconds, grams: give(seconds, grind), grind });
      }
      const model = fitTimedDose(grinder, weighings)!;
      const next = secondsForDose(model, { doseGrams: 18, grind: 10.5 });
      const truth = rate * Math.exp(-perFiner * 1.5) * (next - lag);
      if (Math.abs(truth - 18) <= 0.3) met += 1;
    }
    expect(met / grinders).toBeGreaterThanOrEqual(0.9);
  });

  it('asks for another weighing while it is vague, and stops', () => {
    const wanted = { doseGrams: 18, grind: 12 };
    const vague = fitTimedDose(grinder, [{ seconds: 2.5, grams: 9, grind: 14 }])!;
    const weighings = [4.4, 4.5, 4.6].map((seconds) => ({ seconds, grams: 4.1 * (seconds - 0.1), grind: 12 }));
    const sure = fitTimedDose(grinder, weighings)!;
    expect(weighOnceMore(vague, wanted).worthIt).toBe(true);
    expect(weighOnceMore(sure, wanted).worthIt).toBe(false);
    expect(weighOnceMore(sure, wanted).withinGrams).toBeLessThan(weighOnceMore(vague, wanted).withinGrams);
  });

  it('lets old weighings fade', () => {
    const old = { seconds: 4.5, grams: 17, grind: 12, ageDays: 90 };
    const fresh = { seconds: 4.5, grams: 18.5, grind: 12, ageDays: 0 };
    const model = fitTimedDose(grinder, [old, fresh])!;
    expect(predictDose(model, { seconds: 4.5, grind: 12 }).grams).toBeGreaterThan(18.2);
  });

  it('calls a creeping dose, not one heavy dose', () => {
    const at = (grams: number) => ({ seconds: 4.5, grams, grind: 12 });
    const steady = [18, 18.1, 17.9, 18.1];
    expect(doseCreep([...steady, 18.5, 18.6, 18.5].map(at))).toBe('up');
    expect(doseCreep([...steady, 17.4, 17.5, 17.4].map(at))).toBe('down');
    expect(doseCreep([...steady, 18, 18.9, 18].map(at))).toBeNull();
    expect(doseCreep([...steady.map(at), { ...at(19), seconds: 4.8 }])).toBeNull();
    expect(doseCreep([])).toBeNull();
  });
});

describe('the pre-brew valve', () => {
  it('wants less water for lighter roasts', () => {
    expect(VALVE_TARGET_GRAMS.light).toBeLessThan(VALVE_TARGET_GRAMS.dark);
  });

  it('turns clockwise for less, and rests on target', () => {
    expect(adviseValve([], 50)).toBeNull();
    expect(adviseValve([{ turns: 0, grams: 70 }], 50)!.turn).toBeCloseTo(1, 5);
    expect(adviseValve([{ turns: 0, grams: 40 }], 50)!.turn).toBeLessThan(0);
    expect(adviseValve([{ turns: 0, grams: 51 }], 50)).toMatchObject({ turn: 0, onTarget: true });
  });

  it('learns what a turn is worth and is on target within four readings of most valves', () => {
    const random = createRandom('valves');
    let met = 0;
    for (let i = 0; i < 200; i += 1) {
      const perTurn = 10 + 25 * random();
      const open = 55 + 30 * random();
      const readings: ValveReading[] = [];
      let turns = 0;
      for (let n = 0; n < 4; n += 1) {
        readings.push({ turns, grams: open - perTurn * turns + drawNormal(random, 0, 1) });
        const advice = adviseValve(readings, 50)!;
        if (advice.onTarget) {
          met += 1;
          break;
        }
        turns += advice.turn;
      }
    }
    expect(met / 200).toBeGreaterThan(0.9);
    const exact = adviseValve(
      [0, 0.5, 1].map((turns) => ({ turns, grams: 80 - 30 * turns })),
      50,
    )!;
    expect(exact.gramsPerTurn.mean).toBeCloseTo(30, 0);
  });
});
