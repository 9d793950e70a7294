import type { Choice } from './choice';
import { rightBy, tastesPlainlyOff } from './claim';
import type { Evidence } from './evidence';
import type { Posterior } from './infer';
import { lastResort, timeFirst, type Plan } from './levers';
import type { Problem } from './problem';
import { hasWayOut } from './sensible';

/** Settings believed in less than this are not worth another shot. */
const WORTH_A_SHOT = 0.1;

export interface WayOutInput {
  problem: Problem;
  evidence: Evidence;
  posterior: Posterior;
  still: Choice;
  planned: Plan;
  /** The moves that a plan leaves open. */
  open: (plan: Plan) => Choice[];
}

export interface WayOut {
  plan: Plan;
  candidates: Choice[];
  /** Time and taste are each off by no more than noise, and what mends one would spoil the other: one shot does not tell. */
  isTorn: boolean;
}

/** The plan and its moves; another one where its levers mend no cup: in a school with one lever, or after a shot that ran out of the window. */
export function wayOut({ problem, evidence, posterior, still, planned, open }: WayOutInput): WayOut {
  const first: WayOut = { plan: planned, candidates: open(planned), isTorn: false };
  const hasWay = (candidates: Choice[]): boolean => hasWayOut(problem, evidence, still.outlook, candidates);
  if (planned.stage !== 'taste' || hasWay(first.candidates)) return first;
  if (planned.levers.length === 1) {
    const plan = lastResort(problem, evidence, posterior, planned.levers[0]!);
    const candidates = open(plan);
    if (hasWay(candidates)) return { plan, candidates, isTorn: false };
  }
  // What would mend the taste leads a time that is out already further out, or leaves it there.
  const back = timeFirst(problem, evidence);
  if (back === null) return first;
  const { sound } = evidence;
  const mayStay = rightBy(problem, still.outlook) >= WORTH_A_SHOT && !tastesPlainlyOff(problem, sound);
  const plan = { ...back, mayStay };
  const isTorn = mayStay && sound.length === 1;
  const candidates = open(plan);
  return candidates.length === 0 ? { ...first, isTorn } : { plan, candidates, isTorn };
}
