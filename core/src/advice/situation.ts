import type { Choice } from './choice';
import type { Evidence } from './evidence';
import type { Mixture } from './mixture';
import type { Particles } from './particles';
import type { Problem } from './problem';

/** All that is known when the shot after the last one is decided. */
export interface Situation {
  problem: Problem;
  evidence: Evidence;
  mixture: Mixture;
  particles: Particles;
  /** Pulling the same again, and what that would bring. */
  still: Choice;
}
