import type { PullMark, PullMarkKind, Settings, ShotKind, StoredTrace, TimerStart } from '@olvet/core';
import { roundTo, TRACE_COLUMNS } from '@olvet/core';

/** What a shot is meant to be. `grind` is null where nobody knows where the grinder stands. */
export interface PullPlan {
  settings: Omit<Settings, 'grind'> & { grind: number | null };
  timeSeconds: { min: number; max: number };
  timer: TimerStart;
}

/** One moment as the devices saw it, on this page's clock, ms since 1970; null where nobody measures it. */
export type Seen = [at: number, grams: number | null, bar: number | null, celsius: number | null];

/** How far a device was followed, and how its clock lies to ours. */
export interface Followed {
  session: string;
  lastSeq: number;
  /** Added to the device's milliseconds. */
  offset: number;
}

/** A shot as it lives on this tablet, whole: kept here, it survives a page that is loaded again. */
export interface LivePull {
  /** Of the shot, too, once it is saved. */
  id: string;
  /** The dial-in or the station it belongs to. */
  place: string;
  stationId: string;
  runId: string | null;
  kind: ShotKind;
  plan: PullPlan;
  /** ms since 1970; null before the shot has begun. */
  startedAt: number | null;
  /** From the start; null while it runs. */
  stoppedSeconds: number | null;
  marks: PullMark[];
  seen: Seen[];
  followed: Record<string, Followed>;
  /** What the machine's own timer showed last; left out where it has none. */
  machineSeconds?: number;
  changedAt: number;
}

/** The trace keeps what came so long before the start: the empty cup. */
const BEFORE_SECONDS = 3;
/** While nothing has begun, so much is looked at for the first grams. */
const WAITING_SECONDS = 6;

/** Marks there is one of: a second one replaces it. */
const ONCE = new Set<PullMarkKind>([
  ...(['pump-on', 'covered', 'first-drip', 'paling', 'pump-off', 'soak-ended', 'ten-grams', 'spoilt', 'cue'] as const),
]);

export function secondsOf({ startedAt }: LivePull, at: number): number {
  return startedAt === null ? 0 : roundTo((at - startedAt) / 1000, 2);
}

/** With a mark; of what happens once, the last word counts. */
export function withMark(pull: LivePull, mark: PullMark): LivePull {
  const others = ONCE.has(mark.kind) ? pull.marks.filter(({ kind }) => kind !== mark.kind) : pull.marks;
  return { ...pull, marks: [...others, mark].sort((one, other) => one.seconds - other.seconds) };
}

export function withoutMark(pull: LivePull, mark: PullMark): LivePull {
  return { ...pull, marks: pull.marks.filter((other) => other !== mark) };
}

export function markAt({ marks }: LivePull, kind: PullMarkKind): number | null {
  return marks.find((mark) => mark.kind === kind)?.seconds ?? null;
}

/** Where a trace begins to count: the start, or some seconds back while nothing has begun. */
export function zeroOf({ startedAt, seen }: LivePull): number {
  return startedAt ?? (seen.at(-1)?.[0] ?? 0) - 1000 * WAITING_SECONDS;
}

/** As it is kept: zero is the start, and columns nobody measured are left out. */
export function traceOf(pull: LivePull): StoredTrace {
  const { seen, marks } = pull;
  const zero = zeroOf(pull);
  const rows = seen
    .filter(([at]) => at >= zero - 1000 * BEFORE_SECONDS)
    .map(([at, ...figures]) => [roundTo((at - zero) / 1000, 2), ...figures]);
  const columns = TRACE_COLUMNS.flatMap((column, j) =>
    column === 'seconds' || rows.some((row) => row[j] !== null) ? [{ column, j }] : [],
  );
  return {
    columns: columns.map(({ column }) => column),
    rows: columns.length === 1 ? [] : rows.map((row) => columns.map(({ j }) => row[j]!)),
    marks,
  };
}
