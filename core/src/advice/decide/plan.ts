import type { Lever } from '../../method/Method';

/** What the method would reach for now. */
export type PlanStage = 'window' | 'tight' | 'taste' | 'stuck';

/** Turned for the cup, and not for the time. */
export function isForTaste(stage: string): boolean {
  return stage === 'taste' || stage === 'stuck';
}

export interface Plan {
  levers: Lever[];
  stage: PlanStage;
  /** In the window stage: whether the shots must get slower. */
  mustSlow?: boolean;
  /** In the window stage: pulling again is an answer too. */
  mayStay?: boolean;
  /** In matters of taste: the balance is as wanted, so that ratio or dose fixes the cup and nothing else. */
  bodyAlone?: boolean;
  /** In matters of taste: the last shot ran a little out of the window, and its time is left there. */
  leavesTime?: boolean;
  blocked: Lever | null;
}
