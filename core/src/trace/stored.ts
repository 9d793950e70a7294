import { z } from 'zod';
import { fieldErrorsOf, type FieldError } from '../formats/fieldErrors';
import type { TimerStart } from '../brew/types';
import { LIMITS } from '../brew/limits';
import { TRACE_COLUMNS, TRACE_EVENTS, type TraceSummary, type ValidTraceRequest } from './contract';
import { median, readingsOf } from './readings';
import { dripShare, ofThisCup, readTrace } from './readTrace';
import { round } from './round';

/** What a hand marks while a shot runs, beside what the trace itself tells. */
export const PULL_MARKS = [
  ...TRACE_EVENTS,
  'soak-ended',
  'ten-grams',
  'spurt',
  'dead-spot',
  'spoilt',
  /** When Olvet said stop: from there to pump-off is the hand’s delay. */
  'cue',
] as const;
export type PullMarkKind = (typeof PULL_MARKS)[number];

export interface PullMark {
  kind: PullMarkKind;
  /** From the start of the shot. */
  seconds: number;
  /** Clock hour, basket seen from below. */
  clock?: number | null;
}

const MOST_ROWS = 15_000;
const MOST_MARKS = 60;
/** Ten minutes before the start and an hour after: no shot is longer. */
const clock = z.number().min(-600).max(3600);
/** What each column can hold. */
const POSSIBLE = { seconds: [-600, 3600], grams: [-5000, 20_000], bar: [-1, 25], celsius: [-40, 160] } as const;

/** A trace as it is kept with a shot: zero is the start, columns as named, what was not measured is null. */
export const storedTraceSchema = z
  .strictObject({
    columns: z
      .array(z.enum(TRACE_COLUMNS))
      .min(1)
      .max(TRACE_COLUMNS.length)
      .refine((columns) => columns[0] === 'seconds', { message: 'must begin with seconds' })
      .refine((columns) => new Set(columns).size === columns.length, { message: 'must not name a column twice' }),
    rows: z.array(z.array(z.number().nullable()).min(1).max(TRACE_COLUMNS.length)).max(MOST_ROWS),
    marks: z
      .array(
        z.strictObject({
          kind: z.enum(PULL_MARKS),
          seconds: clock,
          clock: z.number().int().min(1).max(12).nullish(),
        }),
      )
      .max(MOST_MARKS),
  })
  .superRefine(({ columns, rows }, context) => {
    let last = -Infinity;
    for (const [i, row] of rows.entries()) {
      const complain = (message: string): void => context.addIssue({ code: 'custom', path: ['rows', i], message });
      const seconds = row[0];
      if (row.length !== columns.length) return complain(`must hold ${columns.length} figures`);
      if (seconds == null) return complain('must begin with its second');
      if (seconds < last) return complain('goes back in time');
      last = seconds;
      for (const [j, value] of row.entries()) {
        const [least, most] = POSSIBLE[columns[j]!];
        if (value !== null && (value < least || value > most)) {
          return complain(`${columns[j]!} must be between ${least} and ${most}`);
        }
      }
    }
  });

export interface StoredTrace {
  columns: (typeof TRACE_COLUMNS)[number][];
  rows: (number | null)[][];
  marks: PullMark[];
}

/** Checks a trace that is to be kept; every error names its row. */
export function parseStoredTrace(
  value: unknown,
): { ok: true; trace: StoredTrace } | { ok: false; errors: FieldError[] } {
  const result = storedTraceSchema.safeParse(value);
  if (result.success) return { ok: true, trace: result.data };
  return { ok: false, errors: fieldErrorsOf(result.error) };
}

/** What of a trace is kept with the shot itself: its figures, and a line to be drawn small. */
export interface Traced {
  summary: TraceSummary | null;
  /** Grams at every whole second from the start; null before the first reading. */
  line: (number | null)[];
  /** From the cue to the stop; null where there was no cue, or the stop did not follow it. */
  stopDelaySeconds: number | null;
}

/** Drawn small, nobody sees more. */
const LONGEST_LINE = 90;

/** The summary and the small line of a kept trace. Yield and dose are those of the shot, as far as known. */
export function tracedOf(trace: StoredTrace, timer: TimerStart): Traced {
  const answer = readTrace(requestOf(trace, { doseGrams: null, yieldGrams: LIMITS.yieldGrams.max, timer }));
  return { summary: answer.summary, line: smallLine(trace), stopDelaySeconds: delayOf(trace.marks) };
}

function smallLine(trace: StoredTrace): Traced['line'] {
  const pumpOn = trace.marks.find(({ kind }) => kind === 'pump-on')?.seconds ?? null;
  const { empty, readings } = ofThisCup(readingsOf(trace), pumpOn);
  const line: Traced['line'] = [];
  if (readings.length === 0) return line;
  const end = Math.min(LONGEST_LINE, Math.ceil(readings.at(-1)!.seconds));
  for (let second = 0, i = 0; second <= end; second += 1) {
    while (i < readings.length && readings[i]!.seconds <= second) i += 1;
    const last = readings[i - 1];
    line.push(last ? round(Math.max(0, last.grams - empty.grams), 1) : null);
  }
  return line;
}

/** Later than this after the cue somebody meant to let it run. */
const LONGEST_DELAY_SECONDS = 3;

function delayOf(marks: readonly PullMark[]): number | null {
  const [cue, off] = (['cue', 'pump-off'] as const).map((kind) => marks.find((mark) => mark.kind === kind)?.seconds);
  if (cue === undefined || off === undefined) return null;
  const delay = round(off - cue, 2);
  return delay >= 0 && delay <= LONGEST_DELAY_SECONDS ? delay : null;
}

/** What a bar has taught of its stops: drip at a usual flow, g, and the delay from cue to stop, s. */
export interface LearnedStop {
  drip: { grams: { mean: number; sd: number }; shots: number } | null;
  delaySeconds: number | null;
}

/** A new bar's drip differs from shot to shot by about this much [assumption]; so many imagined shots say so. */
const USUAL_DRIP_SD = 0.4;
const IMAGINED = 2;

/** Learns from the traced shots of one bar. Delays by their middle: one pause to look is no habit. */
export function learnStop(traced: readonly Traced[]): LearnedStop {
  // Each as it would have been at a usual flow: quick shots drip more.
  const drips = traced.flatMap(({ summary }) => (summary ? [summary.dripGrams / dripShare(summary.meanFlow)] : []));
  const delays = traced.flatMap(({ stopDelaySeconds }) => (stopDelaySeconds === null ? [] : [stopDelaySeconds]));
  const delaySeconds = delays.length < 3 ? null : round(median(delays), 2);
  if (drips.length === 0) return { drip: null, delaySeconds };
  const mean = drips.reduce((sum, each) => sum + each, 0) / drips.length;
  const squares = drips.reduce((sum, each) => sum + (each - mean) ** 2, 0);
  const sd = Math.sqrt((squares + IMAGINED * USUAL_DRIP_SD ** 2) / (drips.length - 1 + IMAGINED));
  return { drip: { grams: { mean: round(mean, 2), sd: round(sd, 2) }, shots: drips.length }, delaySeconds };
}

/** A kept trace as a question: marks of the hand are events of the trace where it knows them. */
export function requestOf(
  { columns, rows, marks }: StoredTrace,
  target: { doseGrams: number | null; yieldGrams: number; timer: TimerStart },
): ValidTraceRequest {
  const known = marks.flatMap(({ kind, seconds }) =>
    TRACE_EVENTS.some((event) => event === kind) ? [{ kind: kind as (typeof TRACE_EVENTS)[number], seconds }] : [],
  );
  const { doseGrams, yieldGrams, timer } = target;
  return {
    schema: 'olvet.trace-request/1',
    target: { doseGrams, yieldGrams, timeSeconds: { min: 1, max: 300 }, timer },
    columns: [...columns],
    rows,
    events: known,
  };
}
