import { LIKING, type LikingScaleName } from './likingScale';
import type { LearnedMarks } from '../contract/request';

/** An unknown number, believed to be normal. */
interface Guess {
  mean: number;
  sd: number;
}

/** How a person uses a scale of ten: a cup so far from the wanted one is marked best − loss · distance. */
export interface Marking {
  best: Guess;
  loss: Guess;
}

/** A harsh cup is marked down for its harshness, whatever its balance. */
export const HARSH = 1;

/** Points by which a tongue's word strays from the cup, and how far cups lie from what is wanted. */
const TONGUE_SD = 0.44;
const CUPS_SD = 1.2;
/** What a mark strays by beside the doubt of the cup: tongue, mood and day. */
const MARK_SD = 0.6;
/** What a point away costs most people, and what is left open of somebody who never marked a cup (docs/model.md). */
const USUAL_LOSS = { mean: 1.54, sd: 0.555 };
const STRANGERS_BEST_SD = 1.2;
/** Another coffee at its best is marked a little differently by the same person; a point away costs another share [assumed]. */
const BETWEEN_COFFEES = { best: 0.35, lossShare: 0.15 };
/** Of so many other cups, and of so much less than expected, a strict tongue is known. */
const STRICT = { cups: 2, lessBy: 0.5 };
/** So far may the other cups lift a mark: a delight is said, not worked out. */
const GLAD_AT_MOST = 8.5;
/** Nodes and weights of Gauss–Hermite quadrature of order 5 for a standard normal. */
const NODES = [
  [-2.85697, 0.011257],
  [-1.355626, 0.222076],
  [0, 0.533333],
  [1.355626, 0.222076],
  [2.85697, 0.011257],
] as const;

/** A cup as a tongue placed it, and its mark of ten. */
export interface MarkedCup {
  /** Said balance and body against the wanted ones, points. */
  off: number;
  thick: number;
  mark: number;
}

/** What is believed of somebody who never marked a cup: people use a scale of ten very differently. */
export function strangersMarking(scale: LikingScaleName): Marking {
  return { best: { mean: LIKING[scale].usualBest, sd: STRANGERS_BEST_SD }, loss: USUAL_LOSS };
}

/**
 * The same before the first cup of a dial-in: by this person's earlier cups, where they tell more than is known of a stranger.
 * @param flatness how much lower than usual this coffee's best cup is marked
 */
export function markingFor(
  scale: LikingScaleName,
  learned: LearnedMarks | null | undefined,
  flatness: number,
): Marking {
  const { best, loss } = strangersMarking(scale);
  const known: Marking = learned
    ? {
        best: { mean: learned.best.mean, sd: Math.hypot(learned.best.sd, BETWEEN_COFFEES.best) },
        loss: {
          mean: learned.loss.mean,
          sd: Math.hypot(learned.loss.sd, BETWEEN_COFFEES.lossShare * learned.loss.mean),
        },
      }
    : { best, loss };
  const isBestKnown = known.best.sd < best.sd;
  const isLossKnown = known.loss.sd / known.loss.mean < loss.sd / loss.mean;
  const ofBest = isBestKnown ? known.best : best;
  return { best: { ...ofBest, mean: ofBest.mean - flatness }, loss: isLossKnown ? known.loss : loss };
}

/**
 * Bayesian straight line mark = best − loss · away: two normal unknowns, the conjugate closed form. What a tongue says of a
 * cup is not the cup, so each mark is set against the distance expected given what was said (regression on that
 * expectation is unbiased).
 */
export function fitMarking(scale: LikingScaleName, cups: readonly MarkedCup[], prior: Marking): Marking {
  let a = prior.best.sd ** -2;
  let b = 0;
  let d = prior.loss.sd ** -2;
  let u = prior.best.mean * a;
  let v = prior.loss.mean * d;
  for (const { off, thick, mark } of cups) {
    const away = distanceSaid(off, thick, LIKING[scale].bodyWeight);
    const weight = 1 / (MARK_SD ** 2 + prior.loss.mean ** 2 * away.variance);
    a += weight;
    b -= weight * away.mean;
    d += weight * away.mean ** 2;
    u += weight * mark;
    v -= weight * away.mean * mark;
  }
  const determinant = a * d - b * b;
  return {
    best: { mean: (d * u - b * v) / determinant, sd: Math.sqrt(d / determinant) },
    loss: { mean: Math.max(0.2, (a * v - b * u) / determinant), sd: Math.sqrt(a / determinant) },
  };
}

/**
 * The mark that most people would have given a cup that this person marks so, in halves, 0–10: what is served, and what lacks something,
 * is told by it. Half a mark of one who spreads them wide is less than half a mark of one who does not.
 *
 * @param before how this person was known to mark before the dial-in
 * @param others the other cups of the dial-in: who calls cups even and marks them five is strict, and means well by a five. That somebody is kind they
 * cannot show, because cups may be better than a tongue called them
 */
export function asMostWouldMark(
  scale: LikingScaleName,
  before: Marking,
  others: readonly MarkedCup[],
  mark: number,
): number {
  const asUsual = ({ best, loss }: Marking): number =>
    LIKING[scale].usualBest - (USUAL_LOSS.mean * (best.mean - mark)) / loss.mean;
  const known = mark + inHalves(asUsual(before) - mark);
  const isTold = others.length >= STRICT.cups;
  const stricter = isTold ? inHalves(asUsual(fitMarking(scale, others, before)) - known - STRICT.lessBy) : 0;
  return Math.min(10, Math.max(0, known, Math.min(GLAD_AT_MOST, known + Math.max(0, stricter))));
}

/**
 * The other way round: what a person whose marks are known writes where most people write this mark, in halves, 0–10. A stranger writes
 * the same.
 */
export function ownMark(scale: LikingScaleName, learned: LearnedMarks | null | undefined, mark: number): number {
  const { best, loss } = markingFor(scale, learned, 0);
  const own = best.mean - ((LIKING[scale].usualBest - mark) * loss.mean) / USUAL_LOSS.mean;
  return Math.min(10, Math.max(0, mark + inHalves(own - mark)));
}

function inHalves(value: number): number {
  return Math.round(2 * value) / 2;
}

/** Mean and variance of the distance of a cup a tongue placed so far from the wanted one. */
function distanceSaid(off: number, thick: number, bodyWeight: number): { mean: number; variance: number } {
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
