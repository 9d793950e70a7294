import { snap, type Scale } from '../brew/snap';
import type { SecondsRange } from '../brew/types';
import { middleOfLast, RUN_LENGTH, type StationState } from './stationState';

export interface DriftedStartInput {
  state: StationState;
  /** Where the grinder stands. */
  grind: number | null;
  /** Shots since the last dial-in, oldest first, on the window's clock. */
  shots: readonly { grind: number | null; timeSeconds: number }[];
  windowSeconds: SecondsRange;
  /** `slope`: change of ln time for one unit finer. */
  grinder: { scale: Scale; finer: 'lower' | 'higher'; slope: number };
}

/**
 * Where a dial-in begins after a drift: what the last shots at this setting poured, brought to the window's middle by the near-log
 * law, so that no shot is spent on what is known already.
 * @returns null where nothing drifted, where those shots stood elsewhere, or where no step of the grinder comes nearer
 */
export function driftedStart({ state, grind, shots, windowSeconds, grinder }: DriftedStartInput): number | null {
  if (grind === null || (state !== 'drifting-fast' && state !== 'drifting-slow')) return null;
  const last = shots.slice(-RUN_LENGTH);
  if (last.some((shot) => shot.grind !== grind)) return null;
  const poured = middleOfLast(last.map(({ timeSeconds }) => timeSeconds))!;
  const wanted = Math.log((windowSeconds.min + windowSeconds.max) / 2 / poured);
  const sign = grinder.finer === 'higher' ? 1 : -1;
  const start = snap(grind + (sign * wanted) / grinder.slope, grinder.scale);
  return start === snap(grind, grinder.scale) ? null : start;
}
