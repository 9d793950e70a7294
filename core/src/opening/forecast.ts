import type { RestBand } from '../coffee/rest';
import { THUMB } from '../drift/effects';
import { carry, type AnsweringGrinder, type CarriedStart } from '../drift/carry';

export interface Weather {
  roomC: number;
  humidityPercent: number;
}

export interface MorningInput {
  closing: { grind: number; timeSeconds: number };
  /** Days off roast at closing and this morning; null when the roast day is unknown. */
  ageDays: { closing: number; now: number } | null;
  band: RestBand | null;
  /** null where nobody looked. */
  weather: { closing: Weather; now: Weather } | null;
  /** What this shop's own days have taught; the rule of thumb where left out. */
  effects?: Readonly<Record<'humidity' | 'warmth' | 'age', { mean: number; sd: number }>>;
  grinder: AnsweringGrinder;
  window: { min: number; max: number };
}

export interface ForecastPart {
  /** Change of ln time it brings. */
  logTime: number;
  sd: number;
  text: string;
}

export interface MorningForecast {
  /** Expected time of the first shot at yesterday's closing setting, s. */
  timeSeconds: { mean: number; p10: number; p90: number };
  logTime: { mean: number; sd: number };
  parts: ForecastPart[];
  /** What undoes the change, or brings a closing time from outside the window well inside, is further off than its own doubt. */
  worthMoving: boolean;
  /** Where to begin, moved or not, and how near to the window's middle that is. */
  start: CarriedStart;
}

/** Change of ln time a day: gas leaving, then aroma and oils. Older pours faster (rule of thumb, sizes assumed). */
const AGEING = { settling: -0.012, best: -0.004, fading: -0.009 };
/** What a night, another hopper and another hand bring anyhow. */
const OVERNIGHT_SD = 0.05;
const TENTH = 1.2816;
/** Well inside a window: a quarter of it from the edge. */
const INSIDE = 0.25;

/**
 * What yesterday's closing setting will pour this morning. Every part is a rule of thumb, or what the shop has learned in its
 * place, with its own spread, shown one by one so that a person may disagree.
 */
export function forecastMorning(input: MorningInput): MorningForecast {
  const { closing, grinder, window } = input;
  const parts = [ageing(input), weather(input)].filter((part) => part !== null);
  const mean = parts.reduce((sum, part) => sum + part.logTime, 0);
  const sd = Math.hypot(OVERNIGHT_SD, ...parts.map((part) => part.sd));
  // What closed inside its window is not to be improved overnight; what closed outside is brought well inside, no more.
  const inWindow = closing.timeSeconds >= window.min && closing.timeSeconds <= window.max;
  const inset = INSIDE * (window.max - window.min);
  const aim = Math.min(window.max - inset, Math.max(window.min + inset, closing.timeSeconds));
  const wanted = inWindow ? -mean : Math.log(aim / closing.timeSeconds) - mean;
  const moved = carry(closing.grind, wanted, sd, grinder);
  const stays = carry(closing.grind, 0, sd, grinder);
  const worthMoving = moved.grind !== stays.grind && Math.abs(wanted) > sd;
  const start = worthMoving ? moved : stays;
  const expected = closing.timeSeconds * Math.exp(mean + (worthMoving ? wanted : 0));
  const fromMiddle = Math.log(expected / ((window.min + window.max) / 2));
  const at = (z: number): number => closing.timeSeconds * Math.exp(mean + z * sd);
  return {
    timeSeconds: { mean: at(0), p10: at(-TENTH), p90: at(TENTH) },
    logTime: { mean, sd },
    parts,
    worthMoving,
    start: { grind: start.grind, sd: Math.hypot(start.sd, fromMiddle / grinder.slope.mean) },
  };
}

function ageing({ ageDays, band, effects = THUMB }: MorningInput): ForecastPart | null {
  if (ageDays === null || band === null) return null;
  const days = ageDays.now - ageDays.closing;
  if (days <= 0) return null;
  const thumb = ageingBetween(ageDays.closing, ageDays.now, band);
  const logTime = effects.age.mean * thumb;
  const text = `${days === 1 ? 'A day' : `${Math.round(days)} days`} older: ${percentWord(logTime)}.`;
  return { logTime, sd: effects.age.sd * Math.abs(thumb), text };
}

/**
 * Change of ln time from one age to another, days off roast: older pours faster. Of a younger bag it is the way back.
 * Day by day, so that the same days always bring the same.
 */
export function ageingBetween(fromDays: number, toDays: number, band: RestBand): number {
  const [young, old] = [Math.min(fromDays, toDays), Math.max(fromDays, toDays)];
  const until = (day: number): number => Math.min(Math.max(day, young), old);
  const { bestFromDay, bestUntilDay } = band;
  const sum =
    AGEING.settling * (until(bestFromDay) - young) +
    AGEING.best * (until(bestUntilDay) - until(bestFromDay)) +
    AGEING.fading * (old - until(bestUntilDay));
  return toDays >= fromDays ? sum : -sum;
}

function weather({ weather: seen, effects = THUMB }: MorningInput): ForecastPart | null {
  if (seen === null) return null;
  const damper = seen.now.humidityPercent - seen.closing.humidityPercent;
  const warmer = seen.now.roomC - seen.closing.roomC;
  const byHumidity = effects.humidity.mean * damper;
  const byWarmth = effects.warmth.mean * warmer;
  const logTime = byHumidity + byWarmth;
  if (Math.abs(logTime) < 0.002) return null;
  const air = `${word(damper, 'more humid', 'drier')}${warmer === 0 ? '' : ` and ${word(warmer, 'warmer', 'cooler')}`}`;
  return {
    logTime,
    sd: Math.hypot(effects.humidity.sd * damper, effects.warmth.sd * warmer),
    text: `The air is ${air}: ${percentWord(logTime)}.`,
  };
}

function word(value: number, up: string, down: string): string {
  return value > 0 ? up : value < 0 ? down : 'as humid as before';
}

function percentWord(logTime: number): string {
  const percent = Math.round(Math.abs(Math.expm1(logTime)) * 1000) / 10;
  return `about ${percent} % ${logTime < 0 ? 'faster' : 'slower'}`;
}
