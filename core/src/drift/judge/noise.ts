import type { DayEventKind } from './contract';

/**
 * How a bar strays and drifts, ln time unless said otherwise. Assumed where no source is named; `npm run bench:day` shows what they
 * are worth.
 */
export const NOISE = {
  /** A careful hand's puck (handbook: preparation alone moves time by about 5 %), and by which factors it may be another. */
  puckSd: { usual: 0.055, least: 0.025, most: 0.12, factors: [0.7, 0.9, 1.15, 1.5], logSd: 0.3 },
  /** So often a shot is odd: a channel, a slip; nearly surely one that is known to be spoilt. */
  oddShare: { none: 0.05, unpurged: 0.5, spoilt: 0.85 },
  /** An odd shot mostly runs fast. */
  odd: { mean: -0.06, sd: 0.25 },
  /** A slow drift: what it adds an hour, and from shot to shot. */
  walk: { perHour: 0.03, perShot: 0.006 },
  /** A step out of the blue. */
  jump: { perShot: 0.01, sd: 0.14 },
  /** What an event may bring: how probably, and how much. */
  events: {
    'bag-opened': { probability: 0.5, sd: 0.1 },
    'hopper-filled': { probability: 0.25, sd: 0.06 },
    cleaned: { probability: 0.25, sd: 0.06 },
    'machine-on': { probability: 0.3, sd: 0.06 },
    'grind-changed': { probability: 0, sd: 0.01 },
  } satisfies Record<DayEventKind, { probability: number; sd: number }>,
  /** Longer than this without a shot, h, it is another day: the night has had its say. */
  night: { hours: 5, sd: 0.05 },
  /** What the air does: ln time for a point of humidity and for a °C (rule of thumb, handbook §10), believed by half. */
  air: { perHumidity: 0.003, perCelsius: 0.003, believed: 0.5, sdShare: 0.7 },
  /** Points of balance for a unit of ln time, and how people differ. */
  taste: { pointsPerLog: 5, sd: 1.2 },
  /** Nobody has learned how the grinder answers: its spread as a share of the usual slope is in the prior of the advice. */
  slopeSdLeast: 0.05,
} as const;

/** When to act: tuned on `npm run bench:day`, against false moves. */
export const CRAFT = {
  /** As surely as this the middle lies outside the tolerance: a drift, also where no step of the grinder comes nearer. */
  driftsFrom: 0.62,
  /** A move is worth it that brings so many more of the next shots inside the tolerance; */
  gainFrom: 0.06,
  /** where it is less than so sure that the middle lies outside, so many more. */
  movesFrom: 0.25,
  surelyFrom: 0.15,
  /** As surely as this it may: pull another before anybody touches anything. */
  checkFrom: 0.3,
  /** As surely as this the last shot was odd. */
  oddFrom: 0.55,
  /** A run is so many shots, none of them known to be spoilt, on one side of the card's time. */
  runShots: 2,
  /** A move did not help where what it brought is this many spreads short of half of what it should have. */
  unhelpedSpreads: 1.3,
  /** Two that did not help: the recipe is to be found again. */
  unhelpedMoves: 2,
  /** A dose that crept by as much, g, and by as many spreads, at unchanged seconds. */
  doseCreep: { grams: 0.3, spreads: 2.5, shots: 4 },
  /** Nobody set limits: so many usual moves a day. */
  usualMovesPerDay: 6,
} as const;
