import { Puck, CLEAN_PUCK, PLAIN_WORLD, type DeviceReport, type LiveEvent } from '@olvet/core';
import { traceOf, type LivePull } from './livePull';
import { readInPlace, Recorder, type PullDevices } from './recorder';

const plan = {
  settings: { grind: 12, doseGrams: 18, yieldGrams: 36, temperatureC: 93 },
  timeSeconds: { min: 25, max: 32 },
  timer: 'pump-on' as const,
};

function pullOf(change: Partial<LivePull> = {}): LivePull {
  const place = { id: 'shot', place: 'run', stationId: 'station', runId: 'run', kind: 'dial-in' as const };
  const empty = { startedAt: null, stoppedSeconds: null, marks: [], seen: [], followed: {}, changedAt: 0 };
  return { ...place, plan, ...empty, ...change };
}

/** A bar of which every tenth of a second is played: a recorder, and devices that speak to it. */
class Played {
  now = 1_000_000;
  kept: LivePull;
  recorder: Recorder;
  private seq = 0;

  constructor(
    private readonly devices: PullDevices = { scaleId: 'scale', machineId: 'machine' },
    pull = pullOf(),
  ) {
    this.kept = pull;
    this.recorder = this.open(pull);
  }

  open(pull: LivePull): Recorder {
    const options = { now: () => this.now, read: readInPlace, learned: { drip: null, delaySeconds: null } };
    return new Recorder(pull, this.devices, { ...options, onChange: (changed) => (this.kept = changed) });
  }

  event(deviceId: string, session: string, reports: DeviceReport[]): LiveEvent {
    return { kind: 'reports', deviceId, session, reports };
  }

  reading(grams: number): DeviceReport {
    this.seq += 1;
    return { type: 'reading', seq: this.seq, ms: this.now - 900_000, values: { grams } };
  }

  happens(event: 'pump-on' | 'pump-off'): void {
    this.seq += 1;
    this.recorder.take(this.event('machine', 'm', [{ type: 'event', seq: this.seq, ms: this.now - 900_000, event }]));
  }

  async pass(seconds: number, gramsAt?: (since: number) => number): Promise<void> {
    for (let i = 0; i < seconds * 10; i += 1) {
      this.now += 100;
      if (gramsAt) this.recorder.take(this.event('scale', 's', [this.reading(gramsAt(i / 10))]));
      this.recorder.tick();
      await Promise.resolve();
      await Promise.resolve();
    }
  }

  get shown() {
    return this.recorder.fine();
  }
}

/** What core's puck pours by a time. */
function pour(): (seconds: number) => number {
  const puck = new Puck(PLAIN_WORLD, { grind: 12, doseGrams: 18, temperatureC: 93 }, CLEAN_PUCK);
  const grams = Array.from({ length: 600 }, () => {
    puck.step({ bar: 9, mostMlPerSecond: 6 });
    return puck.cupGrams;
  });
  return (seconds) => (seconds <= 0 ? 0 : grams[Math.min(599, Math.round(seconds * 10))]!);
}

describe('a shot that is recorded', () => {
  it('begins with the pump, foresees its landing, says stop, and settles with what dripped', async () => {
    const bar = new Played();
    const grams = pour();
    await bar.pass(3, () => 182.4);
    expect(bar.recorder.isRunning).toBe(false);
    bar.happens('pump-on');
    expect(bar.recorder.isRunning).toBe(true);
    await bar.pass(18, (t) => 182.4 + grams(t));
    const { trace } = bar.shown;
    expect(trace!.phase).toBe('pouring');
    expect(trace!.landing!.timeSeconds.p10).toBeLessThan(trace!.landing!.timeSeconds.p90);
    let t = 18;
    while (!bar.shown.pull.marks.some(({ kind }) => kind === 'cue') && t < 60) {
      await bar.pass(0.1, () => 182.4 + grams(t));
      t += 0.1;
    }
    await bar.pass(0.3, (more) => 182.4 + grams(t + more));
    bar.happens('pump-off');
    const atStop = grams(t + 0.3);
    await bar.pass(6, (since) => 182.4 + atStop + 1.6 * (1 - Math.exp(-since / 0.6)));
    expect(bar.shown.trace!.phase).toBe('settled');
    expect(Math.abs(bar.shown.trace!.summary!.yieldGrams - 36)).toBeLessThan(1.5);
    expect(bar.shown.seconds).toBeCloseTo(t + 0.3, 0);
  });

  it('begins with the first grams where only a scale tells, and ends when nothing falls any more', async () => {
    const bar = new Played({ scaleId: 'scale', machineId: null });
    const grams = pour();
    const stopped = (t: number): number => grams(Math.min(t, 25));
    await bar.pass(40, (t) => stopped(t - 3));
    const { pull, trace } = bar.shown;
    expect(pull.marks[0]).toMatchObject({ kind: 'first-drip', seconds: 0 });
    expect(pull.stoppedSeconds).not.toBeNull();
    expect(Math.abs(trace!.summary!.yieldGrams - grams(25))).toBeLessThan(0.5);
  });

  it('takes no cup that is put down for coffee', async () => {
    const bar = new Played({ scaleId: 'scale', machineId: null });
    await bar.pass(2, () => 0);
    await bar.pass(5, () => 182.4);
    expect(bar.shown.pull.startedAt).toBeNull();
  });

  it('takes no dose that was weighed just before for coffee', async () => {
    const bar = new Played();
    const grams = pour();
    await bar.pass(3, () => 17.5);
    bar.happens('pump-on');
    await bar.pass(12, grams);
    expect(bar.recorder.isRunning).toBe(true);
    expect(bar.shown.trace!.firstDripSeconds).toBeGreaterThan(3);
    expect(Math.abs(bar.shown.trace!.grams - grams(12))).toBeLessThan(0.5);
  });

  it('takes every reading once, also what is told twice after a break', async () => {
    const bar = new Played();
    bar.recorder.start();
    const readings = Array.from({ length: 50 }, (_, i) => {
      bar.now += 50;
      return bar.reading(i / 10);
    });
    bar.recorder.take(bar.event('scale', 's', readings.slice(0, 30)));
    bar.recorder.take(bar.event('scale', 's', readings.slice(10)));
    bar.recorder.take(bar.event('other scale', 's', readings));
    expect(bar.shown.pull.seen).toHaveLength(50);
  });

  it('goes on where it was when the page is loaded again, and catches up with what it missed', async () => {
    const bar = new Played();
    const grams = pour();
    bar.happens('pump-on');
    await bar.pass(10, grams);
    bar.recorder.mark('covered');
    bar.recorder.tick();
    const missed: DeviceReport[] = [];
    for (let i = 0; i < 40; i += 1) {
      bar.now += 100;
      missed.push(bar.reading(grams(10 + i / 10)));
    }
    bar.recorder = bar.open(JSON.parse(JSON.stringify(bar.kept)) as LivePull);
    bar.recorder.take(bar.event('scale', 's', missed));
    await bar.pass(2, (t) => grams(14 + t));
    const { pull, trace, seconds } = bar.shown;
    expect(seconds).toBeCloseTo(16, 0);
    expect(pull.marks.map(({ kind }) => kind)).toEqual(['pump-on', 'covered']);
    const rows = traceOf(pull).rows;
    const gaps = rows.slice(1).map((row, i) => row[0]! - rows[i]![0]!);
    expect(Math.max(...gaps)).toBeLessThan(0.25);
    expect(Math.abs(trace!.grams - grams(16))).toBeLessThan(1);
  });

  it('places what comes late by the device’s own clock', () => {
    const bar = new Played();
    bar.recorder.start();
    const late = Array.from({ length: 100 }, (_, i) => {
      bar.now += 100;
      return bar.reading(i / 10);
    });
    bar.recorder.take(bar.event('scale', 's', late));
    const rows = traceOf(bar.shown.pull).rows;
    expect(rows[0]![0]).toBeCloseTo(0.1, 6);
    expect(rows.at(-1)![0]).toBeCloseTo(10, 6);
  });

  it('is a stopwatch with marks where nothing speaks for itself; a dragged mark takes the time with it', async () => {
    const bar = new Played({ scaleId: null, machineId: null });
    bar.recorder.start();
    await bar.pass(6);
    bar.recorder.mark('first-drip');
    await bar.pass(5);
    bar.recorder.mark('spurt', 2);
    await bar.pass(1);
    bar.recorder.mark('spurt', 3);
    await bar.pass(16);
    bar.recorder.stop();
    const { pull } = bar.shown;
    expect(pull.stoppedSeconds).toBeCloseTo(28, 6);
    expect(pull.marks.filter(({ kind }) => kind === 'spurt')).toEqual([
      { kind: 'spurt', seconds: 11, clock: 2 },
      { kind: 'spurt', seconds: 12, clock: 3 },
    ]);
    bar.recorder.move(pull.marks.at(-1)!, 27.5);
    bar.recorder.unmark(bar.shown.pull.marks.find(({ clock }) => clock === 3)!);
    expect(bar.shown.seconds).toBe(27.5);
    expect(bar.shown.pull.marks).toHaveLength(4);
    expect(traceOf(bar.shown.pull)).toMatchObject({ columns: ['seconds'], rows: [] });
  });
});
