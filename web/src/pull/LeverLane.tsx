import type { PullSubject } from './subject';
import type { PullHandle } from './usePull';

/** Drawn with the lever's plan; see below. */
export function LeverLane(_: { handle: PullHandle; subject: PullSubject }) {
  return null;
}
