import {
  readTrace,
  requestOf,
  roundTo,
  type DeviceReport,
  type LearnedStop,
  type LiveEvent,
  type PullMark,
  type PullMarkKind,
  type TraceAnswer,
  type ValidTraceRequest,
} from '@olvet/core';
import { markAt, secondsOf, traceOf, withMark, withoutMark, zeroOf, type LivePull, type Seen } from './livePull';

/** What tells of this shot. */
export interface PullDevices {
  scaleId: string | null;
  machineId: string | null;
}

export interface RecorderOptions {
  /** This page's clock, ms since 1970. */
  now: () => number;
  read: (request: ValidTraceRequest) => Promise<TraceAnswer>;
  /** Called whenever it changed; the last value is to be kept. */
  onChange: (pull: LivePull) => void;
  learned: LearnedStop;
}

/** Kept of what came before the start, ms. */
const WAITING_KEPT_MS = 20_000;
/** Words and buttons need no more. */
const TOLD_EVERY_MS = 200;
const KEPT_EVERY_MS = 1000;
/** No stream pours so much from one reading to the next, g. */
const CUP_GRAMS = 8;
/** After the stop a scale is followed so long at most. */
const SETTLES_SECONDS = 12;

export interface Snapshot {
  pull: LivePull;
  trace: TraceAnswer | null;
  /** Now, from the start. */
  seconds: number;
}

/**
 * One shot as it happens: what devices say and hands mark goes in, what it means comes out. It owns no timer and no socket; whoever
 * does calls `take` and `tick`.
 */
export class Recorder {
  private trace: TraceAnswer | null = null;
  private lastBar: number | null = null;
  private lastCelsius: number | null = null;
  private isReading = false;
  private isStale = false;
  private readonly watchers = new Set<() => void>();
  private shown: Snapshot;
  private wasChanged = false;
  private isUrgent = false;
  private keptAt = -Infinity;
  private toldAt = -Infinity;

  constructor(
    private pull: LivePull,
    private devices: PullDevices,
    private options: RecorderOptions,
  ) {
    this.shown = { pull, trace: null, seconds: 0 };
    this.show();
    this.isStale = pull.seen.length > 0;
  }

  subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  /** As it was last told: several times a second, not at every reading. */
  snapshot = (): Snapshot => this.shown;

  /** As it is at this very moment, for what is drawn frame by frame. */
  fine = (): Snapshot => {
    const { startedAt, stoppedSeconds } = this.pull;
    const now = startedAt === null ? 0 : Math.max(0, secondsOf(this.pull, this.options.now()));
    return { pull: this.pull, trace: this.trace, seconds: stoppedSeconds ?? now };
  };

  get isRunning(): boolean {
    return this.pull.startedAt !== null && this.pull.stoppedSeconds === null;
  }

  follow(devices: PullDevices, learned: LearnedStop): void {
    this.devices = devices;
    this.options = { ...this.options, learned };
  }

  /** From the hand or the machine; `at` on this page's clock. */
  start(at = this.options.now(), kind: 'pump-on' | 'first-drip' = 'pump-on'): void {
    if (this.pull.startedAt !== null) return;
    this.change({ ...this.pull, startedAt: at, marks: [{ kind, seconds: 0 }] });
  }

  /** From zero: what was taken so far was no shot. */
  restart(): void {
    this.trace = null;
    const { machineSeconds: _ofBefore, ...pull } = this.pull;
    this.change({ ...pull, startedAt: null, stoppedSeconds: null, marks: [], seen: [] });
  }

  /** As the tablet that holds it says it stands. */
  adopt({ startedAt, marks }: Pick<LivePull, 'startedAt' | 'marks'>): void {
    const pull = { ...this.pull, startedAt, marks };
    this.change({ ...pull, stoppedSeconds: markAt(pull, 'pump-off') });
  }

  stop(at = this.options.now()): void {
    if (!this.isRunning) return;
    const seconds = Math.max(0, secondsOf(this.pull, at));
    this.change({ ...withMark(this.pull, { kind: 'pump-off', seconds }), stoppedSeconds: seconds });
  }

  mark(kind: PullMarkKind, clock?: number): void {
    const seconds = roundTo(secondsOf(this.pull, this.options.now()), 1);
    this.change(withMark(this.pull, { kind, seconds, ...(clock ? { clock } : {}) }));
  }

  unmark(mark: PullMark): void {
    this.change(withoutMark(this.pull, mark));
  }

  /** A mark put elsewhere by hand; the stop takes the time with it. */
  move(mark: PullMark, seconds: number): void {
    const moved = withMark(withoutMark(this.pull, mark), { ...mark, seconds: roundTo(Math.max(0, seconds), 1) });
    const stoppedSeconds = mark.kind === 'pump-off' ? Math.max(0, seconds) : this.pull.stoppedSeconds;
    this.change({ ...moved, stoppedSeconds });
  }

  /** What a device sent, each once. */
  take(event: LiveEvent): void {
    if (event.kind !== 'reports') return;
    const { deviceId, session, reports } = event;
    const { scaleId, machineId } = this.devices;
    if (deviceId !== scaleId && deviceId !== machineId) return;
    const now = this.options.now();
    const known = this.pull.followed[deviceId];
    const followed = known?.session === session ? { ...known } : { session, lastSeq: 0, offset: Infinity };
    const seen: Seen[] = [];
    // The newest is the least late; what comes with it happened before it by the device's own clock.
    followed.offset = Math.min(followed.offset, now - (reports.at(-1)?.ms ?? -Infinity));
    for (const report of reports) {
      if (report.seq <= followed.lastSeq) continue;
      followed.lastSeq = report.seq;
      const at = report.ms + followed.offset;
      if (report.type === 'event') this.happened(report.event, at);
      if (deviceId === machineId) this.noteMachine(report, at);
      const grams = deviceId === scaleId ? report.values?.grams : undefined;
      if (report.type === 'event' || (scaleId !== null && grams === undefined)) continue;
      seen.push([at, grams ?? null, this.lastBar, this.lastCelsius]);
    }
    this.pull = { ...this.pull, followed: { ...this.pull.followed, [deviceId]: followed } };
    if (seen.length > 0 && !this.isSettled) this.keep(seen, now);
  }

  /** Once a tenth of a second: the clock goes on, and what is new is read. */
  tick(): void {
    const now = this.options.now();
    // What a hand did is kept at once; readings can be asked for again, and copying them all takes its time.
    if (this.wasChanged && (this.isUrgent || now - this.keptAt >= KEPT_EVERY_MS)) {
      [this.wasChanged, this.isUrgent, this.keptAt] = [false, false, now];
      this.options.onChange(this.pull);
    }
    this.show(false);
    if (this.isStale && !this.isReading) void this.readNow();
  }

  private get isSettled(): boolean {
    const { stoppedSeconds } = this.pull;
    if (stoppedSeconds === null) return false;
    return (
      this.trace?.phase === 'settled' || secondsOf(this.pull, this.options.now()) > stoppedSeconds + SETTLES_SECONDS
    );
  }

  private noteMachine({ values }: DeviceReport, at: number): void {
    this.lastBar = values?.bar ?? this.lastBar;
    this.lastCelsius = values?.celsius ?? this.lastCelsius;
    const { startedAt } = this.pull;
    // Before its first moment it still shows the shot before.
    if (values?.shotSeconds === undefined || startedAt === null || at < startedAt) return;
    this.pull = { ...this.pull, machineSeconds: values.shotSeconds };
  }

  private happened(event: Extract<DeviceReport, { type: 'event' }>['event'], at: number): void {
    if (event === 'pump-on') this.start(at);
    const { startedAt } = this.pull;
    // What is told late may be of the shot before.
    const isOfThis = startedAt !== null && at > startedAt;
    if (event === 'pump-off' && isOfThis) this.stop(at);
    if (event === 'soak-ended' && isOfThis && this.isRunning) {
      this.change(withMark(this.pull, { kind: 'soak-ended', seconds: secondsOf(this.pull, at) }));
    }
    // What was weighed before a tare is another zero.
    if (event === 'tared' && this.pull.startedAt === null) this.pull = { ...this.pull, seen: [] };
  }

  private keep(seen: Seen[], now: number): void {
    const all = [...this.pull.seen, ...seen];
    // Scale and machine come over two ways: a moment late, one may be before the other.
    if (seen[0]![0] < (this.pull.seen.at(-1)?.[0] ?? 0)) all.sort((one, other) => one[0] - other[0]);
    const kept = this.pull.startedAt === null ? sinceCup(all, now - WAITING_KEPT_MS) : all;
    this.pull = { ...this.pull, seen: kept, changedAt: now };
    this.isStale = true;
    this.wasChanged ||= this.pull.startedAt !== null;
    this.show(false);
  }

  private async readNow(): Promise<void> {
    this.isReading = true;
    this.isStale = false;
    try {
      const [of, zero] = [this.pull.startedAt, zeroOf(this.pull)];
      const trace = await this.options.read(this.question());
      if (of === this.pull.startedAt) this.understand(trace, zero);
    } catch {
      // A worker that failed costs one look; the next reading asks again.
    } finally {
      this.isReading = false;
    }
  }

  private question(): ValidTraceRequest {
    const { plan } = this.pull;
    const { doseGrams, yieldGrams } = plan.settings;
    const asked = requestOf(traceOf(this.pull), { doseGrams, yieldGrams, timer: plan.timer });
    const { drip, delaySeconds } = this.options.learned;
    return {
      ...asked,
      target: { ...asked.target, timeSeconds: plan.timeSeconds },
      drip,
      stopDelaySeconds: delaySeconds,
    };
  }

  private understand(trace: TraceAnswer, zero: number): void {
    this.trace = trace;
    const { startedAt } = this.pull;
    if (startedAt === null) {
      // Without a machine that tells of its pump, the first grams begin it.
      const isAlone = this.devices.machineId === null;
      if (isAlone && trace.firstDripSeconds !== null) this.start(zero + 1000 * trace.firstDripSeconds, 'first-drip');
    } else if (this.isRunning && trace.phase === 'settled' && trace.summary?.contactSeconds != null) {
      this.stop(startedAt + 1000 * (trace.summary.contactSeconds + (trace.startSeconds ?? 0)));
    }
    this.cue(trace);
    this.show(false);
  }

  /** The moment to stop, once it has come, is a mark: from it the hand's delay is learned. */
  private cue(trace: TraceAnswer): void {
    if (!this.isRunning || !trace.stop || markAt(this.pull, 'cue') !== null) return;
    const now = secondsOf(this.pull, this.options.now());
    if (now >= trace.stop.atSeconds) this.change(withMark(this.pull, { kind: 'cue', seconds: roundTo(now, 2) }));
  }

  private change(pull: LivePull): void {
    this.pull = { ...pull, changedAt: this.options.now() };
    this.isStale ||= this.pull.seen.length > 0;
    this.wasChanged = true;
    this.isUrgent = true;
    this.show();
  }

  /** Told at once where a hand acted, else only so often: a page that is built again at every reading would stutter. */
  private show(isUrgent = true): void {
    const now = this.options.now();
    if (!isUrgent && now - this.toldAt < TOLD_EVERY_MS) return;
    this.toldAt = now;
    this.shown = this.fine();
    for (const watcher of this.watchers) watcher();
  }
}

/** What a cup put down or lifted changes is no coffee: only what came after it counts, and nothing older than `from`. */
function sinceCup(seen: Seen[], from: number): Seen[] {
  const moved = seen.findLastIndex(([, grams], i) => {
    const before = seen[i - 1]?.[1];
    return grams !== null && before != null && Math.abs(grams - before) > CUP_GRAMS;
  });
  const first = Math.max(
    moved,
    seen.findIndex(([at]) => at >= from),
  );
  return first > 0 ? seen.slice(first) : seen;
}

/** Reads in place: for tests, and where there is no worker. */
export const readInPlace = (request: ValidTraceRequest): Promise<TraceAnswer> => Promise.resolve(readTrace(request));
