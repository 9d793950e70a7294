import { z } from 'zod';
import { shotSchema } from '../../contract/request';
import { LIMITS } from '../../brew/limits';
import { SMALLEST_STEP } from '../../brew/snap';
import type { Interval } from '../../trace/contract';

/** What happens at a station and may move its time. */
export const DAY_EVENTS = ['bag-opened', 'hopper-filled', 'grind-changed', 'cleaned', 'machine-on'] as const;
export type DayEventKind = (typeof DAY_EVENTS)[number];

const MOST_SHOTS = 2000;
const MOST_READINGS = 5000;
const instant = z.iso.datetime({ offset: true, message: 'must be a date and time like 2026-03-02T13:05:00Z' });
const within = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);

export const dayRequestSchema = z.strictObject({
  schema: z.literal('olvet.day-request/1'),
  id: z.string().max(200).nullish(),
  now: instant,
  /** The recipe as it was found, and the time it was found at. */
  card: z.strictObject({
    grind: within(LIMITS.grind),
    doseGrams: within(LIMITS.doseGrams),
    yieldGrams: within(LIMITS.yieldGrams),
    timeSeconds: z.strictObject({
      mean: within(LIMITS.timeSeconds),
      sd: z.number().min(0).max(300),
      shots: z.number().int().min(0).max(1e6),
    }),
  }),
  toleranceSeconds: within(LIMITS.toleranceSeconds),
  grinder: z
    .strictObject({
      ...{ min: within(LIMITS.grind), max: within(LIMITS.grind) },
      step: z.number().refine((step) => step === 0 || step >= SMALLEST_STEP, {
        message: `must be 0 or at least ${SMALLEST_STEP}`,
      }),
      finer: z.enum(['lower', 'higher']),
      dosing: z.enum(['timed', 'weighed']).nullish(),
      purgeGrams: z.number().min(0).max(500).nullish(),
      /** Change of ln time for one unit finer; null where nobody has learned it. */
      logTimePerUnit: z
        .strictObject({
          mean: z.number().min(1e-6).max(100),
          sd: z.number().min(0).max(100),
          shots: z.number().int().min(0).max(1e7).nullish(),
        })
        .nullish(),
    })
    .refine(({ min, max }) => max > min, { message: 'must be above min', path: ['max'] }),
  /** Set by a person: moves never leave them. */
  limits: z
    .strictObject({ unitsPerMove: z.number().min(0).max(1e4), unitsPerDay: z.number().min(0).max(1e4) })
    .nullish(),
  /** Oldest first. */
  shots: z.array(shotSchema.extend({ at: instant }).strict()).max(MOST_SHOTS),
  room: z
    .array(
      z.strictObject({
        at: instant,
        celsius: z.number().min(-30).max(60).nullish(),
        humidityPercent: z.number().min(0).max(100).nullish(),
      }),
    )
    .max(MOST_READINGS)
    .nullish(),
  events: z
    .array(z.strictObject({ at: instant, kind: z.enum(DAY_EVENTS) }))
    .max(MOST_READINGS)
    .nullish(),
});

export type DayRequest = z.input<typeof dayRequestSchema>;
export type ValidDayRequest = z.output<typeof dayRequestSchema>;
export type DayShot = ValidDayRequest['shots'][number];

export const DAY_ACTIONS = ['none', 'check', 'move', 'dial-in'] as const;
export type DayAction = (typeof DAY_ACTIONS)[number];
export const DAY_STATES = ['unknown', 'steady', 'odd-shot', 'drifting-fast', 'drifting-slow'] as const;
export type DayState = (typeof DAY_STATES)[number];
/** What may have moved the time: named only where it fits in time and direction. */
export const SUSPECTS = ['bag', 'hopper', 'cleaned', 'humidity', 'warmth', 'grinder'] as const;
export type Suspect = (typeof SUSPECTS)[number];

export interface DayMove {
  grind: { from: number; to: number };
  /** Of a timed grinder, where its seconds are known. */
  grindSeconds: number | null;
  purgeGrams: number | null;
  expectSeconds: Interval;
}

/** One reason, by its code and figures. */
export interface DayReason {
  code: DayReasonCode;
  facts: Record<string, number | string>;
  text: string;
}

/** At first; a shop may set another. */
export const USUAL_TOLERANCE_SECONDS = 3;

export const DAY_REASONS = [
  'no-shots',
  'on-time',
  'one-odd',
  'maybe',
  'run',
  'dose-creeps',
  'suspects',
  'turned',
  'just-turned',
  'no-step',
  'limit',
  'did-not-help',
] as const;
export type DayReasonCode = (typeof DAY_REASONS)[number];

/** `olvet.day/1`: how a station stands against the time its recipe was found at, and what small move brings it back. */
export interface DayAnswer {
  schema: 'olvet.day/1';
  id: string | null;
  action: DayAction;
  state: DayState;
  /** Where the next untouched shot would land, against the card's time; of its middle, without its own puck's stray. */
  shiftSeconds: Interval;
  move: DayMove | null;
  checkAt: string | null;
  suspects: Suspect[];
  why: DayReason[];
}
