import { z } from 'zod';
import { LIMITS, MOST_SIGNS, type Limit } from '../brew/limits';
import { clamp, SMALLEST_STEP } from '../brew/snap';
import { ASSUMABLE, CAUSES, ROASTS, SIGNS, TIMER_STARTS, VERDICTS } from '../brew/types';
import { methodSchema, ORDERS } from '../method/Method';
import { fieldErrorsOf, type FieldError } from '../formats/fieldErrors';
import { findMethod, METHOD_IDS } from '../method/methods';

/** A measured value that may be left out or null. */
const maybe = (min: number, max: number) => z.number().min(min).max(max).nullish();
const within = ({ min, max }: Limit) => z.number().min(min).max(max);
const maybeWithin = (limit: Limit) => within(limit).nullish();
const seconds = z.number().min(1).max(300);

/** What is known no worse than this is known for certain; smaller spreads, squared and inverted, run out of digits. */
const SMALLEST_SPREAD = 1e-6;
const spread = (max: number) => z.number().min(SMALLEST_SPREAD).max(max);

const scale = z
  .object({ min: z.number().min(-1e4).max(1e4), max: z.number().min(-1e4).max(1e4), step: z.number().min(0).max(1e4) })
  .superRefine(({ min, max, step }, context) => {
    const complain = (field: string, message: string): void =>
      context.addIssue({ code: 'custom', path: [field], message });
    if (max <= min) complain('max', 'must be above min');
    else if (max - min < SMALLEST_STEP) complain('max', `must be above min by ${SMALLEST_STEP} or more`);
    else if (step > max - min) complain('step', 'must not be larger than the whole scale');
    if (step > 0 && step < SMALLEST_STEP) complain('step', `must be 0, for stepless, or at least ${SMALLEST_STEP}`);
  });

/** Change of ln(seconds per gram) for one unit finer. */
const SLOPE = { least: SMALLEST_SPREAD, most: 100 };

export const learnedSlopeSchema = z.object({
  mean: z.number().min(SLOPE.least).max(SLOPE.most),
  sd: spread(SLOPE.most),
  shots: z.number().int().min(0).max(1e7),
});

/** Where balance and body of a coffee were found to lie, and the recipe at which that holds. */
export const learnedCoffeeSchema = z.object({
  balance: z.object({ mean: z.number().min(-20).max(20), sd: spread(20) }),
  body: z.object({ mean: z.number().min(-20).max(20), sd: spread(20) }),
  // Whatever dose and yield a shot may have.
  ratio: z
    .number()
    .min(1 / 60)
    .max(500),
  middleSeconds: seconds,
  temperatureC: maybeWithin(LIMITS.temperatureC),
  shots: z.number().int().min(0).max(1e7),
});

const learnedMarksSchema = z.object({
  /** The mark of a cup as wanted, and what a point away from it costs. */
  best: z.object({ mean: z.number().min(0).max(15), sd: spread(10) }),
  loss: z.object({ mean: z.number().min(0.05).max(10), sd: spread(10) }),
  cups: z.number().int().min(0).max(1e7),
});

/** How those who taste use the two scales of ten. */
export const learnedTasterSchema = z.object({
  overall: learnedMarksSchema.nullish(),
  sweetness: learnedMarksSchema.nullish(),
});

const tasteSchema = z.object({
  balance: maybeWithin(LIMITS.taste),
  body: maybeWithin(LIMITS.taste),
  /** Where those who tasted like balance and body best, by their earlier cups: what they say is counted from there. */
  likes: z.object({ balance: z.number().min(-3).max(3), body: z.number().min(-3).max(3) }).nullish(),
  dryness: maybeWithin(LIMITS.dryness),
  sweetness: maybeWithin(LIMITS.mark),
  overall: maybeWithin(LIMITS.mark),
});

/** The dose law of a timed grinder, fitted to its own weighings. */
export const timedDoseSchema = z.object({
  gramsPerSecond: z.number().min(0.01).max(100),
  lagSeconds: z.number().min(-5).max(20),
  logRatePerFiner: z.number().min(-10).max(10),
  atGrind: z.number().min(-1e4).max(1e4),
});

/** What a starting setting was worked out from. */
export const START_FROM = ['recipes', 'last-shots'] as const;

/** What a pinch of ground coffee told fingers at the starting setting. */
export const HAND_CHECKS = ['too-coarse', 'near', 'too-fine'] as const;
export type HandCheck = (typeof HAND_CHECKS)[number];

export const shotSchema = z.object({
  grind: maybe(-1e4, 1e4),
  doseGrams: maybeWithin(LIMITS.doseGrams),
  /** How long a timed grinder ran; stands in for a dose nobody weighed. */
  grindSeconds: maybeWithin(LIMITS.grindSeconds),
  yieldGrams: maybeWithin(LIMITS.yieldGrams),
  temperatureC: maybeWithin(LIMITS.temperatureC),
  planned: z
    .object({
      grind: maybe(-1e4, 1e4),
      doseGrams: maybeWithin(LIMITS.doseGrams),
      yieldGrams: maybeWithin(LIMITS.yieldGrams),
      temperatureC: maybeWithin(LIMITS.temperatureC),
    })
    .nullish(),
  /** Figures nobody measured: taken as planned, and believed with a hand's spread. */
  assumed: z.array(z.enum(ASSUMABLE)).max(10).nullish(),
  timeSeconds: maybeWithin(LIMITS.timeSeconds),
  timer: z.enum(TIMER_STARTS).nullish(),
  firstDripSeconds: maybeWithin(LIMITS.firstDripSeconds),
  seen: z.array(z.enum(SIGNS)).max(MOST_SIGNS).nullish(),
  purged: z.boolean().nullish(),
  /** What the barista found to have gone wrong with this shot. */
  cause: z.enum(CAUSES).nullish(),
  taste: tasteSchema.nullish(),
  /** Better or worse than the shot before? */
  versusLast: z.enum(VERDICTS).nullish(),
});

export const adviceRequestSchema = z.object({
  schema: z.literal('olvet.advice-request/1'),
  id: z.string().max(200).nullish(),
  method: z.union([
    z.string().refine((id) => findMethod(id) !== undefined, { message: `must be one of ${METHOD_IDS.join(', ')}` }),
    methodSchema,
  ]),
  /** How the method's order is taken; left out: the method's own way. */
  order: z.enum(ORDERS).nullish(),
  grinder: z.intersection(
    scale,
    z.object({
      finer: z.enum(['lower', 'higher']),
      dosing: z.enum(['timed', 'weighed']).nullish(),
      purgeGrams: z.number().min(0).max(200).nullish(),
      logTimePerUnit: learnedSlopeSchema.nullish(),
      timedDose: timedDoseSchema.nullish(),
    }),
  ),
  basket: z
    .object({
      nominalGrams: z.number().min(1).max(60),
      minGrams: z.number().min(1).max(60),
      maxGrams: z.number().min(1).max(60),
      /** The dose found to fill this basket with this coffee. */
      found: z.object({ grams: z.number().min(1).max(60), toleranceGrams: z.number().min(0).max(10) }).nullish(),
    })
    .refine((b) => b.maxGrams >= b.minGrams, { message: 'must not be below minGrams', path: ['maxGrams'] }),
  machine: z
    .object({
      temperatureC: scale.nullish(),
      /** Group temperature minus what the display says. */
      temperatureOffsetC: maybe(-20, 20),
      /** Pump on → first drip, as watched on this machine. */
      firstDripSeconds: z.object({ mean: z.number().min(0).max(60), sd: spread(30) }).nullish(),
    })
    .nullish(),
  coffee: z.object({
    roast: z.enum(ROASTS),
    process: z.string().max(80).nullish(),
    altitudeM: maybe(-500, 6000),
    ageDays: maybe(0, 3650),
    learned: learnedCoffeeSchema.nullish(),
  }),
  target: z.object({
    doseGrams: within(LIMITS.doseGrams),
    yieldGrams: within(LIMITS.yieldGrams),
    temperatureC: maybeWithin(LIMITS.temperatureC),
    timeSeconds: z
      .object({ min: seconds, max: seconds })
      .refine((w) => w.max > w.min, { message: 'must be later than min', path: ['max'] }),
    timer: z.enum(TIMER_STARTS),
    balance: z.number().min(-3).max(3).default(0),
    body: z.number().min(-3).max(3).default(0),
  }),
  taster: learnedTasterSchema.nullish(),
  start: z
    .object({
      grind: maybe(-1e4, 1e4),
      /** Spread of `grind` in units of the scale, where it was worked out and nobody named it. */
      grindSd: maybe(0, 1e4),
      /** From what it was: recipes kept on this grinder, or this coffee's own last shots on it. */
      from: z.enum(START_FROM).nullish(),
      handCheck: z.enum(HAND_CHECKS).nullish(),
    })
    .nullish(),
  /** How doses and yields are measured, where no scale does it: their scatter, g. */
  measuring: z.object({ doseSdGrams: maybe(0, 10), yieldSdGrams: maybe(0, 50) }).nullish(),
  shots: z.array(shotSchema).max(200),
});

/** A slope as it is kept with a grinder: to the digits that mean something, and so that it is taken back by the next request. */
export function slopeToKeep({ mean, sd, shots }: LearnedSlope): LearnedSlope {
  const kept = (value: number, digits: number): number =>
    Number(clamp(value, SLOPE.least, SLOPE.most).toPrecision(digits));
  return { mean: kept(mean, 4), sd: kept(sd, 3), shots };
}

export type { FieldError };
export type AdviceRequest = z.input<typeof adviceRequestSchema>;
export type ValidAdviceRequest = z.output<typeof adviceRequestSchema>;
export type AdviceShot = z.output<typeof shotSchema>;
export type LearnedSlope = z.infer<typeof learnedSlopeSchema>;
export type LearnedMarks = z.infer<typeof learnedMarksSchema>;
export type LearnedTaster = z.infer<typeof learnedTasterSchema>;
export type LearnedCoffee = z.infer<typeof learnedCoffeeSchema>;

export type ParsedAdviceRequest = { ok: true; request: ValidAdviceRequest } | { ok: false; errors: FieldError[] };

/** Checks a would-be request; every error names its field and says what would be right. */
export function parseAdviceRequest(value: unknown): ParsedAdviceRequest {
  const result = adviceRequestSchema.safeParse(value);
  if (result.success) return { ok: true, request: result.data };
  return { ok: false, errors: fieldErrorsOf(result.error) };
}
