import { fieldErrorsOf, type FieldError } from '../../formats/fieldErrors';
import { roundTo } from '../../brew/snap';
import {
  dayRequestSchema,
  type DayAnswer,
  type DayReason,
  type DayReasonCode,
  type DayState,
  type ValidDayRequest,
} from './contract';
import { meanOf } from './filter';
import { follow, outside, slopeOf, type Followed } from './follow';
import { limitsOf, moveFor, shiftSeconds } from './move';
import { CRAFT, NOISE } from './noise';
import { doseCreep, suspectsOf } from './suspects';
import { REASON_TEXTS } from './texts';

export type ParsedDayRequest = { ok: true; request: ValidDayRequest } | { ok: false; errors: FieldError[] };

/** Checks a would-be request; every error names its field. */
export function parseDayRequest(value: unknown): ParsedDayRequest {
  const result = dayRequestSchema.safeParse(value);
  return result.success ? { ok: true, request: result.data } : { ok: false, errors: fieldErrorsOf(result.error) };
}

/** How a station stands, and the small move that brings it back. Pure: the same request gives the same answer. */
export function judgeDay(request: ValidDayRequest): DayAnswer {
  const followed = follow(request);
  const answer = {
    ...{ schema: 'olvet.day/1' as const, id: request.id ?? null },
    shiftSeconds: shiftSeconds(request, followed),
  };
  const nothing = { action: 'none' as const, move: null, suspects: [] };
  if (followed.shots.length === followed.todayFrom) {
    return { ...answer, ...nothing, state: 'unknown', checkAt: request.now, why: [reason('no-shots', {})] };
  }
  if (isJustTurned(followed)) {
    const waits = { state: 'steady' as const, action: 'check' as const, checkAt: request.now };
    return { ...answer, ...nothing, ...waits, why: [reason('just-turned', {})] };
  }
  const sides = outside(followed, request);
  const side: 1 | -1 = sides.slow >= sides.fast ? 1 : -1;
  const chance = Math.max(sides.slow, sides.fast);
  const move = moveFor(request, followed);
  const isWorth =
    typeof move === 'string'
      ? chance >= CRAFT.driftsFrom
      : move.gain >= (chance >= CRAFT.movesFrom ? CRAFT.gainFrom : CRAFT.surelyFrom);
  const isDrift = isWorth && isRun(followed, side);
  if (!isDrift) return { ...answer, ...standing(request, followed, chance) };
  const now = Date.parse(request.now);
  const suspects = suspectsOf(followed, side, now);
  const creep = doseCreep(followed);
  const why = [
    reason('run', {
      shots: runLength(followed, side),
      seconds: Math.abs(answer.shiftSeconds.mean),
      side: side > 0 ? 'long' : 'short',
    }),
    ...(suspects.length > 0 ? [reason('suspects', { suspects: suspects.join(', ') })] : []),
    ...(creep === null ? [] : [reason('dose-creeps', { grams: roundTo(creep, 1) })]),
  ];
  const state: DayState = side > 0 ? 'drifting-slow' : 'drifting-fast';
  const drift = { ...answer, state, suspects, checkAt: request.now };
  if (unhelped(request, followed, side) >= CRAFT.unhelpedMoves) {
    return {
      ...drift,
      action: 'dial-in',
      move: null,
      why: [...why, reason('did-not-help', { moves: CRAFT.unhelpedMoves })],
    };
  }
  if (move === 'limit') {
    const { left } = limitsOf(request, followed);
    return { ...drift, action: 'dial-in', move: null, why: [...why, reason('limit', { left })] };
  }
  if (move === 'no-step') return { ...drift, action: 'none', move: null, why: [...why, reason('no-step', {})] };
  const { gain: _gain, ...turn } = move;
  return { ...drift, action: 'move', move: turn, why };
}

/** A turn that no shot has shown yet: what came before says nothing of it. */
function isJustTurned({ shots, around }: Followed): boolean {
  const last = shots.at(-1)!.at;
  return around.events.some(({ at, kind }) => kind === 'grind-changed' && at > last);
}

/** Not a drift: on time, odd once, or not yet to be told. */
function standing(request: ValidDayRequest, followed: Followed, chance: number) {
  const nothing = { action: 'none' as const, move: null, suspects: [] };
  const last = followed.shots.at(-1)!;
  const seconds = roundTo(request.card.timeSeconds.mean * Math.exp(last.log), 1);
  if (followed.lastOdd >= CRAFT.oddFrom && last.doubt === 'none') {
    return {
      ...nothing,
      state: 'odd-shot' as const,
      action: 'check' as const,
      checkAt: request.now,
      why: [reason('one-odd', { seconds })],
    };
  }
  if (chance >= CRAFT.checkFrom) {
    return {
      ...nothing,
      state: 'steady' as const,
      action: 'check' as const,
      checkAt: request.now,
      why: [reason('maybe', { percent: Math.round(100 * chance) })],
    };
  }
  const shift = roundTo(request.card.timeSeconds.mean * Math.expm1(meanOf(followed.shift) - followed.standard), 1);
  const why = followed.standard === 0 ? reason('on-time', { seconds: shift }) : reason('turned', { seconds: shift });
  return { ...nothing, state: 'steady' as const, checkAt: nextCheck(request, followed), why: [why] };
}

/** So many of the last shots since the last turn, none known to be spoilt, lie on that side; one alone is never a run. */
function isRun(followed: Followed, side: 1 | -1): boolean {
  return runLength(followed, side) >= CRAFT.runShots;
}

function runLength({ shots, turns, standard }: Followed, side: 1 | -1): number {
  const clean = shots.map((shot, i) => ({ ...shot, i })).filter(({ doubt }) => doubt === 'none');
  // As it would have run where the grind stands now: a turn does not end a run that it was too small for.
  const turnedAfter = (at: number): number =>
    turns.reduce((sum, { index, expected }) => (index > at ? sum + expected : sum), 0);
  const broken = clean.findLastIndex(({ log, i }) => side * (log + turnedAfter(i) - standard) <= 0);
  return clean.length - 1 - broken;
}

/** Moves of today that should have brought the time back and clearly brought less than half of it. */
function unhelped(request: ValidDayRequest, followed: Followed, side: 1 | -1): number {
  const { shots, turns, todayFrom, puckSd } = followed;
  const slope = slopeOf(request);
  const told = turns.filter(({ index, expected }) => index >= todayFrom && expected * side < 0);
  const failed = told.map((turn) => {
    const i = turns.indexOf(turn);
    const before = own(shots.slice(turns[i - 1]?.index ?? todayFrom, turn.index));
    const after = own(shots.slice(turn.index, turns[i + 1]?.index));
    if (before.length < 2 || after.length < 2) return false;
    const brought = average(after) - average(before);
    const spread = Math.hypot(puckSd * Math.sqrt(1 / before.length + 1 / after.length), slope.sd * turn.units);
    return Math.sign(turn.expected) * (brought - turn.expected / 2) < -CRAFT.unhelpedSpreads * spread;
  });
  const lastHelped = failed.lastIndexOf(false);
  return failed.length - 1 - lastHelped;
}

/** The newest few of a stretch that nothing is known against, ln. */
function own(shots: Followed['shots']): number[] {
  return shots
    .filter(({ doubt }) => doubt === 'none')
    .slice(-6)
    .map(({ log }) => log);
}

function average(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Between these many minutes from now. */
const CHECK_MINUTES = { least: 20, most: 180 };

/** When a slow walk may have left the tolerance by a fifth. */
function nextCheck(request: ValidDayRequest, followed: Followed): string {
  const room = Math.log1p(request.toleranceSeconds / request.card.timeSeconds.mean) - Math.abs(meanOf(followed.shift));
  const hours = (room / (1.28 * NOISE.walk.perHour)) ** 2;
  const minutes = Math.min(CHECK_MINUTES.most, Math.max(CHECK_MINUTES.least, 60 * hours));
  // From the last shot, which is what is known; what lies behind now is due now.
  const at = followed.shots.at(-1)!.at + 60_000 * Math.round(minutes);
  return new Date(Math.max(Date.parse(request.now), at)).toISOString();
}

function reason(code: DayReasonCode, facts: DayReason['facts']): DayReason {
  return { code, facts, text: REASON_TEXTS[code](facts) };
}
