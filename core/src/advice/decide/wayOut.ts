import type { Choice } from '../lookahead/choice';
import { isSame } from '../shots/evidence';
import { heatBesideWindow } from './besideWindow';
import { lackOf, lastResort } from './levers';
import { timeFirst } from './timeLevers';
import type { Plan } from './plan';
import { rightBy, type Outlook } from '../../belief/particles';
import type { Problem } from '../../belief/problem';
import { hasWayOut, leavesWindow, waysOut } from './sensible';
import type { Situation } from '../lookahead/situation';
import { contradict, settingsPoured } from './swings';
import { TASTE_SCALES, tastesPlainlyOff } from '../shots/taste';

/** Settings believed in less than this are not worth another shot. */
const WORTH_A_SHOT = 0.1;

export interface WayOutInput extends Situation {
  planned: Plan;
  /** All moves of a plan's levers. */
  legal: (plan: Plan) => Choice[];
  /** Those that neither go back to, nor pass by, what was tried. */
  open: (plan: Plan) => Choice[];
}

export interface WayOut {
  plan: Plan;
  candidates: Choice[];
  /**
   * One shot does not tell: time and taste are each off by no more than noise, and what fixes one would spoil the other; or the cup is
   * off the other way than one that was hardly different, with nothing between.
   */
  torn: 'by noise' | 'by two cups' | null;
}

/** The plan and its moves; another one where its levers fix no cup: in a method with one lever, or after a shot that ran out of the window. */
export function wayOut(input: WayOutInput): WayOut {
  const { problem, evidence, mixture, still, planned, open } = input;
  const first: WayOut = { plan: planned, candidates: open(planned), torn: null };
  if (isBetweenTwoCups(input, first.candidates)) return { ...first, torn: 'by two cups' };
  if (isTornAtEdge(input, first.candidates)) return { ...first, torn: 'by noise' };
  const hasWay = (candidates: Choice[]): boolean => hasWayOut(problem, evidence, still.outlook, candidates);
  if (planned.stage !== 'taste' || planned.leavesTime || hasWay(first.candidates)) return first;
  if (planned.levers.length === 1) {
    const plan = lastResort(problem, evidence, mixture.main, planned.levers[0]!);
    const candidates = open(plan);
    if (hasWay(candidates)) return { plan, candidates, torn: null };
  }
  // What would fix the taste leads a time that is out already further out, or leaves it there.
  const besideWindow = heatBesideWindow(problem, evidence, mixture.main);
  if (besideWindow !== null) return { plan: besideWindow, candidates: open(besideWindow), torn: null };
  const back = timeFirst(problem, evidence) ?? intoRange(problem, still.outlook);
  if (back === null) return first;
  const plan = { ...back, mayStay: mayBeNoise(input) };
  const torn = plan.mayStay && evidence.sound.length === 1 ? 'by noise' : null;
  const candidates = open(plan);
  return candidates.length === 0 ? { ...first, torn } : { plan, candidates, torn };
}

/** What is off here is no more than noise may have put there, and the settings are worth another shot. */
function mayBeNoise({ problem, evidence, still }: WayOutInput): boolean {
  return rightBy(problem, still.outlook) >= WORTH_A_SHOT && !tastesPlainlyOff(problem, evidence.sound);
}

/** One cup a little off at the window's edge, and all that fixes it leads out. */
function isTornAtEdge(input: WayOutInput, open: readonly Choice[]): boolean {
  const { problem, evidence, still, planned } = input;
  if (problem.method.timeIs === 'outcome' || planned.stage !== 'taste' || evidence.sound.length !== 1) return false;
  const ways = waysOut(problem, evidence, still.outlook, open);
  const isOut = ways.length > 0 && ways.every(({ outlook }) => leavesWindow(still.outlook, outlook));
  return isOut && mayBeNoise(input);
}

/**
 * The cup here is off the other way than those at settings so near that they cannot turn a cup round: one of them was odd. Where what would
 * fix this one is to go back there, something may lie between and is tried first; where steps are coarse the next lever finishes the job.
 * Where the lever went the other way, only the shot just before counts: of older ones others have told since.
 */
function isBetweenTwoCups({ problem, evidence, still, planned, legal }: WayOutInput, open: readonly Choice[]): boolean {
  const { sound, sameSettings } = evidence;
  if (planned.stage !== 'taste' || sameSettings.length > 1 || sound.length === 0) return false;
  const here = lackOf(problem, still.outlook);
  const isSmall = ({ outlook }: Choice): boolean => {
    const there = lackOf(problem, outlook);
    return TASTE_SCALES.every((scale) => Math.abs(there[scale] - here[scale]) < 1);
  };
  const wasTried = ({ move }: Choice): boolean =>
    settingsPoured(problem).some(
      (pours) => isSame(pours[0].planned, move.settings) && contradict(problem, sound, pours),
    );
  const before = problem.pours.at(-2);
  const isJustBefore = ({ move }: Choice): boolean => before !== undefined && isSame(before.planned, move.settings);
  const between = waysOut(problem, evidence, still.outlook, open);
  const moves = legal(planned);
  const fixing = waysOut(problem, evidence, still.outlook, moves);
  return moves
    .filter((choice) => isSmall(choice) && wasTried(choice))
    .some((tried) =>
      fixing.includes(tried) ? !between.some((choice) => choice.move.lever === tried.move.lever) : isJustBefore(tried),
    );
}

/** A time that is an outcome is brought further into what is tolerated, where nothing else fixes the cup without leading it out. */
function intoRange({ method, request }: Problem, here: Outlook): Plan | null {
  if (method.timeIs === 'target') return null;
  const { min, max } = request.target.timeSeconds;
  const mustSlow = here.medianTimeSeconds < (min + max) / 2;
  return { levers: ['grind'], stage: 'window', mustSlow, blocked: null };
}
