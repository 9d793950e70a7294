import { learnStop, parseStoredTrace, requestOf, tracedOf, type StoredTrace } from '.';

/** Drops from 6 s on at a steady flow, stopped at 30 s with the cue at 29.6 s; two grams fall afterwards. */
function steady(change: Partial<StoredTrace> = {}): StoredTrace {
  const grams = (seconds: number): number => {
    const poured = 1.4 * Math.min(Math.max(0, seconds - 6), 24);
    return poured + (seconds > 30 ? 2 * (1 - Math.exp(-(seconds - 30) / 0.6)) : 0);
  };
  return {
    columns: ['seconds', 'grams'],
    rows: Array.from({ length: 460 }, (_, i) => [i / 10 - 2, 182.4 + grams(i / 10 - 2)]),
    marks: [
      { kind: 'pump-on', seconds: 0 },
      { kind: 'spurt', seconds: 12, clock: 2 },
      { kind: 'cue', seconds: 29.6 },
      { kind: 'pump-off', seconds: 30 },
    ],
    ...change,
  };
}

describe('a kept trace', () => {
  it('gives its figures, a small line from an empty cup on, and the delay of the hand', () => {
    const { summary, line, stopDelaySeconds } = tracedOf(steady(), 'pump-on');
    expect(summary).toMatchObject({ timeSeconds: 30, contactSeconds: 30, isLateRush: false });
    expect(Math.abs(summary!.yieldGrams - 35.6)).toBeLessThan(0.4);
    expect(Math.abs(summary!.dripGrams - 2)).toBeLessThan(0.5);
    expect(line[0]).toBe(0);
    expect(line[20]).toBeCloseTo(19.6, 0);
    expect(stopDelaySeconds).toBeCloseTo(0.4, 6);
  });

  it('asks of the trace only what the trace knows', () => {
    const request = requestOf(steady(), { doseGrams: 18, yieldGrams: 36, timer: 'pump-on' });
    expect(request.events!.map(({ kind }) => kind)).toEqual(['pump-on', 'pump-off']);
  });

  it('has no figures where there was no scale', () => {
    const byHand = tracedOf({ columns: ['seconds', 'bar'], rows: [[0, 9]], marks: [] }, 'pump-on');
    expect(byHand).toEqual({ summary: null, line: [], stopDelaySeconds: null });
  });

  it('is refused where its rows go back in time', () => {
    const parsed = parseStoredTrace(
      steady({
        rows: [
          [1, 0],
          [0, 0],
        ],
      }),
    );
    expect(parsed).toEqual({ ok: false, errors: [{ path: 'rows[1]', message: 'goes back in time' }] });
  });
});

describe('what a bar teaches of its stops', () => {
  const traced = (dripGrams: number, stopDelaySeconds: number | null = 0.5) => ({
    ...tracedOf(steady(), 'pump-on'),
    summary: { ...tracedOf(steady(), 'pump-on').summary!, dripGrams },
    stopDelaySeconds,
  });

  it('is nothing before the first shot', () => {
    expect(learnStop([])).toEqual({ drip: null, delaySeconds: null });
  });

  it('is the mean drip and the middle delay, one pause to look aside', () => {
    const { drip, delaySeconds } = learnStop([traced(1.5), traced(2), traced(2.5), traced(2, 2.9)]);
    // At this flow a bar drips about as at a usual one.
    expect(Math.abs(drip!.grams.mean - 2)).toBeLessThan(0.1);
    expect(drip!.shots).toBe(4);
    expect(delaySeconds).toBe(0.5);
  });

  it('is surer of a drip that is always the same, never quite sure after one', () => {
    const always = learnStop(Array.from({ length: 20 }, () => traced(2))).drip!.grams.sd;
    const once = learnStop([traced(2)]).drip!.grams.sd;
    expect(once).toBeGreaterThan(0.3);
    expect(always).toBeLessThan(once / 2);
  });
});
