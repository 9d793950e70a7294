import type { Lever } from '../../method/Method';
import { costOf, type Choice, type Priced } from '../lookahead/choice';
import { DIAL } from './dial';
import type { Plan } from './plan';
import { isSlower, type Outlook } from '../../belief/particles';
import { byPromise, priced } from '../lookahead/price';
import { isLongDialIn } from '../shots/inTime';
import { harmlessOf } from './sensible';
import type { Situation } from '../lookahead/situation';
import type { Problem } from '../../belief/problem';
import type { Evidence } from '../shots/evidence';
import { isWithin, tastedMiss, type TasteScale } from '../shots/taste';
import { withoutSwings } from './swings';

const SHORTLIST = 8;
const LEVERS: readonly Lever[] = ['grind', 'yield', 'temperature', 'dose'];
const BODY_LEVERS: readonly Lever[] = ['yield', 'dose'];

export interface Craft {
  /** What the craft would do next. */
  chosen: Priced;
  plan: Plan;
  /** Every legal single move with a lever, looked at. */
  lookAtMoves: (lever: Lever) => Choice[];
}

/** What is done against the order of the craft, what the craft would have done, and what else there was: all priced alike. */
export interface Overruled {
  chosen: Priced;
  craft: Priced;
  others: Priced[];
}

/**
 * The rules of the craft hold for coffees in general. Once some shots have told of this one, and another way is likelier the wanted cup and
 * saves more than the look-ahead's own noise, that way is taken, though a method would not turn that lever yet; the reasons say so.
 *
 * What each lever is for stands: the time is brought back by grind, or by dose in ratio, and by water only where the grind cannot; body alone
 * is fixed by ratio or dose. What a method holds still stays so, but for the dose where the time is brought back late. No cup that is called
 * off is led further off, and nothing swings further than the craft lets it.
 *
 * @returns null where the craft stands
 */
export function overrule(now: Situation, craft: Craft): Overruled | null {
  const { still, problem } = now;
  const { chosen, plan } = craft;
  const { heardFromShots, mustSaveShots } = DIAL[problem.order];
  if (!isLongDialIn(problem, heardFromShots) || plan.stage === 'tight') return null;
  const candidates = waysHeard(now, craft);
  const shortlist = byPromise(candidates).slice(0, SHORTLIST);
  const byRule = chosen.move.lever === null ? still : chosen;
  const all = [...candidates, chosen];
  const [own, ...ways] = priced(now, all, [byRule, ...shortlist], () => 0) as [Priced, ...Priced[]];
  const [best, ...others] = ways.sort((a, b) => costOf(a) - costOf(b));
  if (best === undefined || best.outlook.goodShare < own.outlook.goodShare) return null;
  return costOf(best) < costOf(own) - mustSaveShots ? { chosen: best, craft: own, others } : null;
}

/** The moves that may be heard against the craft. */
function waysHeard({ problem, evidence, still }: Situation, { plan, lookAtMoves }: Craft): Choice[] {
  const { outlook: here, move: standing } = still;
  const { locks } = problem.method;
  const isLong = isLongDialIn(problem);
  const { isHeatHeld } = DIAL[problem.order];
  const isHeld = (lever: Lever): boolean =>
    (locks.includes(lever) && !(isLong && lever === 'dose' && plan.stage === 'window')) ||
    (lever === 'temperature' && !((isLong || !isHeatHeld) && isOffInBalance(problem, evidence)));
  const levers = (plan.bodyAlone === true ? BODY_LEVERS : LEVERS).filter(
    (lever) => !isHeld(lever) && !evidence.circling.includes(lever),
  );
  const near = withoutSwings(problem, 'taste', standing.settings, levers.flatMap(lookAtMoves));
  const harmless = harmlessOf(problem, evidence, here, near);
  return plan.stage === 'window' ? harmless.filter((choice) => bringsBack(choice, here, plan)) : harmless;
}

/** Heat is for the balance: what was called off in body more, or even in balance last, is not answered by it. */
function isOffInBalance(problem: Problem, { sound }: Evidence): boolean {
  const { tolerance } = problem.method;
  const missed = (scale: TasteScale): number => (tastedMiss(problem, sound, scale) ?? 0) / tolerance[scale];
  const isBodys = !isWithin(problem, sound, 'body') && Math.abs(missed('body')) > Math.abs(missed('balance'));
  return !isBodys && tastedMiss(problem, sound.slice(-1), 'balance') !== 0;
}

/** Whether it brings the time back as the craft would have it brought back, or nearly. */
function bringsBack({ move, outlook }: Choice, here: Outlook, { blocked, mustSlow }: Plan): boolean {
  if (isSlower(outlook, here) !== mustSlow) return false;
  return (
    move.lever === 'grind' || (move.lever === 'dose' && move.coupled) || (move.lever === 'yield' && blocked === 'grind')
  );
}
