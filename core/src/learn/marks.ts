import { fitMarking, HARSH, strangersMarking } from '../belief/marking';
import type { LikingScaleName } from '../belief/likingScale';
import type { LearnedMarks, LearnedTaster } from '../contract/request';

/** Fewer marked cups say nothing of a person. */
export const FEWEST_TASTINGS = 5;

/** A cup somebody placed on the scales, marked of ten, or both. */
export interface Marked {
  balance?: number | null;
  body?: number | null;
  dryness?: number | null;
  overall?: number | null;
  sweetness?: number | null;
}

/** A best mark above this says that a person leaves room for nothing. */
const HIGHEST_BEST = 12;

/**
 * How one person uses a scale of ten, from cups they placed on the scales and marked: mark = best − loss · (distance −
 * 0.2), the distance of the advice's own model.
 * @param at where this person likes balance and body best
 * @returns null with fewer than five marked cups
 */
export function marksOf(tastings: readonly Marked[], at = { balance: 0, body: 0 }): LearnedTaster | null {
  const usable = tastings.filter(({ balance, dryness }) => balance != null && (dryness ?? 0) < HARSH);
  const marks = (scale: LikingScaleName): LearnedMarks | null => {
    const cups = usable.flatMap(({ balance, body, [scale]: mark }) => {
      if (mark == null) return [];
      return [{ mark, off: balance! - at.balance, thick: (body ?? at.body) - at.body }];
    });
    if (cups.length < FEWEST_TASTINGS) return null;
    const { best, loss } = fitMarking(scale, cups, strangersMarking(scale));
    // Who marks poor cups highest would get a line that leaves the scale.
    const onScale = Math.min(HIGHEST_BEST, Math.max(0, best.mean));
    return { best: rounded({ ...best, mean: onScale }), loss: rounded(loss), cups: cups.length };
  };
  const overall = marks('overall');
  const sweetness = marks('sweetness');
  return overall || sweetness ? { overall, sweetness } : null;
}

function rounded({ mean, sd }: { mean: number; sd: number }): { mean: number; sd: number } {
  return { mean: Number(mean.toFixed(2)), sd: Number(sd.toFixed(2)) };
}
