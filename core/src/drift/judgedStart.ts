import { carry, type AnsweringGrinder, type CarriedStart } from './carry';

export interface JudgedStartInput {
  /** Where the grinder stands. */
  grind: number | null;
  foundSeconds: number;
  /** Where the next untouched shot would land, against the found time. */
  shiftSeconds: { mean: number; p10: number; p90: number };
  grinder: AnsweringGrinder;
}

/** From a tenth to nine tenths lie so many spreads. */
const TENTHS = 2.5631;

/**
 * Where a dial-in, or the morning after, begins where the day's judgement says that the time has drifted: by the near-log law back
 * to the time the recipe was found at.
 * @returns null where no step of the grinder comes nearer
 */
export function judgedStart({ grind, foundSeconds, shiftSeconds, grinder }: JudgedStartInput): CarriedStart | null {
  if (grind === null) return null;
  const log = (seconds: number): number => Math.log(Math.max(0.1, 1 + seconds / foundSeconds));
  const sd = (log(shiftSeconds.p90) - log(shiftSeconds.p10)) / TENTHS;
  const start = carry(grind, -log(shiftSeconds.mean), sd, grinder);
  return start.grind === grind ? null : start;
}
