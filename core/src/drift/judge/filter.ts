import type { FreedShot } from './freed';
import { NOISE } from './noise';

/** The shift is believed on a grid of ln time, from −EDGE to EDGE. */
const STEP = 0.015;
const EDGE = 0.51;
const CELLS = Math.round((2 * EDGE) / STEP) + 1;
const AT = Array.from({ length: CELLS }, (_, i) => i * STEP - EDGE);

/** What is believed of the hidden shift: weights over the grid that sum to one. */
export type Shift = number[];

/** Plain arrays of doubles: a typed one costs more to make than to fill. */
const BLANK: Shift = Array.from({ length: CELLS }, () => 0.5);

function blank(): Shift {
  return BLANK.slice();
}

export function normalShift(mean: number, sd: number): Shift {
  const spread = Math.max(sd, STEP / 2);
  const to = blank();
  for (let i = 0; i < CELLS; i += 1) to[i] = bell((AT[i]! - mean) / spread);
  return normalized(to);
}

function normalized(weights: Shift): Shift {
  let sum = 0;
  for (let i = 0; i < CELLS; i += 1) sum += weights[i]!;
  for (let i = 0; i < CELLS; i += 1) weights[i]! /= sum;
  return weights;
}

export function meanOf(shift: Shift): number {
  let mean = 0;
  for (let i = 0; i < CELLS; i += 1) mean += shift[i]! * AT[i]!;
  return mean;
}

export function sdOf(shift: Shift): number {
  const mean = meanOf(shift);
  let variance = 0;
  for (let i = 0; i < CELLS; i += 1) variance += shift[i]! * (AT[i]! - mean) ** 2;
  return Math.sqrt(variance);
}

/** The value below which so large a part of the belief lies, between two cells of the grid. */
export function quantileOf(shift: Shift, part: number): number {
  let below = 0;
  for (let i = 0; i < CELLS; i += 1) {
    const next = below + shift[i]!;
    if (next >= part) return AT[i]! - STEP / 2 + (STEP * (part - below)) / Math.max(shift[i]!, 1e-12);
    below = next;
  }
  return EDGE;
}

/** How surely the shift lies below, and how surely above. */
export function beyond(shift: Shift, low: number, high: number): { below: number; above: number } {
  let [below, above] = [0, 0];
  for (let i = 0; i < CELLS; i += 1) {
    // A cell that an edge cuts counts in part.
    below += shift[i]! * share((low - AT[i]!) / STEP + 0.5);
    above += shift[i]! * share((AT[i]! - high) / STEP + 0.5);
  }
  return { below, above };
}

/** The share of shots between two times that are to be expected, where pucks stray by `puckSd`. */
export function shareBetween(shift: Shift, low: number, high: number, puckSd: number): number {
  let sum = 0;
  for (let i = 0; i < CELLS; i += 1) {
    sum += shift[i]! * (cumulative((high - AT[i]!) / puckSd) - cumulative((low - AT[i]!) / puckSd));
  }
  return sum;
}

/** Standard normal distribution function, by the logistic one: within 0.01. */
function cumulative(z: number): number {
  return 1 / (1 + Math.exp(-1.702 * z));
}

function share(value: number): number {
  return Math.min(1, Math.max(0, value));
}

/** Moved by so much, with so much doubt: what a turn of the grind does, or the air. */
export function moved(shifts: readonly Shift[], by: number, sd: number): Shift[] {
  const kernel = kernelOf(by, sd);
  return shifts.map((shift) => {
    const to = blank().fill(0);
    for (let k = 0; k < kernel.weights.length; k += 1) {
      const j = kernel.from + k;
      const weight = kernel.weights[k]!;
      const end = Math.min(CELLS, CELLS - j);
      for (let i = Math.max(0, -j); i < end; i += 1) to[i + j]! += weight * shift[i]!;
    }
    return normalized(to);
  });
}

/** How much of a cell goes how many cells further. A spread finer than the grid is kept in its variance. */
function kernelOf(by: number, sd: number): { from: number; weights: number[] } {
  const cells = by / STEP;
  const whole = Math.round(cells);
  const spread = sd / STEP;
  if (spread < 1) {
    // Three cells that have this mean and variance.
    const rest = cells - whole;
    const square = Math.min(1, spread ** 2 + rest ** 2);
    const [down, up] = [Math.max(0, (square - rest) / 2), Math.max(0, (square + rest) / 2)];
    return { from: whole - 1, weights: [down, 1 - down - up, up] };
  }
  const reach = Math.ceil(3.5 * spread);
  const from = whole - reach;
  return { from, weights: Array.from({ length: 2 * reach + 1 }, (_, i) => bell((from + i - cells) / spread)) };
}

/** With this probability it jumped, to somewhere around where it was. */
export function jumped(shifts: readonly Shift[], probability: number, sd: number): Shift[] {
  const wide = normalShift(meanOf(shifts[0]!), sd);
  return shifts.map((shift) => {
    const to = blank();
    for (let i = 0; i < CELLS; i += 1) to[i] = (1 - probability) * shift[i]! + probability * wide[i]!;
    return to;
  });
}

/** Standard normal density times √2π, from a table: hundreds of thousands are asked for in a day. */
const A_TABLE_UNIT = 200;
const TABLE_LENGTH = 1200;
const TABLE = Array.from({ length: TABLE_LENGTH }, (_, i) => Math.exp(-0.5 * (i / A_TABLE_UNIT) ** 2));

function bell(z: number): number {
  const at = Math.floor(Math.abs(z) * A_TABLE_UNIT + 0.5);
  return at < TABLE_LENGTH ? TABLE[at]! : 0;
}

/** However far off a shot is, it is possible under every shift, and says nothing then. */
const ANYTHING = 1e-6;

/** What a shot says of every shift, for several spreads of the puck: now and then it is odd and says nearly nothing. */
export function likelihoods(shot: FreedShot, puckSds: readonly number[]): Shift[] {
  const odd = NOISE.oddShare[shot.doubt];
  const stray = blank();
  const taste = blank().fill(1);
  for (let i = 0; i < CELLS; i += 1) {
    stray[i] = ANYTHING + (odd / NOISE.odd.sd) * bell((shot.log - AT[i]! - NOISE.odd.mean) / NOISE.odd.sd);
    if (shot.balance !== null) taste[i] = tasteLikelihood(shot.balance, AT[i]!);
  }
  return puckSds.map((puckSd) => {
    const sd = Math.hypot(puckSd, shot.addedSd);
    const own = (1 - odd) / sd;
    const said = blank();
    for (let i = 0; i < CELLS; i += 1) {
      said[i] = (own * bell((shot.log - AT[i]!) / sd) + stray[i]!) * taste[i]!;
    }
    return said;
  });
}

/** A cup that tastes sour speaks for a time that is short; people differ, so it says little. */
function tasteLikelihood(balance: number, u: number): number {
  const { pointsPerLog, sd } = NOISE.taste;
  return 0.3 + bell((balance - pointsPerLog * u) / sd);
}

/** How surely a shot was odd, given where the shift is believed. */
export function oddness(shift: Shift, shot: FreedShot, puckSd: number): number {
  const sd = Math.hypot(puckSd, shot.addedSd);
  const odd = NOISE.oddShare[shot.doubt];
  let [own, stray] = [0, ANYTHING];
  for (let i = 0; i < CELLS; i += 1) {
    const off = shot.log - AT[i]!;
    own += shift[i]! * bell(off / sd) * ((1 - odd) / sd);
    stray += shift[i]! * bell((off - NOISE.odd.mean) / NOISE.odd.sd) * (odd / NOISE.odd.sd);
  }
  return stray / (own + stray);
}

/** What was believed, after a shot; and how probable that shot was. */
export function learned(shift: Shift, said: Shift): { shift: Shift; evidence: number } {
  const product = blank();
  let evidence = 0;
  for (let i = 0; i < CELLS; i += 1) {
    product[i] = shift[i]! * said[i]!;
    evidence += product[i]!;
  }
  return { shift: normalized(product), evidence };
}

/** Several beliefs as one, each as far as it has been right. */
export function blended(shifts: readonly Shift[], weights: readonly number[]): Shift {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const blend = blank().fill(0);
  for (const [j, shift] of shifts.entries()) {
    for (let i = 0; i < CELLS; i += 1) blend[i]! += (weights[j]! / sum) * shift[i]!;
  }
  return blend;
}
