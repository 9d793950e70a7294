import { fieldErrorsOf, type FieldError } from '../formats/fieldErrors';
import {
  traceRequestSchema,
  type TraceAnswer,
  type TraceEventKind,
  type TracePhase,
  type TraceSummary,
  type ValidTraceRequest,
} from './contract';
import { followFlow, type Flow } from './flow';
import { interval, secondsUntil, SLOWEST_FLOW } from './forecast';
import { firstDripOf, QUIET_SD, reachedAt, type Empty } from './marks';
import { round } from './round';
import { median, nowOf, readingsOf, scatterOf, type Reading } from './readings';

/** What still falls after the stop where nobody has learned it: some, and more where it flows faster [assumption]. */
const USUAL_DRIP = { grams: 0.6, secondsOfFlow: 0.6, sd: 0.6 };
/** The learned drip is that of a usual flow, g/s; half of it hangs at the spout anyway, half goes with the flow [assumption]. */
const USUAL_FLOW = 1.3;
const HANGS_ANYWAY = 0.5;
const USUAL_DELAY_SECONDS = 0.3;
/** Of many noisy moments the first that says stop is early, by about so many spreads of the forecast (`npm run bench:pull`). */
const EARLY_SDS = 0.6;
/** A soak ends best about so many times as late as the basket was covered (ordinary practice). */
export const SOAK_BY_COVER = 3;
/** So long without flow after the stop, or at the end of a pour without one, it has settled. */
const SETTLED_SECONDS = 1.5;
const CEASED_SECONDS = 4;
/** Slower than this over so many seconds is drift and noise, not coffee, g/s. */
const STILL_FLOW = 0.15;
const STILL_OVER_SECONDS = 1.5;
/** A flow that ends so much faster than it ran in the middle: the puck gave way. */
const LATE_RUSH = 1.6;
const TEN_GRAMS = 10;
/** Until so long after the pump nothing falls, s: so far from the empty cup, something else stood there, g. */
const EARLIEST_DRIP_SECONDS = 1;
const OTHER_CUP_GRAMS = 2;

export type ParsedTraceRequest = { ok: true; request: ValidTraceRequest } | { ok: false; errors: FieldError[] };

/** Checks a would-be request; every error names its field. */
export function parseTraceRequest(value: unknown): ParsedTraceRequest {
  const result = traceRequestSchema.safeParse(value);
  return result.success ? { ok: true, request: result.data } : { ok: false, errors: fieldErrorsOf(result.error) };
}

/** What a weight trace says, while it runs and afterwards. Pure: the last row is now. */
export function readTrace(request: ValidTraceRequest): TraceAnswer {
  const all = readingsOf(request);
  const at = (kind: TraceEventKind): number | null =>
    request.events?.find((event) => event.kind === kind)?.seconds ?? null;
  const pumpOn = at('pump-on');
  const pumpOff = at('pump-off');
  const { empty, readings } = ofThisCup(all, pumpOn);
  const drip = at('first-drip') ?? firstDripOf(readings, empty);
  const path = followFlow(
    readings.map(({ seconds, grams }) => ({ seconds, grams: grams - empty.grams })),
    empty.sd,
  );
  const now = path.at(-1) ?? null;
  const nowSeconds = Math.max(nowOf(request) ?? -Infinity, ...(request.events ?? []).map(({ seconds }) => seconds));
  const start = pumpOn ?? drip;
  const phase = phaseOf({ path, drip, pumpOn, pumpOff, nowSeconds });
  const isPouring = phase === 'pouring' && now !== null;
  const covered = at('covered');
  const stop = isPouring ? stopOf(request, now, path) : null;
  const summary = phase === 'settled' && drip !== null ? summaryOf(request, { path, start, drip, pumpOff }) : null;
  return {
    schema: 'olvet.trace/1',
    id: request.id ?? null,
    phase,
    startSeconds: start,
    firstDripSeconds: drip,
    coveredSeconds: covered,
    tenGramsSeconds: reachedAt(path, TEN_GRAMS),
    grams: round(drip === null ? 0 : Math.max(0, now?.grams ?? 0), 2),
    flowGramsPerSecond: round(drip === null ? 0 : Math.max(0, now?.flow ?? 0), 3),
    landing: isPouring ? landingOf(request, { now, path, start, drip }) : null,
    stop,
    endSoakAtSeconds: covered === null || pumpOn === null ? null : pumpOn + SOAK_BY_COVER * (covered - pumpOn),
    summary,
  };
}

/** The empty cup, and what was read of it: another cup, or the dose, that stood there just before is no coffee of this shot. */
export function ofThisCup(all: readonly Reading[], pumpOn: number | null): { empty: Empty; readings: Reading[] } {
  const empty = emptyCup(all, pumpOn);
  const isOfThis = ({ seconds, grams }: Reading): boolean =>
    pumpOn === null || seconds >= pumpOn + EARLIEST_DRIP_SECONDS || Math.abs(grams - empty.grams) < OTHER_CUP_GRAMS;
  return { empty, readings: all.filter(isOfThis) };
}

/**
 * From before the pump ran, else from the first readings: nothing has fallen yet. A cup may have been changed in the last moment:
 * what stood there before counts only as far as it weighs the same.
 */
function emptyCup(readings: readonly Reading[], pumpOn: number | null): Empty {
  const first = readings[0]?.seconds ?? 0;
  const until = Math.max(pumpOn === null ? first + 1.5 : pumpOn + EARLIEST_DRIP_SECONDS, first + 0.5);
  const still = readings.filter(({ seconds }) => seconds <= until);
  if (still.length === 0) return { grams: 0, sd: QUIET_SD };
  const latest = pumpOn === null ? [] : still.filter(({ seconds }) => seconds >= pumpOn);
  const middle = median((latest.length >= 2 ? latest : still).map(({ grams }) => grams));
  const same = still.filter(({ grams }) => Math.abs(grams - middle) < OTHER_CUP_GRAMS);
  return { grams: median(same.map(({ grams }) => grams)), sd: Math.max(QUIET_SD, scatterOf(readings) ?? 0) };
}

function phaseOf({
  path,
  drip,
  pumpOn,
  pumpOff,
  nowSeconds,
}: {
  path: readonly Flow[];
  drip: number | null;
  pumpOn: number | null;
  pumpOff: number | null;
  nowSeconds: number;
}): TracePhase {
  if (drip === null) return pumpOn === null ? 'waiting' : 'soaking';
  const flowing = lastFlowing(path, drip) ?? drip;
  const quiet = nowSeconds - flowing;
  if (pumpOff !== null && nowSeconds >= pumpOff) {
    return quiet >= SETTLED_SECONDS && nowSeconds - pumpOff >= SETTLED_SECONDS ? 'settled' : 'dripping';
  }
  return quiet >= CEASED_SECONDS ? 'settled' : 'pouring';
}

/** When coffee last fell after `from`: by what the cup gained over a while, which no single reading moves; null where none did. */
function lastFlowing(path: readonly Flow[], from: number): number | null {
  let j = path.length - 1;
  for (let i = path.length - 1; i >= 0 && path[i]!.seconds >= from; i -= 1) {
    while (j > 0 && path[j]!.seconds > path[i]!.seconds - STILL_OVER_SECONDS) j -= 1;
    const over = path[i]!.seconds - path[j]!.seconds;
    if (over > 0 && (path[i]!.grams - path[j]!.grams) / over >= STILL_FLOW) return path[i]!.seconds;
  }
  return null;
}

/** On the target's timer. */
function onTimer(
  { target }: ValidTraceRequest,
  seconds: number,
  { start, drip }: { start: number | null; drip: number | null },
): number | null {
  const from = target.timer === 'first-drip' ? drip : start;
  return from === null ? null : seconds - from;
}

function landingOf(
  request: ValidTraceRequest,
  { now, path, start, drip }: { now: Flow; path: readonly Flow[]; start: number | null; drip: number | null },
): TraceAnswer['landing'] {
  const more = request.target.yieldGrams - now.grams;
  const left = secondsUntil(more, now, path);
  const reached = more <= 0 ? reachedAt(path, request.target.yieldGrams) : null;
  const end =
    reached !== null
      ? onTimer(request, reached, { start, drip })
      : left && onTimer(request, now.seconds + left.mean, { start, drip });
  if (end === null) return null;
  return { timeSeconds: rounded(interval(end, reached !== null ? 0 : left!.sd)) };
}

/** How much more or less falls after a stop at such a flow than at a usual one. */
export function dripShare(flow: number): number {
  return HANGS_ANYWAY + (1 - HANGS_ANYWAY) * (flow / USUAL_FLOW);
}

/** What still falls after the stop at such a flow. */
function dripAt({ drip }: ValidTraceRequest, flow: number): { mean: number; sd: number } {
  if (!drip) return { mean: USUAL_DRIP.grams + USUAL_DRIP.secondsOfFlow * flow, sd: USUAL_DRIP.sd };
  const usual = USUAL_DRIP.grams + USUAL_DRIP.secondsOfFlow * USUAL_FLOW;
  // A few shots say little beside what is usual anyway.
  const weight = drip.shots / (drip.shots + 1);
  const mean = weight * drip.grams.mean + (1 - weight) * usual;
  return { mean: mean * dripShare(flow), sd: Math.max(drip.grams.sd, 0.1) };
}

function stopOf(request: ValidTraceRequest, now: Flow, path: readonly Flow[]): TraceAnswer['stop'] {
  const { yieldGrams } = request.target;
  const delay = request.stopDelaySeconds ?? USUAL_DELAY_SECONDS;
  const drip = dripAt(request, Math.max(now.flow, SLOWEST_FLOW));
  const left = secondsUntil(yieldGrams - drip.mean - now.grams, now, path);
  if (left === null) return null;
  const atSeconds = Math.max(now.seconds, now.seconds + left.mean + EARLY_SDS * left.sd - delay);
  // Stopped later than on time, because it is late already, the cup ends above its target.
  const late = Math.max(0, atSeconds - (now.seconds + left.mean + EARLY_SDS * left.sd - delay));
  const final = yieldGrams + late * now.flow;
  const unsure = Math.min(left.sd, delay + 0.2) * now.flow;
  return { atSeconds: round(atSeconds, 2), finalGrams: rounded(interval(final, Math.hypot(drip.sd, unsure))) };
}

function summaryOf(
  request: ValidTraceRequest,
  { path, start, drip, pumpOff }: { path: readonly Flow[]; start: number | null; drip: number; pumpOff: number | null },
): TraceSummary {
  const end = median(path.slice(-5).map(({ grams }) => grams));
  const stopped = pumpOff ?? lastFlowing(path, drip) ?? path.at(-1)!.seconds;
  const before = path.findLast(({ seconds }) => seconds <= stopped);
  // A slow scale has not seen the last moments: they went on as before.
  const atStop = before ? Math.min(end, before.grams + Math.max(0, before.flow) * (stopped - before.seconds)) : end;
  const pour = path.filter(({ seconds }) => seconds >= drip && seconds <= stopped);
  const length = Math.max(stopped - drip, 0.1);
  const meanIn = (from: number, to: number): number | null => {
    const part = pour.filter(({ seconds }) => seconds >= drip + from * length && seconds <= drip + to * length);
    return part.length < 2 ? null : part.reduce((sum, { flow }) => sum + flow, 0) / part.length;
  };
  const [mid, late] = [meanIn(0.25, 0.5), meanIn(0.75, 1)];
  const lateOverMid = mid !== null && late !== null && mid > STILL_FLOW ? late / mid : null;
  const timeSeconds = onTimer(request, stopped, { start, drip });
  return {
    yieldGrams: round(end, 1),
    timeSeconds: timeSeconds === null ? null : round(timeSeconds, 1),
    dripGrams: round(Math.max(0, end - atStop), 2),
    meanFlow: round(atStop / length, 2),
    peakFlow: round(Math.max(0, ...pour.map(({ flow }) => flow)), 2),
    flowLateOverMid: lateOverMid === null ? null : round(lateOverMid, 2),
    isLateRush: lateOverMid !== null && lateOverMid >= LATE_RUSH,
    contactSeconds: start === null ? null : round(stopped - start, 1),
  };
}

function rounded({ mean, p10, p90 }: ReturnType<typeof interval>): ReturnType<typeof interval> {
  return { mean: round(mean, 2), p10: round(p10, 2), p90: round(p90, 2) };
}
