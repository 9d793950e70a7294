export interface Limit {
  min: number;
  max: number;
}

/**
 * What a shot, a recipe or an aim can hold at all: one table for forms, the line, the API, the advice and the database.
 * Wide enough for every basket, lever and mistake of the hand that really was poured; beyond it a figure is a slip of the
 * finger. Keys carry their units.
 */
export const LIMITS = {
  /** Any scale a grinder may have; each grinder's own is narrower. */
  grind: { min: -1000, max: 10_000 },
  doseGrams: { min: 1, max: 60 },
  grindSeconds: { min: 0.1, max: 120 },
  yieldGrams: { min: 1, max: 500 },
  cupGrams: { min: 1, max: 250 },
  /** A glass read to its crema holds half as much again as it weighs. */
  yieldMl: { min: 2, max: 750 },
  temperatureC: { min: 60, max: 100 },
  /** A choked shot may drip for a quarter of an hour before somebody stops it. */
  timeSeconds: { min: 1, max: 900 },
  firstDripSeconds: { min: 0, max: 900 },
  /** Soak, covering, ten grams, contact: each a part of a shot, or all of it. */
  phaseSeconds: { min: 0, max: 900 },
  /** How many times as late as the basket was covered a soak ends. */
  soakByCover: { min: 1, max: 6 },
  /** Of a pre-brew valve in thirty seconds. */
  valveGrams: { min: 0, max: 500 },
  unlevelledGrams: { min: 0, max: 100 },
  /** Of a room somebody stands in. */
  roomC: { min: -20, max: 60 },
  humidityPercent: { min: 0, max: 100 },
  windowSeconds: { min: 5, max: 120 },
  toleranceSeconds: { min: 0.5, max: 30 },
  /** What may be turned at once, or in a day, in units of the grinder. */
  turnUnits: { min: 0.01, max: 10_000 },
  /** Of a card's yield in one cup. */
  cardShare: { min: 0.1, max: 4 },
  cupMl: { min: 15, max: 1000 },
  /** Milk or water in a cup. */
  partMl: { min: 0, max: 1000 },
  /** What the closed loop waits for. */
  keeperShots: { min: 3, max: 50 },
  /** How often something is cleaned. */
  careDays: { min: 1, max: 1000 },
  careShots: { min: 1, max: 100_000 },
  careKg: { min: 1, max: 10_000 },
  /** What a hopper holds at most. */
  thrownGrams: { min: 0, max: 5000 },
  tdsPercent: { min: 0.1, max: 30 },
  /** Sour to bitter, thin to heavy. */
  taste: { min: -3, max: 3 },
  dryness: { min: 0, max: 3 },
  mark: { min: 0, max: 10 },
} as const satisfies Record<string, Limit>;

/** Signs on one shot, spurts of every hour included. */
export const MOST_SIGNS = 20;

/** No coffee gives more of itself than this to water, however long: about three tenths of it are soluble. */
export const MOST_EXTRACTED_PERCENT = 30;
