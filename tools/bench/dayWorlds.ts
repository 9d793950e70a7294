import { createRandom, drawBetween, drawNormal, type DayEventKind, type Random } from '../../core/src/index';

/** A day at one station, hidden from whoever keeps it. ln time unless said otherwise. */
export interface DayWorld {
  seed: string;
  /** The time its recipe was found at, s, and how far single pucks stray. */
  cardSeconds: number;
  puckSd: number;
  /** What a unit finer really does, and what was learned of it. */
  slope: number;
  learnedSlope: { mean: number; sd: number; shots: number };
  shots: {
    /** Minutes since the first. */
    minute: number;
    /** The hidden shift, before any turn of today. */
    hidden: number;
    /** What its own puck, dose and yield do, and what went wrong. */
    stray: number;
    isSeen: boolean;
    doseGrams: number;
    yieldGrams: number;
    isWeighed: boolean;
  }[];
  room: { minute: number; celsius: number; humidityPercent: number }[];
  events: { minute: number; kind: DayEventKind }[];
  /** Where a lasting step came; null where none did. */
  step: { shot: number; by: number } | null;
  kind: DayKind;
}

export const DAY_KINDS = ['steady', 'step', 'slow', 'damp', 'bag', 'mixed'] as const;
export type DayKind = (typeof DAY_KINDS)[number];

export const CARD = { grind: 12, doseGrams: 18, yieldGrams: 36 };
export const GRINDER = {
  min: 0,
  max: 40,
  step: 0.5,
  finer: 'lower' as const,
  dosing: 'weighed' as const,
  purgeGrams: 12,
};
export const LIMITS_OF_DAY = { unitsPerMove: 1, unitsPerDay: 6 };
export const TOLERANCE_SECONDS = 3;

const ODD_CHANCE = 0.04;
const MISSED_CHANCE = 0.04;
const UNWEIGHED_CHANCE = 0.25;
const DOSE_EXPONENT = [1.4, 2.6] as const;

/** A day of 60 to 200 shots whose pucks spread by 4 to 7 %. */
export function dayWorld(seed: string): DayWorld {
  const random = createRandom(`day ${seed}`);
  const kind = DAY_KINDS[Math.floor(random() * DAY_KINDS.length)]!;
  const count = Math.round(drawBetween(random, 60, 200));
  const minutes = drawBetween(random, 420, 660);
  const slope = drawBetween(random, 0.05, 0.1);
  const puckSd = drawBetween(random, 0.04, 0.07);
  const course = courseOf(random, kind, minutes);
  const doseExponent = drawBetween(random, ...DOSE_EXPONENT);
  const shots = Array.from({ length: count }, (_, i): DayWorld['shots'][number] => {
    const isOdd = random() < ODD_CHANCE;
    const isMissed = random() < MISSED_CHANCE;
    const doseGrams = drawNormal(random, 18, isMissed ? 0.8 : 0.12);
    const yieldGrams = drawNormal(random, 36, 0.7);
    return {
      minute: ((i + 0.5) * minutes) / count,
      hidden: course.drift(i / count),
      stray:
        drawNormal(random, 0, puckSd) +
        0.95 * Math.log(yieldGrams / 36) +
        doseExponent * Math.log(doseGrams / 18) -
        (isOdd ? Math.abs(drawNormal(random, 0.12, 0.15)) : 0),
      isSeen: isOdd && random() < 0.5,
      doseGrams,
      yieldGrams,
      isWeighed: random() >= UNWEIGHED_CHANCE,
    };
  });
  return {
    ...{ seed, kind, slope, puckSd, shots },
    cardSeconds: drawBetween(random, 26, 33),
    learnedSlope: { mean: slope * Math.exp(drawNormal(random, 0, 0.15)), sd: 0.15 * slope, shots: 60 },
    room: course.room,
    events: course.events,
    step: course.step === null ? null : { shot: Math.ceil(course.step.at * count), by: course.step.by },
  };
}

interface Course {
  drift: (share: number) => number;
  room: DayWorld['room'];
  events: DayWorld['events'];
  step: { at: number; by: number } | null;
}

function courseOf(random: Random, kind: DayKind, minutes: number): Course {
  const sign = random() < 0.5 ? -1 : 1;
  const at = drawBetween(random, 0.15, 0.7);
  const by = sign * drawBetween(random, 0.1, 0.25);
  const slow = sign * drawBetween(random, 0.08, 0.3);
  const [phase, swing] = [drawBetween(random, 0, 6.28), drawBetween(random, 0, 0.02)];
  const wobble = (share: number): number => swing * Math.sin(phase + 6.28 * share);
  const damp = sign * drawBetween(random, 8, 25);
  const perPoint = drawBetween(random, 0.001, 0.006);
  const ramp = (share: number): number => Math.min(1, Math.max(0, (share - at) / 0.2));
  const has = {
    step: kind === 'step' || kind === 'bag' || kind === 'mixed',
    slow: kind === 'slow' || kind === 'mixed',
  };
  const isDamp = kind === 'damp' || kind === 'mixed';
  const drift = (share: number): number =>
    wobble(share) +
    (has.step && share >= at ? by : 0) +
    (has.slow ? slow * share : 0) +
    (isDamp ? perPoint * damp * ramp(share) : 0);
  const hasSensor = random() < 0.5;
  const room = hasSensor
    ? Array.from({ length: Math.ceil(minutes / 10) }, (_, i) => ({
        minute: 10 * i,
        celsius: 22 + drawNormal(random, 0, 0.1),
        humidityPercent: 48 + (isDamp ? damp * ramp((10 * i) / minutes) : 0) + drawNormal(random, 0, 0.4),
      }))
    : [];
  const events = kind === 'bag' ? [{ minute: at * minutes - 1, kind: 'bag-opened' as const }] : [];
  return { drift, room, events, step: has.step ? { at, by } : null };
}
