import type { SecondsRange } from '../brew/types';

/** How a hand lever is pulled, bar (ordinary practice): the first touch, the soak, the hold and the ease at the end. */
export const LEVER_BAR = {
  touch: 1.2,
  soak: { min: 1, max: 2 },
  hold: { min: 7, max: 8 },
  ease: { min: 5, max: 6 },
  rescue: { min: 8, max: 9 },
} as const;

/** The pressure stands by then, s; the last grams are eased. */
const HELD_BY_SECONDS = { min: 10, max: 15 };
const TOUCH_SECONDS = 2;
const USUAL_COVER_SECONDS = 8;
export const EASED_GRAMS = 5;

/** The narrower the basket, the deeper the bed and the longer the shot: upper edge, mm, and usual time, s [assumption]. */
const WINDOWS: readonly { toMm: number; window: SecondsRange }[] = [
  { toMm: 47, window: { min: 45, max: 55 } },
  { toMm: 52, window: { min: 38, max: 48 } },
  { toMm: Infinity, window: { min: 30, max: 40 } },
];

/** How long a lever shot usually takes in a basket of this diameter, mm. */
export function leverWindow(basketMm: number): SecondsRange {
  return WINDOWS.find(({ toMm }) => basketMm <= toMm)!.window;
}

export interface PressurePoint {
  seconds: number;
  bar: number;
}

/**
 * The pressure to follow: touch, soak until covered, ramp, hold, ease over the last grams.
 * @param coverSeconds when the filter was covered; null while it is not
 * @param easeSeconds when the last five grams begin
 */
export function leverPlan({
  coverSeconds,
  easeSeconds,
  landSeconds,
}: {
  coverSeconds: number | null;
  easeSeconds: number;
  landSeconds: number;
}): PressurePoint[] {
  const covered = coverSeconds ?? USUAL_COVER_SECONDS;
  const held = Math.max(covered + 3, (HELD_BY_SECONDS.min + HELD_BY_SECONDS.max) / 2);
  const hold = middle(LEVER_BAR.hold);
  const eased = Math.max(held + 1, easeSeconds);
  return [
    { seconds: 0, bar: 0 },
    { seconds: TOUCH_SECONDS, bar: LEVER_BAR.touch },
    { seconds: Math.max(covered, TOUCH_SECONDS + 1), bar: LEVER_BAR.soak.max },
    { seconds: held, bar: hold },
    { seconds: eased, bar: hold },
    { seconds: Math.max(eased + 1, landSeconds), bar: middle(LEVER_BAR.ease) },
  ];
}

function middle({ min, max }: { min: number; max: number }): number {
  return (min + max) / 2;
}

/** What a lever shot shows now. */
export interface LeverNow {
  seconds: number;
  bar: number | null;
  firstDripSeconds: number | null;
  coverSeconds: number | null;
  /** When the last spurt was marked. */
  spurtSeconds: number | null;
}

export type Rescue = 'compact' | 'wait' | 'ease-off';

/** A drop so early, at so little pressure, has met no resistance. */
const EARLY_DRIP_SECONDS = 5;
const NO_RESISTANCE_BAR = 3;
/** So long against a wall without a drop is too fine. */
const WALL_SECONDS = 8;
const WALL_BAR = 2.2;
/** A jet is answered at once, or not at all. */
const JET_SECONDS = 6;
/** Once the pressure stands, an early drip is over. */
const COMPACTED_SECONDS = 12;

/** One row a rescue, the most urgent first. */
const RESCUES: { rescue: Rescue; isNeeded: (now: LeverNow) => boolean }[] = [
  {
    rescue: 'ease-off',
    isNeeded: ({ seconds, spurtSeconds }) => spurtSeconds !== null && seconds - spurtSeconds <= JET_SECONDS,
  },
  {
    rescue: 'compact',
    isNeeded: ({ seconds, bar, firstDripSeconds }) =>
      firstDripSeconds !== null &&
      firstDripSeconds <= EARLY_DRIP_SECONDS &&
      seconds <= COMPACTED_SECONDS &&
      (bar === null || bar < NO_RESISTANCE_BAR),
  },
  {
    rescue: 'wait',
    isNeeded: ({ seconds, bar, firstDripSeconds, coverSeconds }) =>
      firstDripSeconds === null &&
      coverSeconds === null &&
      seconds >= WALL_SECONDS &&
      (bar === null || bar >= WALL_BAR),
  },
];

/** The rescue that is needed at this moment, if any. */
export function rescueNow(now: LeverNow): Rescue | null {
  return RESCUES.find(({ isNeeded }) => isNeeded(now))?.rescue ?? null;
}

/** What to do, and what it means for the next grind, in words. */
export const RESCUE_WORDS: Readonly<Record<Rescue, { title: string; act: string; next: string }>> = {
  compact: {
    title: 'No resistance, and it drips.',
    act: 'To 8 or 9 bar at once: that compacts the puck.',
    next: 'Next time finer.',
  },
  wait: {
    title: 'A wall, and nothing shows.',
    act: 'Hold at 1 to 2 bar until drops form, then ramp slowly.',
    next: 'Next time coarser.',
  },
  'ease-off': {
    title: 'Jets.',
    act: 'Ease off a little and come back, once or twice.',
    next: 'Next time distribute better; the grind may stay.',
  },
};

/** What a chamber loses off the heat, °C a second [assumption: a bare metal chamber in a room]. */
const LOST_PER_SECOND = 0.07;

/** What is lost since the chamber left the heat, °C. */
export function chamberLoss(seconds: number): number {
  return LOST_PER_SECOND * Math.max(0, seconds);
}
