import type { Reading } from './readings';

/** What is in the cup and how fast it comes, freed from noise; with the spread of both. */
export interface Flow {
  seconds: number;
  grams: number;
  flow: number;
  gramsSd: number;
  flowSd: number;
}

/** How fast the flow of a pour wanders, (g/s)² a second: about 0.2 g/s in a second. */
const FLOW_WANDERS = 0.05;
/** Nothing is known of the flow at first, g/s. */
const FIRST_FLOW_SD = 1;
/** A reading so many spreads off, and so many grams, is a cup lifted or a knock, not coffee. */
const GATE = { spreads: 5, grams: 1.5 };
/** A cup that was put back stands where it is after so long, with what it weighs now. */
const GONE_SECONDS = 8;

/**
 * Cup and flow after every reading by a Kalman filter of constant flow that wanders: closed form, one pass, the same for 2 readings a
 * second as for 50, and for gaps. Readings that cannot be coffee are left out; the filter then waits where it was.
 * @param noiseSd scatter of one reading, g
 */
export function followFlow(readings: readonly Reading[], noiseSd: number): Flow[] {
  const first = readings[0];
  if (!first) return [];
  const noise = noiseSd ** 2;
  let [grams, flow] = [first.grams, 0];
  let [gg, gf, ff] = [noise, 0, FIRST_FLOW_SD ** 2];
  let at = first.seconds;
  let lastGood = at;
  const path: Flow[] = [{ seconds: at, grams, flow, gramsSd: noiseSd, flowSd: FIRST_FLOW_SD }];
  for (const reading of readings.slice(1)) {
    const dt = reading.seconds - at;
    const predicted = grams + flow * dt;
    const pgg = gg + 2 * dt * gf + dt * dt * ff + (FLOW_WANDERS * dt ** 3) / 3;
    const pgf = gf + dt * ff + (FLOW_WANDERS * dt ** 2) / 2;
    const pff = ff + FLOW_WANDERS * dt;
    const off = reading.grams - predicted;
    const spread = Math.sqrt(pgg + noise);
    const isCup = Math.abs(off) > Math.max(GATE.grams, GATE.spreads * spread);
    if (isCup && reading.seconds - lastGood < GONE_SECONDS) continue;
    const [kg, kf] = [pgg / (pgg + noise), pgf / (pgg + noise)];
    grams = isCup ? reading.grams : predicted + kg * off;
    flow += isCup ? 0 : kf * off;
    [gg, gf, ff] = [(1 - kg) * pgg, (1 - kg) * pgf, pff - kf * pgf];
    at = reading.seconds;
    lastGood = at;
    path.push({ seconds: at, grams, flow, gramsSd: Math.sqrt(gg), flowSd: Math.sqrt(Math.max(ff, 1e-9)) });
  }
  return path;
}
