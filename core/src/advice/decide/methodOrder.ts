import type { Lever } from '../../method/Method';
import type { Move } from '../lookahead/moves';
import type { Outlook } from '../../belief/particles';

/**
 * A lever keeps its turn in its method's order while it leads as much of the way nearer as this, of what any other would: by the first
 * cup in the window, and by the second. From the third on enough is known to choose by what each would bring, and the order is only a price.
 */
const ENOUGH_BY_CUP = [0.5, 0.8];
/** Heat is the last lever where a method puts it last: it waits for one that leads as much of the way nearer, tried before or not. */
const HEAT_WAITS = 0.75;
/** Of one lever the moves are left that do nearly as much as its best: no timid steps where the cup is far off. */
const NEARLY = 0.75;
/** Grind is turned for the taste while the time stays in the window by this much. */
const STAYS_INSIDE = 0.6;

/** A move with what the order of a method asks of its outlook. */
interface Candidate {
  move: Pick<Move, 'lever'>;
  outlook: Pick<Outlook, 'distance' | 'windowShare'>;
}

/**
 * A method's levers in its order: each is turned before the next is thought of, if it leads nearer to the wanted cup by nearly as much
 * as any other would, and grind only as far as the window lets it. Once tried for the taste it competes with the next. Half a
 * gram is as much as dose is moved by at once, so the first time it need not do as much.
 *
 * @param cups tasted so far, of shots that poured in time, and not counting the one that heat answered where a method begins with it
 * @param isDone whether a lever had its turn
 * @param distance of the cup at these settings from the wanted one, in tolerances
 * @param levers the plan's, in the method's order
 * @returns the choices left, never none of some
 */
export function inMethodOrder<T extends Candidate>(
  cups: number,
  isDone: (lever: Lever) => boolean,
  distance: number,
  choices: readonly T[],
  levers: readonly Lever[],
): T[] {
  const gainOf = ({ outlook }: T): number => distance - outlook.distance;
  const best = Math.max(...choices.map(gainOf));
  if (best <= 0) return [...choices];
  // Heat that comes last is no measure for the first lever: nobody would turn it yet.
  const isMeasure = ({ move }: T): boolean => cups > 1 || move.lever !== 'temperature' || levers[0] === 'temperature';
  const measure = Math.max(...choices.filter(isMeasure).map(gainOf));
  const least = (ENOUGH_BY_CUP[Math.max(1, cups) - 1] ?? Infinity) * (measure > 0 ? measure : best);
  const isEnough = (choice: T, gain: number): boolean => {
    const { move, outlook } = choice;
    if (move.lever === 'grind' && outlook.windowShare < STAYS_INSIDE) return false;
    return gainOf(choice) >= (move.lever === 'dose' && !isDone('dose') ? 0 : gain);
  };
  const open: T[] = [];
  for (const [place, lever] of levers.entries()) {
    const own = choices.filter(({ move }) => move.lever === lever);
    const before: (Lever | null)[] = levers.slice(0, place);
    const waitsFor = (choice: T): boolean => before.includes(choice.move.lever) && isEnough(choice, HEAT_WAITS * best);
    if (lever === 'temperature' && choices.some(waitsFor)) continue;
    const enough = isDone(lever) ? [] : own.filter((choice) => isEnough(choice, least));
    const most = Math.max(...enough.map(gainOf));
    if (enough.length > 0) return [...open, ...enough.filter((choice) => gainOf(choice) >= NEARLY * most)];
    open.push(...own);
  }
  return open;
}
