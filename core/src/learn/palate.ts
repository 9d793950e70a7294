import { HARSH } from '../belief/marking';
import type { LearnedTaster } from '../contract/request';
import { FEWEST_TASTINGS, marksOf, type Marked } from './marks';

/** Where on the balance and body scales one person likes a cup best. */
export interface Palate {
  balance: number;
  body: number;
  /** Spread of both, on the same scales. */
  balanceSd: number;
  bodySd: number;
  tastings: number;
  /** How this person uses the scales of ten. */
  marks: LearnedTaster | null;
}

/** People want what the scale calls balanced, give or take this. */
const USUAL_SD = 0.5;
/** What an overall mark says of a liking: tongue, mood and day together. */
const OVERALL_SD = 1;
/** Overall marks lost per unit of distance from the wanted cup. */
const LOSS = 1.4;
const BODY_WEIGHT = 0.5;
/** Marks of a perfect cup before this person gave any. */
const BEST = { mean: 8, sd: 1 };
const REACH = 2;
const GRID = 0.1;

/**
 * A person's own target from cups they placed on the scales and marked overall: overall = best − 1.4·√(Δbalance² +
 * ½Δbody²) with normal error. Posterior means over a grid of targets, the person's own best mark integrated out in closed
 * form.
 * @returns null with fewer than five marked cups
 */
export function palateOf(tastings: readonly Marked[]): Palate | null {
  const marked = tastings.flatMap(({ balance, body, overall, dryness }) =>
    balance == null || overall == null || (dryness ?? 0) >= HARSH ? [] : [{ balance, body: body ?? 0, overall }],
  );
  if (marked.length < FEWEST_TASTINGS) return null;
  const steps = Math.round(REACH / GRID);
  const cells: { balance: number; body: number; log: number }[] = [];
  for (let i = -steps; i <= steps; i += 1) {
    for (let j = -steps; j <= steps; j += 1) {
      const balance = i * GRID;
      const body = j * GRID;
      cells.push({ balance, body, log: logPosterior(marked, balance, body) });
    }
  }
  const top = Math.max(...cells.map(({ log }) => log));
  const weighed = cells.map((cell) => ({ ...cell, weight: Math.exp(cell.log - top) }));
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const moments = (axis: 'balance' | 'body') => {
    const mean = weighed.reduce((sum, cell) => sum + cell.weight * cell[axis], 0) / total;
    const square = weighed.reduce((sum, cell) => sum + cell.weight * (cell[axis] - mean) ** 2, 0) / total;
    return { mean: Number(mean.toFixed(2)), sd: Number(Math.sqrt(square).toFixed(2)) };
  };
  const balance = moments('balance');
  const body = moments('body');
  return {
    balance: balance.mean,
    body: body.mean,
    balanceSd: balance.sd,
    bodySd: body.sd,
    tastings: marked.length,
    marks: marksOf(tastings, { balance: balance.mean, body: body.mean }),
  };
}

function logPosterior(
  marked: readonly { balance: number; body: number; overall: number }[],
  balance: number,
  body: number,
): number {
  // With r the marks plus their losses, r ~ N(best, σ²) and best ~ N(μ, τ²): sums of squares suffice.
  let sum = 0;
  let squares = 0;
  for (const cup of marked) {
    const away = Math.sqrt((cup.balance - balance) ** 2 + BODY_WEIGHT * (cup.body - body) ** 2);
    const r = cup.overall + LOSS * away - BEST.mean;
    sum += r;
    squares += r * r;
  }
  const variance = OVERALL_SD ** 2;
  const fit = squares / variance - sum ** 2 / variance / (variance / BEST.sd ** 2 + marked.length);
  return -0.5 * (fit + (balance / USUAL_SD) ** 2 + (body / USUAL_SD) ** 2);
}
