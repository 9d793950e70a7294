import { drawNormal, type Random, type TrueTaste } from '../../core/src/index';
import { brewSettings, findRight, slopeAt, type Game } from './worlds';

/** The barista is a stranger, or Olvet has seen some of this person's cups before; or a stranger who marks everything lower. */
export const TASTERS = ['strangers', 'known', 'strict'] as const;
/** Points of ten by which a strict stranger marks lower. */
export const STRICT_BY = 2;

/** Four dial-ins of five cups, of other coffees that this person marks a little higher or lower at their best. */
const EARLIER = { dialIns: 4, cups: 5, bestSd: 0.35 };
/** How far such cups lie from the right recipe: ln of the time by grind, and ln of the yield. */
const ASTRAY = { logTime: 0.12, logYield: 0.06 };

/** What this world's barista placed and marked before today. */
export function earlierCups(random: Random, game: Game): TrueTaste[] {
  const right = findRight(game)!;
  const slope = slopeAt(game, right);
  const unlike = (): number => drawNormal(random, 0, EARLIER.bestSd);
  const today = unlike();
  return Array.from({ length: EARLIER.dialIns }, () => unlike() - today).flatMap((higher) =>
    Array.from({ length: EARLIER.cups }, () => {
      const { taste } = game.world.pull({
        settings: brewSettings({
          ...right,
          grind: right.grind + drawNormal(random, 0, ASTRAY.logTime) / slope,
          yieldGrams: right.yieldGrams * Math.exp(drawNormal(random, 0, ASTRAY.logYield)),
        }),
        barista: game.barista,
        previousGrind: null,
        drift: 1,
        random,
      });
      const mark = (value: number): number => Math.min(10, Math.max(0, Math.round(2 * (value + higher)) / 2));
      return { ...taste, overall: mark(taste.overall), sweetness: mark(taste.sweetness) };
    }),
  );
}
