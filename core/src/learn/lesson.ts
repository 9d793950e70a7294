import { infer } from '../belief/infer';
import { frameOf, timeElasticity } from '../belief/model';
import { P } from '../belief/parameters';
import { priorFor, slopePrior } from '../belief/prior';
import { readProblem } from '../belief/problem';
import { slopeToKeep, type LearnedCoffee, type LearnedSlope, type ValidAdviceRequest } from '../contract/request';
import { combine, messageOf, type Message } from './gaussian';
import type { ServiceLesson } from './serviceSlope';

/**
 * What one dial-in taught, free of what was believed before it: so lessons can be put together in any order, and a shot
 * corrected later changes its own lesson only.
 */
export interface Lesson {
  /** ln of the whole time's change for one unit finer. */
  slope: Message | null;
  /** Balance and body where the shot pours in the middle of its window. */
  balance: Message | null;
  body: Message | null;
  /** The recipe at which balance and body hold. */
  ratio: number;
  middleSeconds: number;
  temperatureC: number | null;
  timedShots: number;
  tastedShots: number;
}

/** Coffees answer a grinder a little differently: no single dial-in knows its slope closer than this, in ln. */
const BETWEEN_COFFEES_SD = 0.12;
/** Bags and days differ: no single dial-in knows a coffee's taste closer than this. */
const BETWEEN_BAGS_SD = 0.3;
/** Spread of what nobody has tasted yet: wider than any roast's. */
const UNKNOWN_SD = 3;
/** Recipes further apart than this in ln ratio or ln time are not averaged with the newest. */
const SAME_RECIPE = 0.25;

/** What the shots of a dial-in say by themselves. */
export function lessonOf(request: ValidAdviceRequest): Lesson {
  const blank = {
    ...request,
    grinder: { ...request.grinder, logTimePerUnit: null },
    coffee: { ...request.coffee, learned: null },
  };
  const problem = readProblem(blank);
  const frame = frameOf(problem);
  const prior = priorFor(problem);
  const posterior = infer(problem);
  const believed = (at: number) => ({
    mean: posterior.mean[at]!,
    sd: Math.sqrt(Math.max(1e-9, posterior.covariance.get(at, at))),
  });
  const message = (at: number): Message | null => messageOf({ mean: prior.mean[at]!, sd: prior.sd[at]! }, believed(at));
  const timed = problem.pours.filter((pour) => pour.timeSeconds !== null);
  const tasted = problem.pours.filter((pour) => pour.taste !== null);
  const slope = new Set(timed.map((pour) => pour.measured.grind)).size > 1 ? message(P.logSlope) : null;
  // From the puck's time to the whole time, which is what people measure.
  const elasticity = Math.log(timeElasticity(posterior.mean[P.lead]!, frame));
  return {
    slope: slope && { ...slope, mean: slope.mean + elasticity },
    balance: tasted.length > 0 ? message(P.balanceAtCentre) : null,
    body: tasted.length > 0 ? message(P.bodyAtCentre) : null,
    ratio: frame.ratio,
    middleSeconds: frame.middleSeconds,
    temperatureC: problem.temperatureScale === null ? null : frame.temperatureC,
    timedShots: timed.length,
    tastedShots: tasted.length,
  };
}

/**
 * The slope of a grinder from its dial-ins, from what was turned in service, and the rule of thumb for its scale.
 * @returns null when no dial-in ever changed its grind, nor anybody in service
 */
export function combineSlopes(
  scale: { min: number; max: number; step: number },
  lessons: readonly Lesson[],
  service: readonly ServiceLesson[] = [],
): LearnedSlope | null {
  const ofDialIns = lessons.flatMap(({ slope }) => (slope ? [slope] : []));
  const messages = [...ofDialIns, ...service.map(({ slope }) => slope)];
  if (messages.length === 0) return null;
  const { mean, sd } = combine(slopePrior(scale), messages, BETWEEN_COFFEES_SD);
  // Mean and spread of the log-normal.
  const slope = Math.exp(mean + (sd * sd) / 2);
  return slopeToKeep({
    mean: slope,
    sd: slope * Math.sqrt(Math.expm1(sd * sd)),
    shots:
      lessons.reduce((sum, { timedShots }) => sum + timedShots, 0) + service.reduce((sum, { shots }) => sum + shots, 0),
  });
}

/** Change of ln time for one unit finer on a grinder that has taught nothing yet, its middle and spread. */
export function usualSlope(scale: { min: number; max: number; step: number }): { mean: number; sd: number } {
  const { mean, sd } = slopePrior(scale);
  return { mean: Math.exp(mean), sd: sd * Math.exp(mean) };
}

/**
 * How a coffee tastes at the recipe of its newest lesson, from that and its others near it.
 * @param lessons newest first
 */
export function combineCoffee(lessons: readonly Lesson[]): LearnedCoffee | null {
  const newest = lessons.find(({ balance, body }) => balance !== null || body !== null);
  if (!newest) return null;
  const near = lessons.filter(
    (lesson) =>
      Math.abs(Math.log(lesson.ratio / newest.ratio)) < SAME_RECIPE &&
      Math.abs(Math.log(lesson.middleSeconds / newest.middleSeconds)) < SAME_RECIPE,
  );
  const put = (pick: (lesson: Lesson) => Message | null) => {
    const messages = near.flatMap((lesson) => pick(lesson) ?? []);
    const { mean, sd } = combine({ mean: 0, sd: UNKNOWN_SD }, messages, BETWEEN_BAGS_SD);
    return { mean: Number(mean.toFixed(2)), sd: Number(sd.toFixed(2)) };
  };
  return {
    balance: put(({ balance }) => balance),
    body: put(({ body }) => body),
    ratio: newest.ratio,
    middleSeconds: newest.middleSeconds,
    temperatureC: newest.temperatureC,
    shots: near.reduce((sum, { tastedShots }) => sum + tastedShots, 0),
  };
}
