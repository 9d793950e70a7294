import type { Assumable, Cause, Roast, Serving, Sign, TimerStart, Verdict } from '../brew/types';
import { GLASS_SD_GRAMS, STRIKE_SD_GRAMS } from '../dose/headspace';
import type { DoseLaw } from '../dose/timedDose';
import type { Method } from '../method/Method';
import { ownMark } from '../belief/marking';
import type {
  AdviceRequest,
  AdviceShot,
  HandCheck,
  LearnedCoffee,
  LearnedMarks,
  LearnedSlope,
  LearnedTaster,
} from '../contract/request';

type Maybe = number | null | undefined;

interface TastingLike {
  person?: string | null;
  balance?: Maybe;
  body?: Maybe;
  dryness?: Maybe;
  sweetness?: Maybe;
  overall?: Maybe;
}

/** Where one person likes a cup best, on the balance and body scales, and how that person marks. */
export interface PalateLike {
  person: string;
  balance: number;
  body: number;
  marks?: LearnedTaster | null;
}

/** What is stored of a dial-in, in the shape the store and the page both have it. */
export interface SheetLike {
  run: {
    id: string;
    methodId: string;
    startGrind?: Maybe;
    /** Where the last shots gave it. */
    startSd?: Maybe;
    /** Worked out from kept recipes, where nobody named a start. */
    suggestedStart?: { grind: number; sd: number } | null;
    handCheck?: HandCheck | null;
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
  /** The dose law of a timed grinder that was weighed. */
  timedDose?: Omit<DoseLaw, 'finer'> | null;
  /** The dose found for this basket with this coffee. */
  foundDose?: { grams: number; toleranceGrams: number } | null;
  /** The station's scale; null where doses are struck level and yields read in a glass. */
  hasScale?: boolean;
  /** A method of the shop's own, whole; absent for one that ships. */
  method?: Method | null;
  basket: { nominalGrams: number; minGrams: number; maxGrams: number };
  machine: {
    temperatureC?: { min: number; max: number; step: number } | null;
    temperatureOffset?: { mean: number } | null;
    firstDrip?: { mean: number; sd: number } | null;
  };
  coffee: { roast: Roast; process?: string | null; altitudeM?: Maybe; learnedTaste?: LearnedCoffee | null };
  ageDays: number | null;
  /** Where those who taste like a cup best. */
  palates?: readonly PalateLike[];
  /** Oldest first. */
  shots: readonly {
    grind?: Maybe;
    doseGrams?: Maybe;
    yieldGrams?: Maybe;
    grindSeconds?: Maybe;
    temperatureC?: Maybe;
    planned?: { grind?: Maybe; doseGrams?: Maybe; yieldGrams?: Maybe; temperatureC?: Maybe } | null;
    timeSeconds?: Maybe;
    timer: TimerStart;
    firstDripSeconds?: Maybe;
    seen: readonly { sign: Sign }[];
    /** What its trace says. */
    traced?: { summary: { isLateRush: boolean } | null } | null;
    purged: boolean;
    cause?: Cause | null;
    versusLast?: Verdict | null;
    verdict?: Serving | null;
    assumed?: readonly Assumable[] | null;
    /** Read in a glass, where nothing was weighed. */
    yieldMl?: Maybe;
    tastings: readonly TastingLike[];
  }[];
}

/** What eyes saw, and what a trace shows that perhaps no eye did: a rush at the end is a puck that gave way. */
function signsOf({ seen, traced }: SheetLike['shots'][number]): Sign[] {
  const signs = [...new Set(seen.map(({ sign }) => sign))];
  return traced?.summary?.isLateRush && !signs.includes('late-rush') ? [...signs, 'late-rush'] : signs;
}

/** Puts the question of a dial-in: the stored sheet as an `olvet.advice-request/1`. */
export function buildAdviceRequest(sheet: SheetLike): AdviceRequest {
  const { run, grinder, basket, machine, coffee } = sheet;
  const taster = tasterOf(sheet);
  return {
    schema: 'olvet.advice-request/1',
    id: run.id,
    method: sheet.method ?? run.methodId,
    grinder: {
      min: grinder.min,
      max: grinder.max,
      step: grinder.step,
      finer: grinder.finer,
      dosing: grinder.dosing,
      purgeGrams: grinder.purgeGrams,
      logTimePerUnit: grinder.learnedSlope,
      timedDose: sheet.timedDose ?? null,
    },
    basket: {
      nominalGrams: basket.nominalGrams,
      minGrams: basket.minGrams,
      maxGrams: basket.maxGrams,
      found: sheet.foundDose ?? null,
    },
    machine: {
      temperatureC: machine.temperatureC ?? null,
      temperatureOffsetC: machine.temperatureOffset?.mean ?? null,
      firstDripSeconds: machine.firstDrip ?? null,
    },
    coffee: {
      roast: coffee.roast,
      process: coffee.process || null,
      altitudeM: coffee.altitudeM ?? null,
      ageDays: sheet.ageDays,
      learned: coffee.learnedTaste ?? null,
    },
    target: run.target,
    taster,
    start: { ...startOf(run), handCheck: run.handCheck ?? null },
    measuring: sheet.hasScale === false ? { doseSdGrams: STRIKE_SD_GRAMS, yieldSdGrams: GLASS_SD_GRAMS } : null,
    shots: sheet.shots.map((shot) => ({
      grind: shot.grind,
      doseGrams: shot.doseGrams,
      yieldGrams: shot.yieldGrams,
      grindSeconds: shot.grindSeconds ?? null,
      assumed: assumedOf(shot),
      temperatureC: shot.temperatureC,
      planned: shot.planned,
      timeSeconds: shot.timeSeconds,
      timer: shot.timer,
      firstDripSeconds: shot.firstDripSeconds,
      seen: signsOf(shot),
      purged: shot.purged,
      cause: shot.cause ?? null,
      versusLast: shot.versusLast ?? null,
      taste: markedBy(shot.verdict, combineTastings(shot.tastings, sheet.palates), taster?.overall),
    })),
  };
}

/** A yield read in a glass scatters as one that was assumed. */
function assumedOf({ assumed, yieldMl }: SheetLike['shots'][number]): Assumable[] | null {
  const all = [...(assumed ?? []), ...(yieldMl == null ? [] : (['yieldGrams'] as const))];
  return all.length === 0 ? null : [...new Set(all)];
}

/** Somebody's word for where the grinder stands comes before what its recipes say. */
function startOf({ startGrind, startSd, suggestedStart }: SheetLike['run']): NonNullable<AdviceRequest['start']> {
  if (startGrind != null && startSd != null) return { grind: startGrind, grindSd: startSd, from: 'last-shots' };
  if (startGrind != null || !suggestedStart) return { grind: startGrind ?? null };
  return { grind: suggestedStart.grind, grindSd: suggestedStart.sd, from: 'recipes' };
}

/** How the people of this dial-in mark, together: the mean of their scales, null unless all of them are known. */
function tasterOf({ shots, palates = [] }: SheetLike): LearnedTaster | null {
  const people = [...new Set(shots.flatMap(({ tastings }) => tastings.map(({ person }) => person ?? '')))];
  const together = (scale: keyof LearnedTaster): LearnedMarks | null => {
    const marks = people.flatMap((name) => palates.find(({ person }) => person === name)?.marks?.[scale] ?? []);
    if (marks.length === 0 || marks.length < people.length) return null;
    const mean = (pick: (of: LearnedMarks) => number): number =>
      marks.reduce((sum, of) => sum + pick(of), 0) / marks.length;
    return {
      best: { mean: mean(({ best }) => best.mean), sd: mean(({ best }) => best.sd) },
      loss: { mean: mean(({ loss }) => loss.mean), sd: mean(({ loss }) => loss.sd) },
      cups: Math.min(...marks.map(({ cups }) => cups)),
    };
  };
  const overall = together('overall');
  const sweetness = together('sweetness');
  return overall || sweetness ? { overall, sweetness } : null;
}

/** What a cup is marked of ten by most people who would serve it, and by those who would not. */
export const SERVED_MARK = { serve: 8, discard: 4 } as const;

/** A tasted cup that nobody marked is marked by what was done with it, as these people mark; what nobody tasted says nothing, served or not. */
function markedBy(
  verdict: Serving | null | undefined,
  taste: AdviceShot['taste'],
  marks: LearnedMarks | null | undefined,
): AdviceShot['taste'] {
  if (!taste || !verdict) return taste;
  return { ...taste, overall: taste.overall ?? ownMark('overall', marks, SERVED_MARK[verdict]) };
}

const AXES = ['balance', 'body', 'dryness', 'sweetness', 'overall'] as const;

/**
 * Several tongues on one shot: the mean of what each scale was given, null when nobody tasted. With palates, it also says where those
 * who tasted like balance and body best, on the mean.
 */
export function combineTastings(
  tastings: readonly TastingLike[],
  palates: readonly PalateLike[] = [],
): AdviceShot['taste'] {
  const notes = tastings.filter((tasting) => AXES.some((axis) => tasting[axis] != null));
  if (notes.length === 0) return null;
  const meanOf = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
  const mean = (axis: Exclude<keyof TastingLike, 'person'>): number | null => {
    const values = notes.flatMap((note) => note[axis] ?? []);
    return values.length === 0 ? null : meanOf(values);
  };
  const likedAt = (axis: 'balance' | 'body'): number => {
    const placed = notes.filter((note) => note[axis] != null);
    if (placed.length === 0) return 0;
    return meanOf(placed.map((tasting) => palates.find(({ person }) => person === tasting.person)?.[axis] ?? 0));
  };
  const likes = { balance: likedAt('balance'), body: likedAt('body') };
  return {
    balance: mean('balance'),
    body: mean('body'),
    ...(likes.balance !== 0 || likes.body !== 0 ? { likes } : {}),
    dryness: mean('dryness'),
    sweetness: mean('sweetness'),
    overall: mean('overall'),
  };
}
