import type { Lever } from '../../method/Method';
import { slopeOf, type Posterior } from '../../belief/infer';
import { isSlower, lookAt, type Outlook } from '../../belief/particles';
import { PUCK_STRAYS, type Pour } from '../../belief/pour';
import { GRACE_SECONDS, type Problem } from '../../belief/problem';
import { movesOf } from '../lookahead/moves';
import type { Situation } from '../lookahead/situation';
import type { Evidence } from '../shots/evidence';
import { sideOut, WINDOW_DOUBT } from '../shots/inTime';
import { tastedMiss, tastesPlainlyOff, tastesRight } from '../shots/taste';
import { wouldFix, wouldWorsen, type Side } from './besideWindow';
import type { Plan } from './plan';
import { leadsToWhatWasOff, wrongTurns } from './swings';

/** Shots that ran further outside the window than a puck strays by put time first below this belief. */
const CLOCK_BELIEVED = 0.7;

export interface Stray {
  side: Side;
  /** More than one shot says so, or the belief does; one alone may as well be pulled again. */
  isSure: boolean;
}

/**
 * Whether the time comes first: two shots in a row ran out of the window on one side, or the window is doubted, or the
 * clock says plainly that these settings miss it and the belief that they do not is faint. One shot plainly outside is
 * noise or not, but in neither case the business of yield or temperature.
 */
export function straysOut(problem: Problem, { sameSettings, last }: Evidence, here: Outlook): Stray | null {
  const { min, max } = problem.request.target.timeSeconds;
  const sideOf = (seconds: number): Side => (seconds < (min + max) / 2 ? 'too fast' : 'too slow');
  const outside = (seconds: number): number => Math.max(min - seconds, seconds - max);
  const { timed, mean } = clocked(sameSettings);
  const [before, newest] = timed.slice(-2).map((pour) => pour.timeSeconds!);
  if (before !== undefined && newest !== undefined && outside((before + newest) / 2) > GRACE_SECONDS) {
    const isRun = outside(before) > 0 && outside(newest) > 0 && sideOf(before) === sideOf(newest);
    if (isRun) return { side: sideOf(newest), isSure: true };
  }
  if (here.windowShare < WINDOW_DOUBT) {
    const side = sideOf(here.medianTimeSeconds);
    const isClocked = timed.length > 0 && outside(mean) <= 0;
    // Where the clock itself said "in the window", the doubt is inference: a cup that is off is fixed by taste, any other may
    // be pulled again. So is a cup that the grind would lead further off, where the clock said as good as in it.
    if (isClocked && tastesPlainlyOff(problem, timed)) return null;
    if (timed.length > 0 && outside(mean) <= GRACE_SECONDS && wouldWorsen(problem, timed, side)) return null;
    return { side, isSure: !isClocked };
  }
  if (timed.length === 0) return null;
  // A run of shots that drifted off needs no more proof.
  const isShift = problem.pours.some(({ stale }) => stale);
  if (here.windowShare < CLOCK_BELIEVED && outside(mean) > (isShift ? 0 : PUCK_STRAYS * mean)) {
    return { side: sideOf(mean), isSure: true };
  }
  const seconds = last.sound ? last.timeSeconds : null;
  if (seconds === null) return null;
  const side = sideOf(seconds);
  // Beside a cup as wanted the time is all that is lacking, and beside one that is off the same way grind fixes both; beside
  // another a second or two are not told from noise.
  const isUntasted = tastedMiss(problem, timed, 'balance') === null;
  const isFixed = wouldFix(problem, timed, side);
  const isTimeAll = isUntasted || tastesRight(problem, timed) || isFixed;
  if (outside(seconds) <= (isTimeAll ? GRACE_SECONDS : PUCK_STRAYS * seconds)) return null;
  return { side, isSure: isFixed };
}

/**
 * Where time is an outcome it has no window to be brought into, only a range that is tolerated: a cup that ran outside it and is plainly
 * off, or off the way that grind fixes, gushed or choked. That is the grind's business, unless grind would lead the cup further off.
 */
export function gushesOrChokes(problem: Problem, { sameSettings }: Evidence, here: Outlook): Stray | null {
  const { min, max } = problem.request.target.timeSeconds;
  const { timed, mean } = clocked(sameSettings);
  if (timed.length === 0 || here.windowShare >= WINDOW_DOUBT) return null;
  if (mean >= min && mean <= max) return null;
  const side = mean < min ? 'too fast' : 'too slow';
  const isTasted = timed.some(({ taste }) => taste !== null);
  const isFault = tastesPlainlyOff(problem, timed) && !wouldWorsen(problem, timed, side);
  if (isTasted && !isFault && !wouldFix(problem, timed, side)) return null;
  return { side, isSure: true };
}

/** The sound shots that were timed, and their mean time, s. */
function clocked(pours: readonly Pour[]): { timed: Pour[]; mean: number } {
  const timed = pours.filter(({ sound, timeSeconds }) => sound && timeSeconds !== null);
  return { timed, mean: timed.reduce((sum, { timeSeconds }) => sum + timeSeconds!, 0) / timed.length };
}

/** Grind alone, for a shot that ran out of the window, or out of what is tolerated; null for any other. */
export function timeFirst(problem: Problem, { last }: Evidence): Plan | null {
  const side = sideOut(problem, last);
  return side === 0 ? null : { levers: ['grind'], stage: 'window', mustSlow: side < 0, blocked: null };
}

/**
 * The grind, for a time that left the window. Where it is at its end, was turned to and fro, or leads nowhere but to what was off the other
 * way, yield or dose stands in for it; where it leads only to cups that were called off, or a step jumps over the window, they compete.
 */
export function leversForTime(
  { problem, evidence, mixture, particles, still }: Situation,
  { side, isSure }: Stray,
): Plan {
  const posterior = mixture.main;
  const from = evidence.last.planned;
  const mustSlow = side === 'too fast';
  const window = { stage: 'window', mustSlow, mayStay: !isSure } as const;
  const helping = (lever: Lever): Outlook[] =>
    movesOf(problem, posterior, from, lever)
      .map(({ settings }) => lookAt(problem, posterior, particles, settings))
      .filter((outlook) => isSlower(outlook, still.outlook) === mustSlow);
  const ways = helping('grind');
  if (ways.length === 0) {
    return { ...window, levers: [helping('dose').length > 0 ? 'dose' : 'yield'], blocked: 'grind' };
  }
  const goesBack = wrongTurns(problem, 'window', from);
  if (evidence.circling.includes('grind') || ways.every(({ settings }) => goesBack(settings))) {
    return { ...window, levers: ['yield', 'dose'], blocked: 'grind' };
  }
  const wasOff = leadsToWhatWasOff(problem, from);
  const isKnownOff = ways.every(({ settings }) => goesBack(settings) || wasOff(settings));
  const reach = Math.max(...ways.map((outlook) => outlook.windowShare));
  // A step that jumps over the window: only once the grinder's answer is known well enough to say so.
  const jumps = problem.pours.length >= 2 && reach < WINDOW_DOUBT && stepJumpsOver(problem, posterior);
  if (isKnownOff || jumps) return { ...window, levers: ['grind', 'dose', 'yield'], blocked: 'grind' };
  return { ...window, levers: ['grind'], blocked: null };
}

/** True when one step of the grinder moves the time by more than the window is wide. */
function stepJumpsOver(problem: Problem, posterior: Posterior): boolean {
  const { min, max } = problem.request.target.timeSeconds;
  return problem.grindScale.step * slopeOf(posterior).mean > Math.log(max / min);
}
