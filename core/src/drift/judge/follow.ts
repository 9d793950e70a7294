import { usualSlope } from '../../learn/lesson';
import type { DayEventKind, ValidDayRequest } from './contract';
import {
  beyond,
  blended,
  jumped,
  learned,
  likelihoods,
  meanOf,
  moved,
  normalShift,
  oddness,
  type Shift,
} from './filter';
import { freedShots, type FreedShot } from './freed';
import { NOISE } from './noise';

const HOUR_MS = 3600_000;

/** One turn of the grind between two shots. */
export interface Turn {
  /** Of the first shot after it. */
  index: number;
  at: number;
  /** Positive is finer. */
  units: number;
  /** Where the middle was believed before, and what the turn should bring, ln. */
  before: number;
  expected: number;
}

/** A station as it was followed to now. */
export interface Followed {
  shots: FreedShot[];
  /** ln time over the card’s of the next untouched shot, its own puck apart. */
  shift: Shift;
  /** What the grind was turned away from the card’s time on purpose, ln; the standard of the judgement. */
  standard: number;
  puckSd: number;
  /** How surely the last shot was odd; 0 where there is none. */
  lastOdd: number;
  turns: Turn[];
  /** First shot of today. */
  todayFrom: number;
  around: Around;
}

export interface AnsweringSlope {
  mean: number;
  sd: number;
}

/** How the grinder answers, learned or as usual for its scale. */
export function slopeOf({ grinder }: Pick<ValidDayRequest, 'grinder'>): AnsweringSlope {
  const { mean, sd } = grinder.logTimePerUnit ?? usualSlope(grinder);
  return { mean, sd: Math.max(sd, NOISE.slopeSdLeast * mean) };
}

/**
 * Follows the hidden shift from shot to shot: a slow walk, rare steps, what events, air and turns bring, and shots of which some are
 * odd. Several spreads of the puck are tried beside each other; each counts as far as it has been right.
 */
export function follow(request: ValidDayRequest): Followed {
  const shots = freedShots(request);
  const around = aroundOf(request);
  const slope = slopeOf(request);
  const finer = request.grinder.finer === 'higher' ? 1 : -1;
  const tolerance = Math.log1p(request.toleranceSeconds / request.card.timeSeconds.mean);
  const spreads = puckSpreads(request);
  const puckSds = spreads.map(({ sd }) => sd);
  let weights = spreads.map(({ weight }) => weight);
  let shifts = spreads.map(() => normalShift(0, NOISE.night.sd));
  let standard = 0;
  let lastOdd = 0;
  let { grind } = request.card;
  let last: number | null = null;
  let todayFrom = 0;
  const turns: Turn[] = [];
  for (const [index, shot] of shots.entries()) {
    if (isAnotherDay(last, shot.at)) todayFrom = index;
    shifts = passed(shifts, around, last, shot.at);
    const units = finer * (shot.grind - grind);
    if (units !== 0) {
      const before = meanOf(blended(shifts, weights));
      const expected = slope.mean * units;
      shifts = moved(shifts, expected, slope.sd * Math.abs(units));
      // A turn away from the card’s time was somebody’s will; one that leads back there was not.
      const after = before + expected;
      standard = Math.abs(after) > tolerance && Math.abs(after) > Math.abs(before) ? after : 0;
      turns.push({ index, at: shot.at, units, before, expected });
    }
    grind = shot.grind;
    if (index === shots.length - 1) lastOdd = oddness(blended(shifts, weights), shot, mean(spreads, weights));
    const said = likelihoods(shot, puckSds);
    const told = shifts.map((shift, j) => learned(shift, said[j]!));
    shifts = told.map(({ shift }) => shift);
    weights = normalized(weights.map((weight, j) => weight * told[j]!.evidence));
    last = shot.at;
  }
  const now = Date.parse(request.now);
  if (isAnotherDay(last, now)) todayFrom = shots.length;
  const shift = passed([blended(shifts, weights)], around, last, now)[0]!;
  return { shots, shift, standard, puckSd: mean(spreads, weights), lastOdd, turns, todayFrom, around };
}

function isAnotherDay(last: number | null, at: number): boolean {
  return last !== null && at - last > NOISE.night.hours * HOUR_MS;
}

function puckSpreads({ card: { timeSeconds } }: ValidDayRequest): { sd: number; weight: number }[] {
  const { usual, least, most, factors, logSd } = NOISE.puckSd;
  const found = timeSeconds.sd > 0 && timeSeconds.shots >= 2 ? timeSeconds.sd / timeSeconds.mean : usual;
  const middle = Math.min(most, Math.max(least, found));
  return factors.map((factor) => ({
    sd: middle * factor,
    weight: Math.exp(-0.5 * (Math.log(factor) / logSd) ** 2),
  }));
}

function mean(spreads: readonly { sd: number }[], weights: readonly number[]): number {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return spreads.reduce((total, { sd }, j) => total + (sd * weights[j]!) / sum, 0);
}

function normalized(weights: readonly number[]): number[] {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => weight / sum);
}

/** What else is known of the day, its times read once. */
export interface Around {
  room: { at: number; celsius: number | null; humidityPercent: number | null }[];
  events: { at: number; kind: DayEventKind }[];
}

export function aroundOf({ room, events }: Pick<ValidDayRequest, 'room' | 'events'>): Around {
  const byTime = (one: { at: number }, other: { at: number }): number => one.at - other.at;
  return {
    room: (room ?? [])
      .map(({ at, celsius, humidityPercent }) => ({
        at: Date.parse(at),
        celsius: celsius ?? null,
        humidityPercent: humidityPercent ?? null,
      }))
      .sort(byTime),
    events: (events ?? []).map(({ at, kind }) => ({ at: Date.parse(at), kind })).sort(byTime),
  };
}

/** What time, events and air bring between two shots. */
function passed(shifts: Shift[], around: Around, last: number | null, at: number): Shift[] {
  if (last === null) return shifts;
  const hours = Math.max(0, at - last) / HOUR_MS;
  const isNight = isAnotherDay(last, at);
  const { perHour, perShot } = NOISE.walk;
  const air = airChange(around, last, at);
  const walked = isNight ? NOISE.night.sd : Math.hypot(perShot, perHour * Math.sqrt(hours));
  let after = moved(shifts, air.mean, Math.hypot(walked, air.sd));
  after = jumped(after, NOISE.jump.perShot, NOISE.jump.sd);
  for (const event of around.events) {
    if (event.at <= last || event.at > at) continue;
    const { probability, sd } = NOISE.events[event.kind];
    if (probability > 0) after = jumped(after, probability, sd);
  }
  return after;
}

/** Air that changed by so much brings about so much, ln. */
function airChange({ room }: Around, from: number, to: number): { mean: number; sd: number } {
  const [before, after] = [airAt(room, from), airAt(room, to)];
  const { perHumidity, perCelsius, believed, sdShare } = NOISE.air;
  const of = (figure: 'humidityPercent' | 'celsius', per: number): number => {
    const [was, is] = [before?.[figure], after?.[figure]];
    return was == null || is == null ? 0 : per * (is - was);
  };
  const byHumidity = of('humidityPercent', perHumidity);
  const byWarmth = of('celsius', perCelsius);
  return { mean: believed * (byHumidity + byWarmth), sd: sdShare * Math.hypot(byHumidity, byWarmth) };
}

/** The newest reading by then. */
export function airAt(room: Around['room'], at: number): Around['room'][number] | null {
  let [from, to] = [0, room.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (room[middle]!.at <= at) from = middle + 1;
    else to = middle;
  }
  return room[from - 1] ?? null;
}

/** How surely the middle lies outside the tolerance around the standard, and on which side. */
export function outside({ shift, standard }: Pick<Followed, 'shift' | 'standard'>, request: ValidDayRequest) {
  const { mean: seconds } = request.card.timeSeconds;
  const at = (by: number): number => Math.log1p(by / seconds);
  const { below, above } = beyond(
    shift,
    standard + at(-request.toleranceSeconds),
    standard + at(request.toleranceSeconds),
  );
  return { fast: below, slow: above };
}
