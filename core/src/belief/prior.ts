import type { Scale } from '../brew/snap';
import { expectedCup } from './beans';
import { markingFor, type Marking } from './marking';
import { LIKING, type LikingScale } from './likingScale';
import { frameOf, timeElasticity, type Frame } from './model';
import { P, PARAMETERS } from './parameters';
import type { Problem } from './problem';
import type { HandCheck } from '../contract/request';

/** Independent normal beliefs about the parameter vector before any shot. */
export interface Prior {
  mean: Float64Array;
  sd: Float64Array;
}

/**
 * What the levers usually do: points for a unit of log time by grind, for a unit of log ratio, and for a °C. Heat gives to the
 * body what its extraction gives: as much log time by grind as it gives to the balance.
 */
const USUAL = {
  balance: { grind: 4, ratio: 5.5, heat: 0.3 },
  body: { grind: 2, ratio: 3.8, heat: (2 * 0.3) / 4 },
};
/** What roast, process and altitude leave open. */
const COFFEE_SD = { balance: 0.9, body: 0.7 };
/** Water takes a second through the loosest bed: a usual lead of none would leave nothing to scale. */
const SHORTEST_LEAD_SECONDS = 1;
/** How far a kept recipe may have wandered since: its time by a tenth, its taste by half a tolerance. */
const KEPT_SD = { logPuck: 0.12, balance: 0.3, body: 0.35 };

/**
 * Two stories of how a dial-in begins: the recipe may lie anywhere, or somebody had these very settings right not long ago
 * and only the time may have wandered.
 */
export type Origin = 'anywhere' | 'kept recipe';

/** Beliefs from roast, method, window, grinder and what earlier dial-ins taught, as docs/model.md derives them. */
export function priorFor(problem: Problem, origin: Origin = 'anywhere'): Prior {
  const frame = frameOf(problem);
  const mean = new Float64Array(PARAMETERS);
  const sd = new Float64Array(PARAMETERS);
  const believe = (index: number, at: number, spread: number): void => {
    mean[index] = at;
    sd[index] = spread;
  };
  const { request, method } = problem;
  const lead = leadFor(frame, method.leadSeconds, request.machine?.firstDripSeconds ?? null);
  believe(P.lead, lead.mean, lead.sd);
  const middlePuck = (frame.middleSeconds - (frame.clock === 'first-drip' ? 0 : lead.mean)) / frame.yieldGrams - 0.12;
  const slope = slopeFor(problem);
  const logPuckSlope = slope.mean - Math.log(timeElasticity(lead.mean, frame));
  believe(P.logSlope, logPuckSlope, slope.sd);
  const logMiddle = Math.log(Math.max(0.1, middlePuck));
  const start = startPuck(startSd(request.start, Math.exp(logPuckSlope)), request.start?.handCheck ?? null);
  believe(P.logPuck, logMiddle + start.mean, start.sd);
  believe(P.doseExponent, 2, 0.7);
  const cup = expectedCup(request.coffee);
  const heatShift = USUAL.balance.heat * (frame.temperatureC + (request.machine?.temperatureOffsetC ?? 0) - 93);
  believe(P.balanceAtCentre, cup.balance + heatShift, COFFEE_SD.balance);
  believe(P.bodyAtCentre, cup.body, COFFEE_SD.body);
  believeCoffee(problem, frame, believe);
  if (origin === 'kept recipe') {
    sd[P.logPuck] = KEPT_SD.logPuck;
    believe(P.balanceAtCentre, request.target.balance, KEPT_SD.balance);
    believe(P.bodyAtCentre, request.target.body, KEPT_SD.body);
  }
  believe(P.logBalanceGrind, Math.log(USUAL.balance.grind), 0.4);
  believe(P.logRatioToGrind, Math.log(USUAL.balance.ratio / USUAL.balance.grind), 0.3);
  believe(P.logHeatToGrind, Math.log(USUAL.balance.heat / USUAL.balance.grind), 0.35);
  believe(P.bodyGrind, USUAL.body.grind, 1);
  believe(P.logBodyRatio, Math.log(USUAL.body.ratio), 0.5);
  for (const scale of ['overall', 'sweetness'] as const) {
    believeMarks(LIKING[scale], markingFor(scale, request.taster?.[scale], cup.flatness), believe);
  }
  return { mean, sd };
}

/** A cup as wanted is marked about 8, a point off balance costs about a point and a half, until a person's own cups tell. */
function believeMarks(
  { atBest, atLogLoss }: LikingScale,
  { best, loss }: Marking,
  believe: (index: number, at: number, spread: number) => void,
): void {
  believe(atBest, best.mean, best.sd);
  // Mean and spread of a log-normal to those of its logarithm.
  const logVariance = Math.log1p((loss.sd / loss.mean) ** 2);
  believe(atLogLoss, Math.log(loss.mean) - logVariance / 2, Math.sqrt(logVariance));
}

/**
 * What earlier dial-ins of this coffee found, moved to the recipe at hand by the levers' usual effects. An older bag
 * tastes a little different, which widens it; it never says less than roast alone.
 */
function believeCoffee(
  problem: Problem,
  frame: Frame,
  believe: (index: number, at: number, spread: number) => void,
): void {
  const { learned } = problem.request.coffee;
  if (!learned) return;
  const longer = Math.log(frame.ratio / learned.ratio);
  const slower = Math.log(frame.middleSeconds / learned.middleSeconds);
  const hotter = learned.temperatureC == null ? 0 : frame.temperatureC - learned.temperatureC;
  const byBalance = USUAL.balance.ratio * longer + USUAL.balance.grind * slower + USUAL.balance.heat * hotter;
  const byBody = -USUAL.body.ratio * longer + USUAL.body.grind * slower + USUAL.body.heat * hotter;
  const balance = learned.balance.mean + byBalance;
  const body = learned.body.mean + byBody;
  // The further from the old recipe, the less it says.
  const reach = 2.5 * Math.abs(longer) + 2 * Math.abs(slower) + 0.15 * Math.abs(hotter);
  const balanceSd = Math.hypot(learned.balance.sd, 0.3, reach);
  const bodySd = Math.hypot(learned.body.sd, 0.3, reach);
  if (balanceSd < COFFEE_SD.balance) believe(P.balanceAtCentre, balance, balanceSd);
  if (bodySd < COFFEE_SD.body) believe(P.bodyAtCentre, body, bodySd);
}

/** What fingers say of the puck's resistance against the wanted one, in ln: a weak first evidence [assumption]. */
const HAND_CHECK: Record<HandCheck, { mean: number; sd: number }> = {
  'too-coarse': { mean: -0.8, sd: 0.5 },
  near: { mean: 0, sd: 0.35 },
  'too-fine': { mean: 0.8, sd: 0.5 },
};

/** How far, in ln of the puck, the first setting may stand from the wanted one. */
const START_SD = { named: 0.45, guessed: 0.8, atLeast: 0.08 };

/** A setting a person names stands near espresso, one worked out from kept recipes as near as they say; a blind guess may be anywhere. */
function startSd(start: Problem['request']['start'], puckSlope: number): number {
  if (start?.grind == null) return START_SD.guessed;
  if (start.grindSd == null) return START_SD.named;
  return Math.min(START_SD.guessed, Math.max(START_SD.atLeast, start.grindSd * puckSlope));
}

/** ln of the puck at the starting grind against the wanted one: prior and fingers, precisions added. */
function startPuck(sd: number, handCheck: HandCheck | null): { mean: number; sd: number } {
  if (handCheck === null) return { mean: 0, sd };
  const felt = HAND_CHECK[handCheck];
  const precision = sd ** -2 + felt.sd ** -2;
  return { mean: (felt.mean * felt.sd ** -2) / precision, sd: precision ** -0.5 };
}

function leadFor(
  frame: Frame,
  usualSeconds: number,
  watched: { mean: number; sd: number } | null,
): { mean: number; sd: number } {
  const within = (seconds: number): number =>
    Math.min(Math.max(SHORTEST_LEAD_SECONDS, seconds), 0.55 * frame.middleSeconds);
  if (frame.clock === 'total-contact') return { mean: within(usualSeconds), sd: 4 };
  if (watched) return { mean: within(watched.mean), sd: Math.hypot(watched.sd, 0.5) };
  return { mean: within(usualSeconds), sd: 1.5 };
}

/** What ln time a unit finer is taken to add before this dial-in: as learned of the grinder, else by rule of thumb. */
export function slopeKnown({ request, grindScale }: Pick<Problem, 'request' | 'grindScale'>): number {
  return request.grinder.logTimePerUnit?.mean ?? Math.exp(slopePrior(grindScale).mean);
}

/** Slope of log time per unit finer: learned if the grinder has a history, otherwise by rule of thumb. */
function slopeFor(problem: Problem): { mean: number; sd: number } {
  const learned = problem.request.grinder.logTimePerUnit;
  if (!learned) return slopePrior(problem.grindScale);
  // Mean and spread of a log-normal to those of its logarithm; another coffee on the same grinder answers a little
  // differently, which widens it.
  const logVariance = Math.log1p((learned.sd / learned.mean) ** 2);
  return {
    mean: Math.log(learned.mean) - logVariance / 2,
    sd: Math.min(1, Math.hypot(Math.sqrt(logVariance), 0.12)),
  };
}

/** How much the span of a scale says beside its step, where a step by the span moves time by more than 4 %, or by less. */
const SPAN_SAYS = { coarse: 0.9, fine: 0.5 };
/** What a usable step moves ln time by, and the most it is taken to where a scale has hardly any. */
const STEP_MOVES = { usually: 0.04, atMost: 0.25 };

/**
 * ln of the slope of an unknown grinder, between two rules of thumb: a usable step moves the time by about 4 %, and a
 * whole scale spans e^3 in time. Where steps are few the span says nearly all, because a scale that does not reach from a
 * gush to a choke would be of no use.
 */
export function slopePrior({ min, max, step }: Scale): { mean: number; sd: number } {
  const bySpan = 3 / (max - min);
  if (step <= 0) return { mean: Math.log(bySpan), sd: 0.8 };
  const byStep = STEP_MOVES.usually / step;
  const share = SPAN_SAYS[bySpan > byStep ? 'coarse' : 'fine'];
  const mean = share * Math.log(bySpan) + (1 - share) * Math.log(byStep);
  return { mean: Math.min(mean, Math.log(STEP_MOVES.atMost / step)), sd: 0.6 };
}
