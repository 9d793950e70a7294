import type { ValidAdviceRequest } from '../contract/request';
import { expectedCup } from './beans';
import { asMostWouldMark, HARSH, markingFor, type MarkedCup } from './marking';
import type { LikingScaleName } from './likingScale';
import type { Pour } from './pour';

/** Every mark read by all the others: by itself it cannot tell a strict tongue from a poor cup, so it has no say in its own reading. */
export function readMarks(request: ValidAdviceRequest, pours: Pour[]): Pour[] {
  const { flatness } = expectedCup(request.coffee);
  const readOn = (scale: LikingScaleName): (number | null)[] => {
    const before = markingFor(scale, request.taster?.[scale], flatness);
    const cups = pours.map((pour) => markedCup(request.target, pour, scale));
    return pours.map(({ taste }, i) => {
      const mark = taste?.[scale] ?? null;
      if (mark === null) return null;
      const others = cups.flatMap((cup, k) => (cup === null || k === i ? [] : [cup]));
      return asMostWouldMark(scale, before, others, mark);
    });
  };
  const overall = readOn('overall');
  const sweetness = readOn('sweetness');
  return pours.map((pour, i) => ({ ...pour, marks: { overall: overall[i]!, sweetness: sweetness[i]! } }));
}

/** A cup that tells how its taster marks; null where it was not placed on the scales and marked, or was harsh. */
function markedCup(target: ValidAdviceRequest['target'], pour: Pour, scale: LikingScaleName): MarkedCup | null {
  const { balance, body, dryness, [scale]: mark } = pour.taste ?? {};
  if (!pour.sound || balance == null || mark == null || (dryness ?? 0) >= HARSH) return null;
  return { off: balance - target.balance, thick: (body ?? target.body) - target.body, mark };
}
