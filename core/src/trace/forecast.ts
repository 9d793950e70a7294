import type { Interval } from './contract';
import type { Flow } from './flow';

/** Of a normal, between the first and the last tenth. */
const TENTH = 1.2816;
/** A puck gives way as it is washed out: the rest of a pour runs faster than now, by about this share of what has still to come [assumption]. */
const GIVES_WAY = 0.12;
/** How far that differs from puck to puck, as a share of the flow. */
const GIVES_WAY_SD = 0.11;
/** A flow's own wobble, seen so far, goes on: its waves last about so long, s. */
const WAVE_SECONDS = 2;
/** Slower than this nothing can be said of when it ends, g/s. */
export const SLOWEST_FLOW = 0.1;

export function interval(mean: number, sd: number): Interval {
  return { mean, p10: mean - TENTH * sd, p90: mean + TENTH * sd };
}

/**
 * Seconds from now until so many grams more are in the cup: mean and spread. The flow goes on as it is, a little faster towards the
 * end; its spread is the wobble seen so far, and how pucks differ.
 * @returns null where hardly anything flows
 */
export function secondsUntil(moreGrams: number, now: Flow, path: readonly Flow[]): { mean: number; sd: number } | null {
  if (now.flow < SLOWEST_FLOW) return null;
  if (moreGrams <= 0) return { mean: moreGrams / now.flow, sd: now.gramsSd / now.flow };
  const share = moreGrams / (now.grams + moreGrams);
  const flow = now.flow * (1 + (GIVES_WAY * share) / 2);
  const mean = moreGrams / flow;
  const wobble = wobbleOf(path) * Math.sqrt(Math.min(1, WAVE_SECONDS / mean));
  const relative = Math.hypot(now.flowSd / flow, GIVES_WAY_SD * share, wobble);
  return { mean, sd: Math.hypot(mean * relative, now.gramsSd / flow) };
}

/** How far the flow of the last seconds strayed from its own mean, as a share of it. */
function wobbleOf(path: readonly Flow[]): number {
  const last = path.at(-1)!;
  const recent = path.filter(({ seconds, flow }) => seconds >= last.seconds - 6 && flow > SLOWEST_FLOW);
  if (recent.length < 5) return 0.1;
  const mean = recent.reduce((sum, { flow }) => sum + flow, 0) / recent.length;
  const variance = recent.reduce((sum, { flow }) => sum + (flow - mean) ** 2, 0) / recent.length;
  return Math.min(0.3, Math.sqrt(variance) / mean);
}
