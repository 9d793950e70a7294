import { createRandom } from '@olvet/core';
import { gramsOf } from './adapters/balance';
import { Bench, TICK_SECONDS } from './bench';

/** Runs it, and gives what the scale showed at every tick. */
function run(bench: Bench, seconds: number): number[] {
  return Array.from({ length: Math.round(seconds / TICK_SECONDS) }, () => {
    bench.tick();
    return bench.read('scale').grams!;
  });
}

/** Seconds until so much is in the cup. */
function secondsTo(grams: number, prepare: (bench: Bench) => void = () => {}): number {
  const bench = new Bench(createRandom('bench'));
  prepare(bench);
  bench.act('start');
  const shown = run(bench, 120);
  return TICK_SECONDS * shown.findIndex((each) => each >= grams);
}

describe('the simulated bench', () => {
  it('slows the shot on the scale when the grinder is set finer', () => {
    const usual = secondsTo(36);
    expect(usual).toBeGreaterThan(20);
    const finer = secondsTo(36, (bench) => {
      expect(bench.act('set-grind', 11)).toBeNull();
      expect(bench.act('set-grind', 10)).toBeNull();
    });
    expect(finer).toBeGreaterThan(usual + 2);
  });

  it('lets a badly prepared puck give way: the flow rises late', () => {
    const late = (isPoor: boolean): number => {
      const bench = new Bench(createRandom('bench'));
      bench.act('preparation', isPoor ? 1 : 0);
      bench.act('start');
      run(bench, 12);
      const before = bench.read('machine').mlPerSecond!;
      run(bench, 6);
      return bench.read('machine').mlPerSecond! / before;
    };
    expect(late(true)).toBeGreaterThan(1.5);
    expect(late(false)).toBeLessThan(1.5);
  });

  it('goes on dripping after the pump has stopped, then stands still', () => {
    const bench = new Bench(createRandom('drip'));
    bench.act('start');
    const atStop = run(bench, 25).at(-1)!;
    bench.act('stop');
    const after = run(bench, 5).at(-1)!;
    expect(after - atStop).toBeGreaterThan(0.3);
    expect(Math.abs(run(bench, 5).at(-1)! - after)).toBeLessThan(0.5);
    expect(bench.takeEvents().map(({ event }) => event)).toEqual(['pump-on', 'pump-off']);
  });

  it('tares, and misses a cup that is lifted', () => {
    const bench = new Bench(createRandom('tare'));
    bench.act('start');
    run(bench, 20);
    bench.act('stop');
    run(bench, 5);
    bench.act('tare');
    expect(Math.abs(bench.read('scale').grams!)).toBeLessThan(0.4);
    bench.act('cup', 0);
    expect(bench.read('scale').grams!).toBeLessThan(-150);
  });

  it('locks burrs that are driven finer at rest, and frees them coarser', () => {
    const bench = new Bench(createRandom('lock'));
    expect(bench.act('set-grind', 6)).toContain('unplug');
    expect(bench.grind).toBe(12);
    expect(bench.act('grind', 4)).toContain('locked');
    expect(bench.act('set-grind', 13)).toBeNull();
    expect(bench.act('grind', 4)).toBeNull();
    // With the burrs turning it goes.
    expect(bench.act('set-grind', 6)).toBeNull();
  });

  it('doses by time with a spread, and less when finer', () => {
    const doses = (grind: number): number[] => {
      const bench = new Bench(createRandom(`dose ${grind}`));
      bench.act('set-grind', grind);
      bench.act('cup', 2);
      return Array.from({ length: 40 }, () => {
        bench.act('grind', 4.8);
        return run(bench, 6).at(-1)!;
      });
    };
    const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;
    const [usual, finer] = [doses(12), doses(11)];
    expect(mean(usual)).toBeGreaterThan(17.5);
    expect(mean(usual)).toBeLessThan(18.5);
    expect(mean(finer)).toBeLessThan(mean(usual) - 0.15);
    expect(Math.max(...usual) - Math.min(...usual)).toBeGreaterThan(0.4);
  });

  it('follows a lever, and measures the cup it made', () => {
    const bench = new Bench(createRandom('lever'));
    expect(bench.act('measure')).not.toBeNull();
    bench.act('lever', 2);
    run(bench, 15);
    bench.act('lever', 7.5);
    run(bench, 25);
    bench.act('lever', 0);
    expect(bench.isRunning).toBe(false);
    expect(bench.act('measure')).toBeNull();
    expect(bench.read('refractometer').tdsPercent!).toBeGreaterThan(5);
  });
});

describe('what a balance prints', () => {
  it.each([
    ['+  18.32 g', 18.32],
    ['   0,0 g', 0],
    ['-182.4 g S', -182.4],
    ['18.3', null],
    ['LOW BATTERY', null],
    ['18.3 kg', null],
  ])('%s', (line, grams) => {
    expect(gramsOf(line)).toBe(grams);
  });
});
