import { clamp, roundTo, snap, type Scale } from '../brew/snap';
import type { Method, Order } from '../method/Method';
import { findMethod, startTemperatureC } from '../method/methods';
import type { Settings } from '../contract/answer';
import type { ValidAdviceRequest } from '../contract/request';
import { handOf, type Hand } from './hand';
import { readPours, type Pour } from './pour';
import { readMarks } from './readMarks';
import { markStale } from './stale';

/** A setting is right when its noise-free shot lies in the window or so little beside it. */
export const GRACE_SECONDS = 0.5;
/** The request made complete: a method object, scales, a start and filled pours. */
export interface Problem {
  request: ValidAdviceRequest;
  method: Method;
  order: Order;
  grindScale: Scale;
  /** +1 when a higher number is finer, −1 when a lower one is. */
  finerSign: 1 | -1;
  temperatureScale: Scale | null;
  /** Where the first shot stands or stood. */
  start: Settings;
  hand: Hand;
  pours: Pour[];
}

/** Fills in what the request leaves out. Pure bookkeeping: no inference here. */
export function readProblem(request: ValidAdviceRequest): Problem {
  const method = typeof request.method === 'string' ? findMethod(request.method)! : request.method;
  const grindScale: Scale = {
    min: request.grinder.min,
    max: request.grinder.max,
    step: request.grinder.step,
  };
  const finerSign = request.grinder.finer === 'higher' ? 1 : -1;
  const temperatureScale = request.machine?.temperatureC ?? null;
  const temperatureC =
    temperatureScale === null
      ? null
      : snap(
          request.target.temperatureC ??
            startTemperatureC(method, request.coffee.roast, temperatureScale)! -
              (request.machine?.temperatureOffsetC ?? 0),
          temperatureScale,
        );
  const { minGrams, maxGrams } = doseRoom(request.basket);
  const doseGrams = roundTo(clamp(request.target.doseGrams, minGrams, maxGrams), 1);
  const start: Settings = {
    grind: snap(request.start?.grind ?? request.shots[0]?.grind ?? guessGrind(grindScale, finerSign), grindScale),
    doseGrams,
    yieldGrams: yieldFor(request.target, doseGrams),
    temperatureC,
  };
  const basket = { ...request.basket, minGrams, maxGrams };
  const complete = { ...request, basket };
  const hand = handOf(request);
  const pours = readMarks(complete, markStale(readPours({ ...complete, method }, start, hand)));
  const order = request.order ?? method.order ?? 'by-the-book';
  return { request: complete, method, order, grindScale, finerSign, temperatureScale, start, hand, pours };
}

/** Where the basket holds another dose than was asked for, the ratio stays. */
function yieldFor(target: ValidAdviceRequest['target'], doseGrams: number): number {
  if (Math.abs(doseGrams - target.doseGrams) < 0.05) return target.yieldGrams;
  return roundTo((target.yieldGrams * doseGrams) / target.doseGrams, 1);
}

/** A dose that was found to fill the basket narrows what may be dosed: a gram less, half a gram more, or its doubt. */
function doseRoom({ minGrams, maxGrams, found }: ValidAdviceRequest['basket']): { minGrams: number; maxGrams: number } {
  if (!found) return { minGrams, maxGrams };
  const grams = clamp(found.grams, minGrams, maxGrams);
  return {
    minGrams: Math.max(minGrams, roundTo(grams - Math.max(1, found.toleranceGrams), 2)),
    maxGrams: Math.min(maxGrams, roundTo(grams + Math.max(0.5, found.toleranceGrams), 2)),
  };
}

/** Without any history: a little to the fine side of the middle, where espresso lies on a general scale. */
function guessGrind(scale: Scale, finerSign: 1 | -1): number {
  const fromFine = 0.4;
  const finest = finerSign === 1 ? scale.max : scale.min;
  const coarsest = finerSign === 1 ? scale.min : scale.max;
  return finest + fromFine * (coarsest - finest);
}
