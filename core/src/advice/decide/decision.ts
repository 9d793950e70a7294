import type { Lever } from '../../method/Method';
import type { TooLittle } from './again';
import type { Action } from '../../contract/answer';
import type { Choice } from '../lookahead/choice';
import type { Evidence } from '../shots/evidence';
import type { Posterior } from '../../belief/infer';
import type { Mixture } from '../../belief/mixture';
import type { Outlook, Particles } from '../../belief/particles';

/** What settled the answer: the reasons are told by it. */
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

/** What is done next, and all that the words about it need. */
export interface Decision {
  action: Action;
  stage: Stage;
  chosen: Choice;
  /** Next best, of other levers first. */
  others: Choice[];
  /** Moves whose turn has not come in the method's order, most promising first. */
  passedOver: Choice[];
  here: Outlook;
  evidence: Evidence | null;
  /** The likelier story. */
  posterior: Posterior;
  mixture: Mixture;
  particles: Particles;
  /** A lever the method wanted and could not have: at its limit, locked, or turned to and fro. */
  blocked: Lever | null;
  /** The last shot ran a little out of the window, and the cup is fixed where its time is. */
  leavesTime: boolean;
  /** What the craft would have done, where the odds spoke against it. */
  craft: Choice | null;
}
