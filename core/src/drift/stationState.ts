import type { SecondsRange } from '../brew/types';

export type StationState = 'dialled' | 'drifting-fast' | 'drifting-slow' | 'unknown' | 'dialling-in';

export interface StationStateInput {
  /** Shot times since the last dial-in, oldest first, on the window's clock, s. */
  timesSeconds: readonly number[];
  windowSeconds: SecondsRange;
  /** Whether the last shot was pulled today. */
  pulledToday: boolean;
  runOpen: boolean;
}

/** Fewer shots than this say nothing either way. */
const RUN_LENGTH = 3;

/**
 * How a station stands. One odd shot is noise: drift is called when each of the last three shots lies outside the
 * window on the same side, or their mean does while none lies on the other side of it.
 */
export function stationState(input: StationStateInput): StationState {
  const { timesSeconds, windowSeconds, pulledToday, runOpen } = input;
  if (runOpen) return 'dialling-in';
  const last = timesSeconds.slice(-RUN_LENGTH);
  if (!pulledToday || last.length === 0) return 'unknown';
  if (last.length < RUN_LENGTH) return 'dialled';
  const mean = last.reduce((sum, t) => sum + t, 0) / last.length;
  const middle = (windowSeconds.min + windowSeconds.max) / 2;
  if (mean < windowSeconds.min && last.every((t) => t < middle)) return 'drifting-fast';
  if (mean > windowSeconds.max && last.every((t) => t > middle)) return 'drifting-slow';
  return 'dialled';
}
