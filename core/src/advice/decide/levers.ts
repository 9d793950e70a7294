import type { Lever } from '../../method/Method';
import type { Posterior } from '../../belief/infer';
import { meanOf, type Outlook } from '../../belief/particles';
import type { Problem } from '../../belief/problem';
import { endOfScale, isCoarser, movesOf } from '../lookahead/moves';
import type { Situation } from '../lookahead/situation';
import type { Evidence } from '../shots/evidence';
import { isWithin, type TasteScale } from '../shots/taste';
import { heatBesideWindow } from './besideWindow';
import type { Plan } from './plan';
import { isTooTight } from './prepare';
import {
  canHeat,
  isTurnOf,
  LEANING,
  leansOneWay,
  leversForTaste,
  orderFor,
  tastesOffInBodyAlone,
  tastesUnbalanced,
  withoutBodyLevers,
} from './tasteLevers';
import { gushesOrChokes, leversForTime, straysOut } from './timeLevers';

/** Which levers the method would reach for now, first choice first. */
export function leversToTry(now: Situation): Plan {
  const { problem, evidence, mixture, still } = now;
  const { method } = problem;
  const posterior = mixture.main;
  const here = still.outlook;
  const from = evidence.last.planned;
  const usable = (lever: Lever): boolean => isUsableLever(problem, evidence, posterior, lever);
  const loosened = movesOf(problem, posterior, from, 'grind').some(({ settings }) =>
    isCoarser(problem, from, settings),
  );
  if (loosened && isTooTight(problem, evidence)) return { levers: ['grind'], stage: 'tight', blocked: null };
  const stray =
    method.timeIs === 'target' ? straysOut(problem, evidence, here) : gushesOrChokes(problem, evidence, here);
  const besideWindow = stray === null ? null : heatBesideWindow(problem, evidence, posterior);
  if (besideWindow !== null) return besideWindow;
  if (stray !== null) return leversForTime(now, stray);
  const lack = lackOf(problem, here);
  const balanceOff = Math.abs(lack.balance);
  const bodyOff = Math.abs(lack.body);
  const grindFixes = method.bodyOrder.includes('grind') && leansOneWay(problem, evidence);
  const isBodyBelieved = bodyOff > 1 && balanceOff < 0.75 && !tastesUnbalanced(problem, evidence);
  const bodyAlone = (isBodyBelieved || tastesOffInBodyAlone(problem, evidence)) && !grindFixes;
  const ordered = orderFor(method, lack);
  const wanted = leversForTaste(ordered, bodyOff > balanceOff, bodyAlone).filter((lever) =>
    isTurnOf(problem, evidence, lever, ordered.balanceOrder),
  );
  const isBodyMost = bodyOff > balanceOff && bodyOff > LEANING;
  const isBodyOff = isBodyMost || bodyOff > 1 || !isWithin(problem, evidence.sound, 'body');
  const possible = isBodyOff ? wanted.filter(usable) : withoutBodyLevers(method, wanted.filter(usable));
  // A method that begins with temperature means it: once, before anything else, where the cup is clearly sour.
  const isHeatFirst = possible[0] === 'temperature' && lack.balance < -2 && canHeat(problem, posterior, from);
  const levers: Lever[] = isHeatFirst ? ['temperature'] : possible;
  const blocked = wanted.find((lever) => !usable(lever)) ?? null;
  if (levers.length > 0) return { levers, stage: 'taste', bodyAlone, blocked };
  return lastResort(problem, evidence, posterior, blocked);
}

/**
 * What is left where the method's own levers can do no more, whether or not it holds them still: the ratio, or else the dose. At the end
 * of the grinder's scale dose with yield in ratio stands in for it.
 */
export function lastResort(problem: Problem, evidence: Evidence, posterior: Posterior, blocked: Lever | null): Plan {
  const isUsable = (lever: Lever): boolean => isUsableLever(problem, evidence, posterior, lever);
  const levers = (['yield', 'dose'] as const).filter(isUsable);
  const isAtEnd = endOfScale(problem, evidence.last.planned.grind) !== null;
  return { levers: isAtEnd ? levers : levers.slice(0, 1), stage: 'stuck', blocked };
}

function isUsableLever(problem: Problem, { circling, last }: Evidence, posterior: Posterior, lever: Lever): boolean {
  return !circling.includes(lever) && movesOf(problem, posterior, last.planned, lever).length > 0;
}

/** How far the expected cup lies from the wanted one, in tolerances, with its sign. */
export function lackOf({ request, method }: Problem, outlook: Outlook): Record<TasteScale, number> {
  const lack = (scale: TasteScale): number =>
    (meanOf(outlook[scale]) - request.target[scale]) / method.tolerance[scale];
  return { balance: lack('balance'), body: lack('body') };
}
