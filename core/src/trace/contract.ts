import { z } from 'zod';
import { LIMITS } from '../brew/limits';
import { TIMER_STARTS } from '../brew/types';

/** What a trace may measure; `seconds` on the device's own clock. */
export const TRACE_COLUMNS = ['seconds', 'grams', 'bar', 'celsius'] as const;
export type TraceColumn = (typeof TRACE_COLUMNS)[number];

/** What a person or a machine tells of a shot while it runs. */
export const TRACE_EVENTS = ['pump-on', 'covered', 'first-drip', 'paling', 'pump-off'] as const;
export type TraceEventKind = (typeof TRACE_EVENTS)[number];

export const TRACE_PHASES = ['waiting', 'soaking', 'pouring', 'dripping', 'settled'] as const;
export type TracePhase = (typeof TRACE_PHASES)[number];

/** Five minutes at fifty readings a second. */
const MOST_ROWS = 15_000;
const MOST_EVENTS = 100;
/** A device's clock may have run for days before the shot. */
const clock = z.number().min(-1e7).max(1e7);
const within = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);

export const traceRequestSchema = z.strictObject({
  schema: z.literal('olvet.trace-request/1'),
  id: z.string().max(200).nullish(),
  target: z.strictObject({
    doseGrams: within(LIMITS.doseGrams).nullish(),
    yieldGrams: within(LIMITS.yieldGrams),
    timeSeconds: z
      .strictObject({ min: z.number().min(1).max(300), max: z.number().min(1).max(300) })
      .refine((window) => window.max > window.min, { message: 'must be later than min', path: ['max'] }),
    timer: z.enum(TIMER_STARTS),
  }),
  /** What still falls after the stop on this bar, learned. */
  drip: z
    .strictObject({
      grams: z.strictObject({ mean: z.number().min(0).max(20), sd: z.number().min(0).max(10) }),
      shots: z.number().int().min(0).max(1e7),
    })
    .nullish(),
  /** Hand or valve: from the cue to the end of the flow. */
  stopDelaySeconds: z.number().min(0).max(5).nullish(),
  columns: z
    .array(z.enum(TRACE_COLUMNS))
    .min(1)
    .max(TRACE_COLUMNS.length)
    .refine((columns) => columns.includes('seconds'), { message: 'must hold seconds' })
    .refine((columns) => new Set(columns).size === columns.length, { message: 'must not name a column twice' }),
  rows: z.array(z.array(z.number().nullable()).max(TRACE_COLUMNS.length)).max(MOST_ROWS),
  events: z
    .array(z.strictObject({ seconds: clock, kind: z.enum(TRACE_EVENTS) }))
    .max(MOST_EVENTS)
    .nullish(),
});

export type TraceRequest = z.input<typeof traceRequestSchema>;
export type ValidTraceRequest = z.output<typeof traceRequestSchema>;

/** Four in five true values lie between p10 and p90. */
export interface Interval {
  mean: number;
  p10: number;
  p90: number;
}

/** A shot that is over, in figures. */
export interface TraceSummary {
  yieldGrams: number;
  /** On the target's timer, to the stop. */
  timeSeconds: number | null;
  /** What fell after the stop. */
  dripGrams: number;
  /** From first drip to stop, g/s. */
  meanFlow: number;
  peakFlow: number;
  /** Flow in the last quarter of the pour over that in its second quarter. */
  flowLateOverMid: number | null;
  isLateRush: boolean;
  /** From pump on, or the first grams, to the stop. */
  contactSeconds: number | null;
}

export interface TraceAnswer {
  schema: 'olvet.trace/1';
  id: string | null;
  phase: TracePhase;
  startSeconds: number | null;
  firstDripSeconds: number | null;
  coveredSeconds: number | null;
  tenGramsSeconds: number | null;
  grams: number;
  flowGramsPerSecond: number;
  landing: { timeSeconds: Interval } | null;
  stop: { atSeconds: number; finalGrams: Interval } | null;
  endSoakAtSeconds: number | null;
  summary: TraceSummary | null;
}
