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
export const RUN_LENGTH = 3;

/** The middle one of the last few: one odd shot is noise. Null where there is none. */
export function middleOfLast(timesSeconds: readonly number[]): number | null {
  const last = timesSeconds.slice(-RUN_LENGTH).sort((a, b) => a - b);
  return last[Math.floor(last.length / 2)] ?? null;
}

/**
 * How a station stands. One odd shot is noise: drift is called when the middle one of the last three lies outside the
 * window and all three on that side of its middle.
 */
export function stationState(input: StationStateInput): StationState {
  const { timesSeconds, windowSeconds, pulledToday, runOpen } = input;
  if (runOpen) return 'dialling-in';
  const last = timesSeconds.slice(-RUN_LENGTH);
  if (!pulledToday || last.length === 0) return 'unknown';
  if (last.length < RUN_LENGTH) return 'dialled';
  const median = middleOfLast(last)!;
  const middle = (windowSeconds.min + windowSeconds.max) / 2;
  if (median < windowSeconds.min && last.every((t) => t < middle)) return 'drifting-fast';
  if (median > windowSeconds.max && last.every((t) => t > middle)) return 'drifting-slow';
  return 'dialled';
}
