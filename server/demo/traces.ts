import {
  createRandom,
  drawNormal,
  roundTo,
  tracedOf,
  type PulledShot,
  type Random,
  type StoredTrace,
} from '@olvet/core';
import { packTrace } from '../src/shots/packTrace';
import type { HistoryMaker } from './maker';

/** A scale that speaks five times a second and settles by this spread, g. */
const READ_EVERY_SECONDS = 0.2;
const SCALE_SD = 0.05;
/** What hangs at the spout at the stop, g, and how fast it falls, s; it is watched so long. */
const DRIP = { grams: 1.1, sd: 0.25, fallSeconds: 0.6 };
const AFTER_SECONDS = 7;
const BEFORE_SECONDS = 1;

/** Keeps the flight of a shot of the history, as a scale would have told it. */
export function keepTrace(maker: HistoryMaker, shotId: string, pulled: PulledShot): void {
  const shot = maker.row('shots', shotId);
  const trace = demoTrace(pulled, createRandom(shotId));
  shot.traced = tracedOf(trace, 'pump-on');
  maker.rows.shot_traces.push({ shotId, body: packTrace(trace), createdAt: shot.pulledAt });
}

/** What scale and machine would have said of a simulated shot, from a second before the pump to the last drop. */
function demoTrace({ puck, yieldGrams, pumpOnSeconds, firstDripSeconds }: PulledShot, random: Random): StoredTrace {
  const drip = Math.max(0.3, drawNormal(random, DRIP.grams, DRIP.sd));
  const share = (yieldGrams - drip) / Math.max(1, puck.trace.at(-1)?.grams ?? 1);
  // The simulated puck is watched from its first water; the pump of a machine that soaks begins with it, too.
  const behind = puck.totalContactSeconds - pumpOnSeconds;
  let at = 0;
  const rows: StoredTrace['rows'] = [];
  for (let seconds = -BEFORE_SECONDS; seconds <= pumpOnSeconds + AFTER_SECONDS; seconds += READ_EVERY_SECONDS) {
    while (at + 1 < puck.trace.length && puck.trace[at + 1]!.seconds - behind <= seconds) at += 1;
    const point = puck.trace[at]!;
    const isOver = seconds > pumpOnSeconds;
    const fallen = isOver ? drip * (1 - Math.exp((pumpOnSeconds - seconds) / DRIP.fallSeconds)) : 0;
    const grams = (seconds < 0 ? 0 : share * point.grams) + fallen + drawNormal(random, 0, SCALE_SD);
    const bar = seconds < 0 || isOver ? 0 : point.bar;
    rows.push([roundTo(seconds, 1), roundTo(grams, 1), roundTo(bar, 1)]);
  }
  return {
    columns: ['seconds', 'grams', 'bar'],
    rows,
    marks: [
      { kind: 'pump-on', seconds: 0 },
      { kind: 'first-drip', seconds: firstDripSeconds },
      { kind: 'pump-off', seconds: pumpOnSeconds },
    ],
  };
}
