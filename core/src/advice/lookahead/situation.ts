import type { Choice } from './choice';
import type { Evidence } from '../shots/evidence';
import type { Mixture } from '../../belief/mixture';
import type { Particles } from '../../belief/particles';
import type { Problem } from '../../belief/problem';

/** All that is known when the shot after the last one is decided. */
export interface Situation {
  problem: Problem;
  evidence: Evidence;
  mixture: Mixture;
  particles: Particles;
  /** Pulling the same again, and what that would bring. */
  still: Choice;
}
