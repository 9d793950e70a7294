import { convertTime } from '../../brew/convertTime';
import { clamp, roundTo, snap, type Scale } from '../../brew/snap';
import type { Cause, Sign, TimerStart, Verdict } from '../../brew/types';
import { foretellDose } from '../../dose/timedDose';
import type { Method } from '../../method/Method';
import { findMethod, startTemperatureC } from '../../method/methods';
import type { Settings } from '../contract/answer';
import { expectedCup, gasScatter } from './beans';
import { changesBetween } from '../contract/changes';
import { asMostWouldMark, HARSH, markingFor, type MarkedCup } from './marking';
import type { LikingScaleName } from './model';
import type { AdviceShot, ValidAdviceRequest } from '../contract/request';

/** A setting is right when its noise-free shot lies in the window or so little beside it. */
export const GRACE_SECONDS = 0.5;
/** Share of the time by which a puck alone strays. */
export const PUCK_STRAYS = 0.05;
/** Shots of the same settings this near each other in time taste the same (ordinary practice), s. */
const ALIKE_SECONDS = 2;
/** Settings believed in the window less than this are doubted: time comes first. */
export const WINDOW_DOUBT = 0.45;

/** From so many shots on a dial-in is long: what was seen of this coffee counts for more than what a school holds of all coffees. */
const LONG_DIAL_IN_SHOTS = 4;

/** One shot with every gap filled and every clock read on the target's. */
export interface Pour {
  /** What stood on grinder, scale and machine: the settings as planned. */
  planned: Settings;
  /** What was really poured; the best value known. */
  measured: Settings;
  /** Seconds on the target's clock, or null when nobody timed it; by the usual first drip where the shot's own was not seen. */
  timeSeconds: number | null;
  /** The same as read, on `clock`: the target's, unless the first drip was not seen and the two cannot be told apart exactly. */
  clockSeconds: number | null;
  clock: TimerStart;
  firstDripSeconds: number | null;
  seen: readonly Sign[];
  channelled: boolean;
  /** Harsh without being bitter: water went round the coffee, not through it, whether or not anybody saw the channel. */
  isMuddled: boolean;
  /** What the barista found to have gone wrong with it. */
  cause: Cause | null;
  /** False when channel, dose or group spoilt it: it says little about its settings. */
  sound: boolean;
  versusLast: Verdict | null;
  /** Grind of the shot before, and whether old grounds were left in. */
  previousGrind: number;
  /** Scatter of the hand that dosed and stopped it, where no scale did. */
  hand: Hand;
  purged: boolean;
  /** Poured before the last shots at these very settings came out differently: what held then holds no longer. */
  stale: boolean;
  /** Balance and body counted from where those who tasted like them best, on the scales where 0 is just right. */
  taste: NonNullable<AdviceShot['taste']> | null;
  /** The same as they said it. */
  said: NonNullable<AdviceShot['taste']> | null;
  /** Its marks of ten as most people would have given them: this person may be strict or kind. */
  marks: Record<LikingScaleName, number | null>;
  /** Its overall mark read by how this person marked in earlier dial-ins alone, and not by the other cups of this one. */
  habitualMark: number | null;
}

/** What measuring by eye, and a fresh coffee's gas, add: as a share of the time, and on the balance and body scales. */
export interface Hand {
  time: number;
  taste: number;
  /** Doses or yields are not weighed. */
  isByEye: boolean;
}

/** The request made complete: a method object, scales, a start and filled pours. */
export interface Problem {
  request: ValidAdviceRequest;
  method: Method;
  grindScale: Scale;
  /** +1 when a higher number is finer, −1 when a lower one is. */
  finerSign: 1 | -1;
  temperatureScale: Scale | null;
  /** Where the first shot stands or stood. */
  start: Settings;
  hand: Hand;
  pours: Pour[];
}

/** Dryness from here on is a fault, on the contract's scale of 3. */
export const DRY = 1.5;
/** So far, in ln of the time, must two shots in a row lie from the earlier ones at the same settings to be a shift, not noise. */
const SHIFT = 0.12;
const CHANNEL_SIGNS: readonly Sign[] = ['spurts', 'late-rush', 'puck-crater', 'dead-spots'];

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
  return { request: complete, method, grindScale, finerSign, temperatureScale, start, hand, pours };
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

/** By Darcy the time goes with the dose's square in the puck, about three quarters of the whole, and with the yield. */
function handOf({ measuring, target, coffee }: ValidAdviceRequest): Hand {
  const dose = (measuring?.doseSdGrams ?? 0) / target.doseGrams;
  const poured = (measuring?.yieldSdGrams ?? 0) / target.yieldGrams;
  // Log ratio scatters by both; balance answers to it by about 5.5.
  return {
    time: Math.sqrt((1.5 * dose) ** 2 + (0.92 * poured) ** 2 + gasScatter(coffee) ** 2),
    taste: 5.5 * Math.sqrt(dose ** 2 + poured ** 2),
    isByEye: dose > 0 || poured > 0,
  };
}

/** Measured in the window, give or take what a barista still calls in it. */
export function isInTime(
  problem: Problem,
  { timeSeconds }: Pick<Pour, 'timeSeconds'>,
  graceSeconds = GRACE_SECONDS,
): boolean {
  const { min, max } = problem.request.target.timeSeconds;
  return timeSeconds !== null && timeSeconds >= min - graceSeconds && timeSeconds <= max + graceSeconds;
}

/** By so many seconds shots of the same settings differ, of about this time. */
export function shotsDifferBy(timeSeconds: number): number {
  return Math.max(ALIKE_SECONDS, PUCK_STRAYS * timeSeconds);
}

/** −1 where a sound shot ran short of the window, or of what is tolerated, 1 where it ran past it, else 0. */
export function sideOut(problem: Problem, pour: Pour): -1 | 0 | 1 {
  if (!pour.sound || pour.timeSeconds === null || isInTime(problem, pour)) return 0;
  return pour.timeSeconds < problem.request.target.timeSeconds.min ? -1 : 1;
}

/** Without any history: a little to the fine side of the middle, where espresso lies on a general scale. */
function guessGrind(scale: Scale, finerSign: 1 | -1): number {
  const fromFine = 0.4;
  const finest = finerSign === 1 ? scale.max : scale.min;
  const coarsest = finerSign === 1 ? scale.min : scale.max;
  return finest + fromFine * (coarsest - finest);
}

function readPours(request: ValidAdviceRequest & { method: Method }, start: Settings, hand: Hand): Pour[] {
  const { method } = request;
  let before = start;
  return request.shots.map((shot, index) => {
    const planned: Settings = {
      grind: shot.planned?.grind ?? shot.grind ?? before.grind,
      doseGrams: shot.planned?.doseGrams ?? shot.doseGrams ?? before.doseGrams,
      yieldGrams: shot.planned?.yieldGrams ?? shot.yieldGrams ?? before.yieldGrams,
      temperatureC: shot.planned?.temperatureC ?? shot.temperatureC ?? before.temperatureC,
    };
    const measured: Settings = {
      grind: shot.grind ?? planned.grind,
      doseGrams: shot.doseGrams ?? timedDoseOf(request, shot) ?? planned.doseGrams,
      yieldGrams: shot.yieldGrams ?? planned.yieldGrams,
      temperatureC: shot.temperatureC ?? planned.temperatureC,
    };
    const seen = shot.seen ?? [];
    const cause = shot.cause ?? null;
    const clock = readClock(request, shot, method.leadSeconds);
    const isShort = method.timeIs === 'target' && isTooShort(request, clock.timeSeconds);
    const taste = shot.taste ? countedFromLikes(shot.taste) : null;
    const isMuddled = tastesMuddled(request, taste, isShort);
    const channelled = isMuddled || sawChannel({ cause, seen });
    const pour: Pour = {
      planned,
      measured,
      ...clock,
      firstDripSeconds: shot.firstDripSeconds ?? null,
      seen,
      channelled,
      isMuddled,
      cause,
      sound: !channelled && cause !== 'dose-off' && cause !== 'cold-group',
      versusLast: shot.versusLast ?? null,
      hand,
      previousGrind: index === 0 ? measured.grind : before.grind,
      purged: cause !== 'not-purged' && (shot.purged ?? true),
      stale: false,
      taste,
      said: shot.taste ?? null,
      marks: { overall: null, sweetness: null },
      habitualMark: null,
    };
    before = planned;
    return pour;
  });
}

/** What one person calls a bit bitter is just right for another. */
function countedFromLikes(said: NonNullable<AdviceShot['taste']>): NonNullable<AdviceShot['taste']> {
  const { balance, body, likes } = said;
  if (!likes) return said;
  const count = (value: number | null | undefined, from: number): number | null =>
    value == null ? null : clamp(value - from, -3, 3);
  return { ...said, balance: count(balance, likes.balance), body: count(body, likes.body) };
}

/** Every mark read by all the others: by itself it cannot tell a strict tongue from a poor cup, so it has no say in its own reading. */
function readMarks(request: ValidAdviceRequest, pours: Pour[]): Pour[] {
  const { flatness } = expectedCup(request.coffee);
  const readOn = (scale: LikingScaleName): (number | null)[] => {
    const before = markingFor(scale, request.taster?.[scale], flatness);
    const cups = pours.map((pour) => markedCup(request.target, pour, scale));
    return pours.map(({ taste }, i) => {
      const mark = taste?.[scale] ?? null;
      if (mark === null) return null;
      const others = cups.flatMap((cup, k) => (cup === null || k === i ? [] : [cup]));
      return asMostWouldMark(scale, before, others, mark);
    });
  };
  const overall = readOn('overall');
  const sweetness = readOn('sweetness');
  const habit = markingFor('overall', request.taster?.overall, flatness);
  return pours.map((pour, i) => {
    const mark = pour.taste?.overall ?? null;
    const habitualMark = mark === null ? null : asMostWouldMark('overall', habit, [], mark);
    return { ...pour, marks: { overall: overall[i]!, sweetness: sweetness[i]! }, habitualMark };
  });
}

/** A cup that tells how its taster marks; null where it was not placed on the scales and marked, or was harsh. */
function markedCup(target: ValidAdviceRequest['target'], pour: Pour, scale: LikingScaleName): MarkedCup | null {
  const { balance, body, dryness, [scale]: mark } = pour.taste ?? {};
  if (!pour.sound || balance == null || mark == null || (dryness ?? 0) >= HARSH) return null;
  return { off: balance - target.balance, thick: (body ?? target.body) - target.body, mark };
}

/** Seen or found, as against tasted. */
export function sawChannel({ cause, seen }: Pick<Pour, 'cause' | 'seen'>): boolean {
  return cause === 'channelled' || seen.some((sign) => CHANNEL_SIGNS.includes(sign));
}

/** Harsh and sour, harsh though not bitter, or harsh though the water had no time to draw out too much. */
function tastesMuddled({ target }: ValidAdviceRequest, taste: Pour['taste'], isShort: boolean): boolean {
  if (taste?.balance == null || taste.dryness == null) return false;
  const off = taste.balance - target.balance;
  return taste.dryness >= DRY && (off <= 0.5 || isShort);
}

/** Further short of the window than a puck alone strays. */
function isTooShort({ target }: ValidAdviceRequest, timeSeconds: number | null): boolean {
  return timeSeconds !== null && timeSeconds < (1 - PUCK_STRAYS) * target.timeSeconds.min;
}

/**
 * Act when a run of shots, not one, leaves what the earlier ones showed: two in a row at the same settings, both clearly faster
 * or both clearly slower than the middle one of two or more before them. Then all before those two count little, also once the
 * settings are changed; unless later shots at these settings came back.
 */
function markStale(pours: Pour[]): Pour[] {
  const steady: Settings[] = [];
  for (let i = pours.length - 1; i > 0; i -= 1) {
    const { planned } = pours[i]!;
    const isAlike = (pour: Pour): boolean =>
      pour.sound && pour.timeSeconds !== null && changesBetween(pour.planned, planned).length === 0;
    const earlier = pours.slice(0, i - 1).filter(isAlike);
    const isKnownSteady = steady.some((settings) => changesBetween(settings, planned).length === 0);
    if (isKnownSteady || earlier.length < 2 || ![pours[i - 1]!, pours[i]!].every(isAlike)) continue;
    if (isShift(earlier, [pours[i - 1]!, pours[i]!])) {
      return pours.map((pour, k) => ({ ...pour, stale: k < i - 1 }));
    }
    steady.push(planned);
  }
  return pours;
}

function isShift(earlier: readonly Pour[], pair: readonly Pour[]): boolean {
  const times = earlier.map(({ timeSeconds }) => timeSeconds!).sort((a, b) => a - b);
  // Of an even number the middle one nearer to the pair: where one of two shots before was like these, nothing has shifted.
  const lower = times[Math.floor((times.length - 1) / 2)]!;
  const upper = times[Math.floor(times.length / 2)]!;
  const isSlower = pair.every(({ timeSeconds }) => Math.log(timeSeconds! / upper) > SHIFT);
  return isSlower || pair.every(({ timeSeconds }) => Math.log(timeSeconds! / lower) < -SHIFT);
}

/** What a timed grinder must have given in the time it ran. */
function timedDoseOf({ grinder }: ValidAdviceRequest, { grind, grindSeconds }: AdviceShot): number | null {
  if (!grinder.timedDose || grindSeconds == null || grind == null) return null;
  const { grams } = foretellDose({ ...grinder.timedDose, finer: grinder.finer }, { seconds: grindSeconds, grind });
  return grams >= 1 && grams <= 60 ? grams : null;
}

function readClock(
  request: ValidAdviceRequest,
  shot: AdviceShot,
  usualLead: number,
): Pick<Pour, 'timeSeconds' | 'clockSeconds' | 'clock'> {
  const target = request.target.timer;
  const clock = shot.timer ?? target;
  const clockSeconds = shot.timeSeconds ?? null;
  if (clockSeconds === null || clock === target) {
    return { timeSeconds: clockSeconds, clockSeconds, clock: target };
  }
  const read = { timeSeconds: clockSeconds, from: clock, to: target };
  const firstDripSeconds = shot.firstDripSeconds ?? request.machine?.firstDripSeconds?.mean ?? null;
  const exact = convertTime({ ...read, firstDripSeconds });
  if (exact !== null) return { timeSeconds: exact, clockSeconds: exact, clock: target };
  // Without a first drip the belief reads the shot on its own clock, with its doubt; rules and words take the usual one.
  const usual = convertTime({ ...read, firstDripSeconds: usualLead });
  return { timeSeconds: usual ?? clockSeconds, clockSeconds, clock };
}

/** A search, not a series: shots from before a drift tell nothing any more, and one setting poured often is no search. */
export function isLongDialIn({ pours }: Pick<Problem, 'pours'>): boolean {
  const telling = pours.filter(({ stale }) => !stale);
  const isSearch = telling.some(({ planned }) => changesBetween(planned, telling[0]!.planned).length > 0);
  return isSearch && telling.length >= LONG_DIAL_IN_SHOTS;
}
