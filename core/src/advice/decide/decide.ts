import { aimedAtWindow } from './aim';
import type { Choice } from '../lookahead/choice';
import type { Decision } from './decision';
import { readEvidence } from '../shots/evidence';
import type { Posterior } from '../../belief/infer';
import { believe } from '../../belief/mixture';
import { movesOf, standStill, type Move } from '../lookahead/moves';
import { nextShot } from './nextShot';
import { drawParticles, lookAt } from '../../belief/particles';
import type { Problem } from '../../belief/problem';

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
