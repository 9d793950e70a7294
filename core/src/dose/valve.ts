import type { Roast } from '../brew/types';

/** One look at a pre-brew valve: water into a cup in 30 s, and how far it is closed from where one began. */
export interface ValveReading {
  /** Turns clockwise (less water) from the first reading; negative is opened. */
  turns: number;
  grams: number;
}

export interface ValveAdvice {
  targetGrams: number;
  /** Turns to make now: positive is clockwise, less water; 0 when on target. */
  turn: number;
  onTarget: boolean;
  /** What this valve takes away for one turn, as believed by now, g. */
  gramsPerTurn: { mean: number; sd: number };
}

/** Water in 30 s of pre-brew: 40–60 g, less for lighter roasts (ordinary practice of low-flow pre-brew). */
export const VALVE_TARGET_GRAMS: Record<Roast, number> = {
  light: 40,
  'medium-light': 45,
  medium: 50,
  'medium-dark': 55,
  dark: 60,
};
const CLOSE_ENOUGH_GRAMS = 3;
/** An unknown valve: a turn takes off about 20 g, give or take half [assumption; the first two readings decide]. */
const PER_TURN = { mean: 20, sd: 10 };
const READING_SD_GRAMS = 1.5;
/** A hand sets no finer than this, in turns. */
const TURN_STEP = 1 / 16;
const MOST_TURNS = 1;

/**
 * The next turn of the valve. The line through the readings (least squares with the prior slope above, flow falling in
 * proportion to turns) says what a turn is worth; the move goes from the last reading to the target.
 * @returns null before the first reading
 */
export function adviseValve(readings: readonly ValveReading[], targetGrams: number): ValveAdvice | null {
  const last = readings.at(-1);
  if (!last) return null;
  // Slope of the line relative to the mean point: the prior is one more observation of the slope itself.
  const meanTurns = readings.reduce((sum, { turns }) => sum + turns, 0) / readings.length;
  const meanGrams = readings.reduce((sum, { grams }) => sum + grams, 0) / readings.length;
  let precision = PER_TURN.sd ** -2;
  let weighted = PER_TURN.mean * precision;
  for (const { turns, grams } of readings) {
    const t = turns - meanTurns;
    precision += (t * t) / READING_SD_GRAMS ** 2;
    weighted += (-t * (grams - meanGrams)) / READING_SD_GRAMS ** 2;
  }
  // More water from closing cannot be: a reading was mistaken. Then the prior's least is the best guess.
  const mean = Math.max(2, weighted / precision);
  const excess = last.grams - targetGrams;
  const onTarget = Math.abs(excess) <= CLOSE_ENOUGH_GRAMS;
  const wanted = Math.min(MOST_TURNS, Math.max(-MOST_TURNS, excess / mean));
  const steps = Math.sign(wanted) * Math.max(1, Math.round(Math.abs(wanted) / TURN_STEP));
  return {
    targetGrams,
    turn: onTarget ? 0 : steps * TURN_STEP,
    onTarget,
    gramsPerTurn: { mean, sd: precision ** -0.5 },
  };
}
