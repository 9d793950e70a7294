import type { Roast, Sign, TimerStart } from '../brew/types';
import type { AdviceRequest, AdviceShot, LearnedSlope } from './request';

type Maybe = number | null | undefined;

interface TastingLike {
  balance?: Maybe;
  body?: Maybe;
  dryness?: Maybe;
  sweetness?: Maybe;
  overall?: Maybe;
}

/** What is stored of a dial-in, in the shape the store and the page both have it. */
export interface SheetLike {
  run: {
    id: string;
    methodId: string;
    startGrind?: Maybe;
    target: {
      doseGrams: number;
      yieldGrams: number;
      temperatureC?: Maybe;
      timeSeconds: { min: number; max: number };
      timer: TimerStart;
      balance: number;
      body: number;
    };
  };
  grinder: {
    min: number;
    max: number;
    step: number;
    finer: 'lower' | 'higher';
    dosing: 'timed' | 'weighed';
    purgeGrams: number;
    learnedSlope: LearnedSlope | null;
  };
  basket: { nominalGrams: number; minGrams: number; maxGrams: number };
  machine: { temperatureC?: { min: number; max: number; step: number } | null };
  coffee: { roast: Roast; process?: string | null; altitudeM?: Maybe };
  ageDays: number | null;
  /** Oldest first. */
  shots: readonly {
    grind?: Maybe;
    doseGrams?: Maybe;
    yieldGrams?: Maybe;
    temperatureC?: Maybe;
    planned?: { grind?: Maybe; doseGrams?: Maybe; yieldGrams?: Maybe; temperatureC?: Maybe } | null;
    timeSeconds?: Maybe;
    timer: TimerStart;
    firstDripSeconds?: Maybe;
    seen: readonly { sign: Sign }[];
    purged: boolean;
    tastings: readonly TastingLike[];
  }[];
}

/** Puts the question of a dial-in: the stored sheet as an `olvet.advice-request/1`. */
export function buildAdviceRequest(sheet: SheetLike): AdviceRequest {
  const { run, grinder, basket, machine, coffee } = sheet;
  return {
    schema: 'olvet.advice-request/1',
    id: run.id,
    method: run.methodId,
    grinder: {
      min: grinder.min,
      max: grinder.max,
      step: grinder.step,
      finer: grinder.finer,
      dosing: grinder.dosing,
      purgeGrams: grinder.purgeGrams,
      logTimePerUnit: grinder.learnedSlope,
    },
    basket: { nominalGrams: basket.nominalGrams, minGrams: basket.minGrams, maxGrams: basket.maxGrams },
    machine: { temperatureC: machine.temperatureC ?? null },
    coffee: {
      roast: coffee.roast,
      process: coffee.process || null,
      altitudeM: coffee.altitudeM ?? null,
      ageDays: sheet.ageDays,
    },
    target: run.target,
    start: { grind: run.startGrind ?? null },
    shots: sheet.shots.map((shot) => ({
      grind: shot.grind,
      doseGrams: shot.doseGrams,
      yieldGrams: shot.yieldGrams,
      temperatureC: shot.temperatureC,
      planned: shot.planned,
      timeSeconds: shot.timeSeconds,
      timer: shot.timer,
      firstDripSeconds: shot.firstDripSeconds,
      seen: shot.seen.map(({ sign }) => sign),
      purged: shot.purged,
      taste: combineTastings(shot.tastings),
    })),
  };
}

/** Several tongues on one shot: the mean of what each scale was given. null when nobody tasted. */
export function combineTastings(tastings: readonly TastingLike[]): AdviceShot['taste'] {
  if (tastings.length === 0) return null;
  const mean = (axis: keyof TastingLike): number | null => {
    const values = tastings.map((t) => t[axis]).filter((v): v is number => v != null);
    return values.length === 0 ? null : values.reduce((sum, v) => sum + v, 0) / values.length;
  };
  return {
    balance: mean('balance'),
    body: mean('body'),
    dryness: mean('dryness'),
    sweetness: mean('sweetness'),
    overall: mean('overall'),
  };
}
