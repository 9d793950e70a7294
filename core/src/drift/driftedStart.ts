import { snap } from '../brew/snap';
import type { SecondsRange } from '../brew/types';
import { carry, type AnsweringGrinder, type CarriedStart } from './carry';
import { middleOfLast, RUN_LENGTH, type StationState } from './stationState';

export interface DriftedStartInput {
  state: StationState;
  /** Where the grinder stands. */
  grind: number | null;
  /** Shots since the last dial-in, oldest first, on the window's clock. */
  shots: readonly { grind: number | null; timeSeconds: number }[];
  windowSeconds: SecondsRange;
  grinder: AnsweringGrinder;
}

/** ln of the middle one of three times: pucks that stray by 6 %, times 0.67 for a median of three normals. */
const MEDIAN_SD = 0.04;

/**
 * Where a dial-in begins after a drift: what the last shots at this setting poured, brought to the window's middle by the near-log
 * law, so that no shot is spent on what is known already.
 * @returns null where nothing drifted, where those shots stood elsewhere, or where no step of the grinder comes nearer
 */
export function driftedStart(input: DriftedStartInput): CarriedStart | null {
  const { state, grind, shots, windowSeconds, grinder } = input;
  if (grind === null || (state !== 'drifting-fast' && state !== 'drifting-slow')) return null;
  const last = shots.slice(-RUN_LENGTH);
  if (last.some((shot) => shot.grind !== grind)) return null;
  const poured = middleOfLast(last.map(({ timeSeconds }) => timeSeconds))!;
  const wanted = Math.log((windowSeconds.min + windowSeconds.max) / 2 / poured);
  const start = carry(grind, wanted, MEDIAN_SD, grinder);
  return start.grind === snap(grind, grinder.scale) ? null : start;
}
