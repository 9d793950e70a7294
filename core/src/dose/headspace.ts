import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import type { Roast } from '../brew/types';
import { requirePositive } from '../brew/requirePositive';

/** What the thin coin left in the tamped bed after locking in and out. */
export const PRINTS = ['deep', 'faint', 'none'] as const;
export type Print = (typeof PRINTS)[number];

/** What the spent puck says afterwards; weaker than a print. */
export const PUCK_CHECKS = ['imprint', 'firm', 'soupy'] as const;
export type PuckCheck = (typeof PUCK_CHECKS)[number];

export interface Weighing {
  grams: number;
  print?: Print | null;
  puck?: PuckCheck | null;
}

export interface DoseQuestion {
  nominalGrams: number;
  roast: Roast;
  /** Nothing is proposed outside these, g. */
  minGrams: number;
  maxGrams: number;
  weighings: readonly Weighing[];
}

export interface DoseFinding {
  /** Best estimate of the dose that fills this basket, g. */
  grams: number;
  /** Half-width that holds the right dose in 19 of 20 cases, g. */
  toleranceGrams: number;
  /** Close enough to stop: within ±0.3 g in 19 of 20 cases. */
  done: boolean;
  /** What to weigh next, or null when done. */
  nextGrams: number | null;
  /** The answers contradict each other beyond a misread print. */
  contradictory: boolean;
}

/**
 * Grams in the same height against a medium roast: lighter beans are denser (ordinary practice, about 2 % a step).
 */
export const ROAST_DENSITY: Record<Roast, number> = {
  light: 1.04,
  'medium-light': 1.02,
  medium: 1,
  'medium-dark': 0.97,
  dark: 0.94,
};

/** A number on the rim is an upper limit on many baskets, so the guess begins below it. */
const BELOW_NOMINAL_GRAMS = 0.4;
const PRIOR_SD_GRAMS = 1.1;
/**
 * A gram is about 0.85 mm of tamped bed in an ordinary double basket (0.45 g/ml over 26 cm²); up to a quarter of a
 * millimetre reads as faint.
 */
const FAINT_HALF_GRAMS = 0.3;
const READING_SD_GRAMS = 0.15;
/** A wet puck tells much less: it swells, and it may crack on the way out. */
const PUCK_HALF_GRAMS = 0.9;
const PUCK_SD_GRAMS = 0.5;
/** One answer in forty is simply wrong: a coin laid on a slope, a puck knocked. */
const MISREAD = 0.025;
const GRID_GRAMS = 0.05;
const GRID_POINTS = Math.round((8 * PRIOR_SD_GRAMS) / GRID_GRAMS);
const WANTED_GRAMS = 0.3;
const WANTED_SURE = 0.95;

/**
 * Finds the dose that fills a basket from coin prints, by Bayes on a grid: each weighing is chosen to leave the least
 * expected doubt, which is a bisection that knows about faint prints and misreadings.
 * @throws RangeError when the nominal size is not positive
 */
export function findDose(question: DoseQuestion): DoseFinding {
  const { nominalGrams, roast, minGrams, maxGrams, weighings } = question;
  requirePositive('findDose', { nominalGrams });
  const middle = (nominalGrams - BELOW_NOMINAL_GRAMS) * ROAST_DENSITY[roast];
  const grid = gridAround(middle);
  let belief = normalised(grid.map((grams) => Math.exp(-0.5 * ((grams - middle) / PRIOR_SD_GRAMS) ** 2)));
  for (const weighing of weighings) {
    belief = normalised(belief.map((share, i) => share * likelihoodOf(weighing, grid[i]!)));
  }
  const grams = sumOf(belief.map((share, i) => share * grid[i]!));
  const toleranceGrams = Math.max(0.1, halfWidth(grid, belief, grams));
  const done = sureWithin(grid, belief, grams, WANTED_GRAMS) >= WANTED_SURE;
  return {
    grams: Math.round(grams * 10) / 10,
    toleranceGrams: Math.round(toleranceGrams * 10) / 10,
    done,
    nextGrams: done ? null : bestNext(grid, belief, { minGrams, maxGrams }),
    contradictory: isContradictory(weighings),
  };
}

/** Without a scale: overfilled, levelled, struck with a straight edge. Repeatable to a few tenths, nothing more. */
export function strikeLevelDose(nominalGrams: number, roast: Roast): { grams: number; toleranceGrams: number } {
  requirePositive('strikeLevelDose', { nominalGrams });
  const grams = Math.round((nominalGrams - BELOW_NOMINAL_GRAMS) * ROAST_DENSITY[roast] * 10) / 10;
  // The unknown bed height counts as well as the hand.
  return { grams, toleranceGrams: 1 };
}

/** Scatter of one dose struck level by hand, g (ordinary practice: a few tenths). */
export const STRIKE_SD_GRAMS = 0.4;
/** Scatter of a yield read in a marked glass: 5 ml marks and a crema that settles, g. */
export const GLASS_SD_GRAMS = 3;

/** No print at a heavier dose than one that left a deep print, by more than a reading may be off. */
function isContradictory(weighings: readonly Weighing[]): boolean {
  const gramsAt = (wanted: Print): number[] =>
    weighings.filter(({ print }) => print === wanted).map(({ grams }) => grams);
  return Math.max(...gramsAt('none'), -Infinity) - Math.min(...gramsAt('deep'), Infinity) > 2 * READING_SD_GRAMS;
}

function likelihoodOf({ grams, print, puck }: Weighing, right: number): number {
  const over = grams - right;
  let likelihood = 1;
  if (print) likelihood *= softened(threeWays(over, FAINT_HALF_GRAMS, READING_SD_GRAMS)[PRINTS.indexOf(print)]!);
  if (puck) likelihood *= softened(threeWays(over, PUCK_HALF_GRAMS, PUCK_SD_GRAMS)[PUCK_CHECKS.indexOf(puck)]!);
  return likelihood;
}

/** Probabilities of too much, about right, too little. */
function threeWays(over: number, half: number, sd: number): [number, number, number] {
  const much = normalCdf((over - half) / sd, 0, 1);
  const little = normalCdf((-over - half) / sd, 0, 1);
  return [much, Math.max(0, 1 - much - little), little];
}

function softened(probability: number): number {
  return MISREAD + (1 - 3 * MISREAD) * probability;
}

/** Chances of the three prints for every whole number of grid steps over the right dose, deep to none. */
const PRINT_CHANCES = Array.from({ length: 2 * GRID_POINTS + 1 }, (_, i) =>
  threeWays((i - GRID_POINTS) * GRID_GRAMS, FAINT_HALF_GRAMS, READING_SD_GRAMS).map(softened),
);

/** The weighing that leaves the least spread on average over its three answers. */
function bestNext(grid: number[], belief: number[], limits: { minGrams: number; maxGrams: number }): number {
  const inside = (grams: number): number => Math.min(limits.maxGrams, Math.max(limits.minGrams, grams));
  const low = quantileIndex(belief, 0.02);
  const high = quantileIndex(belief, 0.98);
  let best = low;
  let least = Infinity;
  for (let k = low; k <= high; k += 2) {
    if (inside(grid[k]!) !== grid[k]) continue;
    let doubt = 0;
    for (let a = 0; a < 3; a += 1) {
      let [total, first, second] = [0, 0, 0];
      belief.forEach((share, i) => {
        const joint = share * PRINT_CHANCES[k - i + GRID_POINTS]![a]!;
        total += joint;
        first += joint * grid[i]!;
        second += joint * grid[i]! ** 2;
      });
      doubt += second - first ** 2 / total;
    }
    if (doubt < least - 1e-9) {
      least = doubt;
      best = k;
    }
  }
  return inside(Math.round(grid[best]! * 10) / 10);
}

function gridAround(middle: number): number[] {
  return Array.from({ length: GRID_POINTS + 1 }, (_, i) => middle - 4 * PRIOR_SD_GRAMS + i * GRID_GRAMS);
}

function quantileIndex(belief: number[], share: number): number {
  let sum = 0;
  const index = belief.findIndex((weight) => (sum += weight) >= share);
  return index < 0 ? belief.length - 1 : index;
}

function halfWidth(grid: number[], belief: number[], centre: number): number {
  let half = 0;
  while (half < 5 && sureWithin(grid, belief, centre, half) < WANTED_SURE) half += GRID_GRAMS;
  return half;
}

function sureWithin(grid: number[], belief: number[], centre: number, half: number): number {
  return sumOf(belief.filter((_, i) => Math.abs(grid[i]! - centre) <= half + 1e-9));
}

function normalised(weights: number[]): number[] {
  const total = sumOf(weights);
  return weights.map((weight) => weight / total);
}

function sumOf(values: number[]): number {
  return values.reduce((sum, value) => sum + value, 0);
}
