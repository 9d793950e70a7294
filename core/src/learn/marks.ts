import { OVERALL, SWEETNESS } from '../advice/model';
import type { LearnedMarks, LearnedTaster } from '../advice/request';

/** Fewer marked cups say nothing of a person. */
export const FEWEST_TASTINGS = 5;
/** A harsh cup is marked down for its harshness, whatever its balance. */
export const HARSH = 1;

/** A cup somebody placed on the scales, marked of ten, or both. */
export interface Marked {
  balance?: number | null;
  body?: number | null;
  dryness?: number | null;
  overall?: number | null;
  sweetness?: number | null;
}

/** Points by which a tongue's word strays from the cup, and how far cups lie from what is wanted. */
const TONGUE_SD = 0.44;
const CUPS_SD = 1.2;
/** What a mark strays by beside the doubt of the cup: tongue, mood and day. */
const MARK_SD = 0.6;
/** Before a person gave any mark: the spread of the usual best mark, and what a point costs, as normals (docs/model.md). */
const BEST_SD = 1;
const USUAL_LOSS = { mean: 1.5, sd: 0.5 };
const SCALES = { overall: OVERALL, sweetness: SWEETNESS } as const;
/** A best mark above ten says that this person leaves room for nothing. */
const HIGHEST_BEST = 12;
/** Nodes and weights of Gauss–Hermite quadrature of order 5 for a standard normal. */
const NODES = [
  [-2.85697, 0.011257],
  [-1.355626, 0.222076],
  [0, 0.533333],
  [1.355626, 0.222076],
  [2.85697, 0.011257],
] as const;

/**
 * How one person uses a scale of ten, from cups they placed on the scales and marked: mark = best − loss · (distance −
 * 0.2), the distance of the advice's own model. What a tongue says of a cup is not the cup, so each mark is set against
 * the distance expected given what was said (regression on that expectation is unbiased); normal errors, closed form.
 * @param at where this person likes balance and body best
 * @returns null with fewer than five marked cups
 */
export function marksOf(tastings: readonly Marked[], at = { balance: 0, body: 0 }): LearnedTaster | null {
  const usable = tastings.filter(({ balance, dryness }) => balance != null && (dryness ?? 0) < HARSH);
  const marks = (scale: 'overall' | 'sweetness'): LearnedMarks | null => {
    const { bodyWeight, usualBest } = SCALES[scale];
    const cups = usable.flatMap(({ balance, body, [scale]: mark }) => {
      if (mark == null) return [];
      return [{ mark, away: distanceOf(balance! - at.balance, (body ?? at.body) - at.body, bodyWeight) }];
    });
    return cups.length < FEWEST_TASTINGS ? null : fitLine(cups, { mean: usualBest, sd: BEST_SD }, USUAL_LOSS);
  };
  const overall = marks('overall');
  const sweetness = marks('sweetness');
  return overall || sweetness ? { overall, sweetness } : null;
}

/** Mean and variance of the distance of a cup a tongue placed so far from the wanted one. */
function distanceOf(off: number, thick: number, bodyWeight: number): { mean: number; variance: number } {
  // What was said, drawn towards what cups usually are; and the doubt that is left.
  const share = CUPS_SD ** 2 / (CUPS_SD ** 2 + TONGUE_SD ** 2);
  const sd = TONGUE_SD * Math.sqrt(share);
  let mean = 0;
  let square = 0;
  for (const [x, wx] of NODES) {
    for (const [y, wy] of NODES) {
      const away = Math.sqrt((share * off + sd * x) ** 2 + bodyWeight * (share * thick + sd * y) ** 2 + 0.04) - 0.2;
      mean += wx * wy * away;
      square += wx * wy * away * away;
    }
  }
  return { mean, variance: square - mean * mean };
}

/** Bayesian straight line mark = best − loss·away: two normal unknowns, the conjugate closed form. */
function fitLine(
  cups: readonly { mark: number; away: { mean: number; variance: number } }[],
  best: { mean: number; sd: number },
  loss: { mean: number; sd: number },
): LearnedMarks {
  let a = best.sd ** -2;
  let b = 0;
  let d = loss.sd ** -2;
  let u = best.mean * a;
  let v = loss.mean * d;
  for (const { mark, away } of cups) {
    const weight = 1 / (MARK_SD ** 2 + loss.mean ** 2 * away.variance);
    a += weight;
    b -= weight * away.mean;
    d += weight * away.mean ** 2;
    u += weight * mark;
    v -= weight * away.mean * mark;
  }
  const determinant = a * d - b * b;
  const round = (value: number): number => Number(value.toFixed(2));
  // Who marks poor cups highest would get a line that leaves the scale.
  const mark = (value: number): number => Math.min(HIGHEST_BEST, Math.max(0, value));
  return {
    best: { mean: round(mark((d * u - b * v) / determinant)), sd: round(Math.sqrt(d / determinant)) },
    loss: { mean: round(Math.max(0.2, (a * v - b * u) / determinant)), sd: round(Math.sqrt(a / determinant)) },
    cups: cups.length,
  };
}
