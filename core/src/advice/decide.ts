import type { Lever } from '../method/Method';
import type { TooLittle } from './again';
import { aimedAtWindow } from './aim';
import type { Action } from './answer';
import type { Choice } from './choice';
import { readEvidence, type Evidence } from './evidence';
import type { Posterior } from './infer';
import { believe, type Mixture } from './mixture';
import { movesOf, standStill, type Move } from './moves';
import { nextShot } from './nextShot';
import { drawParticles, lookAt, type Outlook, type Particles } from './particles';
import type { Problem } from './problem';

export type Stage =
  | 'start'
  | 'limits'
  | 'window'
  | 'taste'
  | 'overruled'
  | 'spoilt'
  | 'tight'
  | TooLittle
  | 'confirm'
  | 'contradicted'
  | 'dialled'
  | 'stuck';

export interface Decision {
  action: Action;
  stage: Stage;
  chosen: Choice;
  /** Next best, of other levers first. */
  others: Choice[];
  /** Moves whose turn has not come in the school's order, most promising first. */
  passedOver: Choice[];
  here: Outlook;
  evidence: Evidence | null;
  /** The likelier story. */
  posterior: Posterior;
  mixture: Mixture;
  particles: Particles;
  /** A lever the method wanted and could not have: at its limit, locked, or turned to and fro. */
  blocked: Lever | null;
  /** The last shot ran a little out of the window, and the cup is mended where its time is. */
  leavesTime: boolean;
  /** What the craft would have done, where the odds spoke against it. */
  craft: Choice | null;
}

/** Where nothing more is worth a word. */
const NOTHING_BESIDES = { blocked: null, passedOver: [], leavesTime: false, craft: null };

/** The policy: what to do next, from evidence and belief. Words are added elsewhere. */
export function decide(problem: Problem, seed: string): Decision {
  const mixture = believe(problem);
  const posterior = mixture.main;
  const particles = drawParticles(mixture, seed);
  const evidence = readEvidence(problem, posterior);
  const look = (move: Move): Choice => ({
    move,
    outlook: lookAt(problem, posterior, particles, move.settings),
  });
  const still = look(standStill(problem, evidence?.last.planned ?? problem.start));
  const known = { here: still.outlook, evidence, posterior, mixture, particles, ...NOTHING_BESIDES };
  if (evidence === null) {
    const chosen = firstMove(problem, posterior, still, look);
    return { ...known, action: 'start', stage: 'start', chosen, others: [] };
  }
  return { ...known, ...nextShot({ problem, evidence, mixture, particles, still }, look) };
}

/** Fingers that found the grind far off move it before a shot is wasted; otherwise the first shot tells. */
function firstMove(problem: Problem, posterior: Posterior, still: Choice, look: (move: Move) => Choice): Choice {
  const felt = problem.request.start?.handCheck ?? 'near';
  if (felt === 'near') return still;
  const moves = movesOf(problem, posterior, still.move.settings, 'grind').map(look);
  const aimed = aimedAtWindow(problem, moves);
  return aimed.reduce((best, next) => (next.outlook.windowShare > best.outlook.windowShare ? next : best), still);
}
