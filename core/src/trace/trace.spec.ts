import fc from 'fast-check';
import { createRandom, drawNormal, parseTraceRequest, readTrace, traceLine, type TraceRequest } from '../index';

type Event = NonNullable<TraceRequest['events']>[number];

const target = { doseGrams: 18, yieldGrams: 36, timeSeconds: { min: 25, max: 32 }, timer: 'pump-on' as const };
const PUMP_ON: Event = { seconds: 0, kind: 'pump-on' };

/** Rows of a scale: so many readings a second from two seconds before the pump to `until`. */
function rowsOf(gramsAt: (seconds: number) => number, until: number, { hertz = 10, noise = 0, from = -2 } = {}) {
  const random = createRandom('trace');
  return Array.from({ length: Math.round((until - from) * hertz) + 1 }, (_, i) => {
    const seconds = from + i / hertz;
    return [seconds, gramsAt(seconds) + (noise > 0 ? drawNormal(random, 0, noise) : 0)];
  });
}

/** Nothing for six seconds, then one and a half grams a second; stopped at 28 s, after which 1.5 g fall. */
const steady = (seconds: number): number => Math.max(0, 1.5 * (seconds - 6));
const stopped = (seconds: number): number =>
  seconds <= 28 ? steady(seconds) : steady(28) + 1.5 * (1 - Math.exp(-(seconds - 28)));

function read(rows: number[][], change: Partial<TraceRequest> = {}) {
  const request = { schema: 'olvet.trace-request/1', target, columns: ['seconds', 'grams'], rows, events: [PUMP_ON] };
  const parsed = parseTraceRequest({ ...request, ...change });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return readTrace(parsed.request);
}

describe('a weight trace', () => {
  it('says what is in the cup, how fast it comes, and when it began', () => {
    const answer = read(rowsOf(steady, 20));
    expect(answer.phase).toBe('pouring');
    expect(answer.startSeconds).toBe(0);
    expect(answer.grams).toBeCloseTo(21, 1);
    expect(answer.flowGramsPerSecond).toBeCloseTo(1.5, 1);
    expect(Math.abs(answer.firstDripSeconds! - 6)).toBeLessThan(0.2);
    expect(Math.abs(answer.tenGramsSeconds! - (6 + 10 / 1.5))).toBeLessThan(0.2);
    expect(answer.summary).toBeNull();
  });

  it('foresees when the yield is reached, on the target’s timer, the surer the nearer', () => {
    const wide = read(rowsOf(steady, 18)).landing!.timeSeconds;
    const narrow = read(rowsOf(steady, 27)).landing!.timeSeconds;
    expect(wide.p10).toBeLessThan(30);
    expect(wide.p90).toBeGreaterThan(29.5);
    expect(narrow.mean).toBeCloseTo(30, 0);
    expect(narrow.p90 - narrow.p10).toBeLessThan((wide.p90 - wide.p10) / 2);
    const fromDrip = read(rowsOf(steady, 27), { target: { ...target, timer: 'first-drip' } }).landing!.timeSeconds;
    expect(narrow.mean - fromDrip.mean).toBeCloseTo(6, 0);
  });

  it('stops early by what still falls and by the hand’s delay', () => {
    const drip = { grams: { mean: 2, sd: 0.3 }, shots: 50 };
    const stopAt = (change: Partial<TraceRequest>) => read(rowsOf(steady, 27), { drip, ...change }).stop!.atSeconds;
    // 36 g at 30 s; two grams are one and a third of a second, a little more at this flow than at the usual one.
    expect(Math.abs(stopAt({ stopDelaySeconds: 0 }) - 28.6)).toBeLessThan(0.2);
    expect(stopAt({ stopDelaySeconds: 0 }) - stopAt({ stopDelaySeconds: 0.5 })).toBeCloseTo(0.5, 2);
    const late = read(rowsOf(steady, 30), { drip, stopDelaySeconds: 0 }).stop!;
    expect(late.finalGrams.mean).toBeGreaterThan(37);
  });

  it('goes through its phases, and sums the shot up once it has settled', () => {
    const off: Event = { seconds: 28, kind: 'pump-off' };
    const phaseAt = (until: number, events: Event[]) => read(rowsOf(stopped, until), { events }).phase;
    expect(phaseAt(-1, [])).toBe('waiting');
    expect(phaseAt(4, [PUMP_ON])).toBe('soaking');
    expect(phaseAt(20, [PUMP_ON])).toBe('pouring');
    expect(phaseAt(29, [PUMP_ON, off])).toBe('dripping');
    const { phase, summary } = read(rowsOf(stopped, 40), { events: [PUMP_ON, off] });
    expect(phase).toBe('settled');
    expect(summary).toMatchObject({ yieldGrams: 34.5, timeSeconds: 28, contactSeconds: 28, isLateRush: false });
    expect(summary!.dripGrams).toBeCloseTo(1.5, 0);
    expect(summary!.meanFlow).toBeCloseTo(1.5, 1);
  });

  it('calls a flow that doubles late a late rush', () => {
    const rushing = (t: number): number => (t < 24 ? steady(t) * 0.7 : steady(24) * 0.7 + 2.4 * (Math.min(t, 30) - 24));
    const { summary } = read(rowsOf(rushing, 40), { events: [PUMP_ON, { seconds: 30, kind: 'pump-off' }] });
    expect(summary!.isLateRush).toBe(true);
    expect(summary!.flowLateOverMid).toBeGreaterThan(1.8);
  });

  it('ends a soak at three times the time to cover', () => {
    const answer = read(
      rowsOf(() => 0, 6),
      { events: [PUMP_ON, { seconds: 4, kind: 'covered' }] },
    );
    expect(answer).toMatchObject({
      phase: 'soaking',
      coveredSeconds: 4,
      endSoakAtSeconds: 12,
      landing: null,
      stop: null,
    });
  });

  it('is not misled by a cup that is lifted, a gap, or a clock that jumps back', () => {
    const lifted = rowsOf((t) => (t > 15 && t < 16 ? -180 : steady(t)), 20);
    expect(read(lifted).grams).toBeCloseTo(21, 0);
    const gap = rowsOf(steady, 20).filter(([t]) => t! < 14 || t! > 16);
    expect(read(gap).flowGramsPerSecond).toBeCloseTo(1.5, 1);
    const jumping = [...rowsOf(steady, 20), [12, 9], ...rowsOf(steady, 20, { from: 12.1 })];
    expect(read(jumping).grams).toBeCloseTo(21, 0);
  });

  it('takes the full cup that stood there before the pump for no coffee of this shot', () => {
    const before = Array.from({ length: 20 }, (_, i) => [i / 10 - 2, 36]);
    const answer = read([...before, ...rowsOf(steady, 20, { from: 0 })]);
    expect(answer.grams).toBeCloseTo(read(rowsOf(steady, 20, { from: 0 })).grams, 0);
    expect(answer.tenGramsSeconds).toBeGreaterThan(answer.firstDripSeconds!);
  });

  it('settles two seconds after the last drop, however the scale shakes', () => {
    const events: Event[] = [PUMP_ON, { seconds: 28, kind: 'pump-off' }];
    expect(read(rowsOf(stopped, 35, { noise: 0.15 }), { events }).phase).toBe('settled');
    expect(read(rowsOf(stopped, 29, { noise: 0.15 }), { events }).phase).toBe('dripping');
  });

  it('says the same of two readings a second as of twenty', () => {
    const [few, many] = [2, 20].map((hertz) => read(rowsOf(steady, 24, { hertz, noise: 0.1 })));
    expect(few!.grams).toBeCloseTo(many!.grams, 0);
    expect(Math.abs(few!.firstDripSeconds! - many!.firstDripSeconds!)).toBeLessThan(0.8);
  });

  it('answers whatever a scale may send', () => {
    const figure = fc.option(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { nil: null });
    fc.assert(
      fc.property(fc.array(fc.tuple(figure, figure), { maxLength: 60 }), (rows) => {
        const answer = read(rows as number[][]);
        for (const value of [answer.grams, answer.flowGramsPerSecond]) expect(Number.isFinite(value)).toBe(true);
      }),
    );
  });
});

describe('a line of traces', () => {
  const said = (request: object) =>
    JSON.parse(traceLine(JSON.stringify(request))) as { errors: { path: string; message: string }[] };
  const request = { schema: 'olvet.trace-request/1', id: 'x', target, columns: ['seconds', 'grams'], rows: [] };

  it('is answered by its id, and refused by the name of what is wrong', () => {
    expect(said(request)).toMatchObject({ schema: 'olvet.trace/1', id: 'x', phase: 'waiting' });
    expect(said({ ...request, columns: ['grams'] })).toMatchObject({
      ...{ schema: 'olvet.error/1', id: 'x', errors: [{ path: 'columns', message: 'must hold seconds' }] },
    });
    expect(said({ ...request, wieght: [] }).errors[0]!.message).toMatch(/wieght/);
    expect(said({ ...request, rows: [[0, 'much']] }).errors[0]!.path).toBe('rows[0][1]');
    expect(JSON.parse(traceLine('no'))).toMatchObject({ errors: [{ message: 'is not JSON' }] });
  });
});
