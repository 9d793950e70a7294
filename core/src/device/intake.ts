import { KINDS_OF_DEVICE, type DeviceFigure, type DeviceKind } from './kinds';
import type { DeviceReport } from './messages';

/** No scale needs more; what comes faster is left out. Readings a second, and how many may come at once after a break. */
export const MOST_PER_SECOND = 100;
const AT_ONCE = 6000;
/** So many more bad messages than good ones and the line is cut. */
export const MOST_BAD = 200;

export type Taken =
  | { is: 'new' }
  /** Had already: a device repeats itself after a break. */
  | { is: 'known' }
  | { is: 'bad'; why: string };

/**
 * What of one device's reports is taken: each once, in its own order, in possible figures, on a clock that runs forward, no more
 * than a scale can need. Time is the receiver's, in seconds.
 */
export class Intake {
  private lastSeq: number;
  private lastMs = -1;
  private room = AT_ONCE;
  private filledAt: number | null = null;
  private bad = 0;

  constructor(
    private readonly kind: DeviceKind,
    lastSeq = 0,
  ) {
    this.lastSeq = lastSeq;
  }

  get next(): number {
    return this.lastSeq + 1;
  }

  /** So much of what came was bad that no more is wanted. */
  get isHopeless(): boolean {
    return this.bad >= MOST_BAD;
  }

  take(report: DeviceReport, now: number): Taken {
    const taken = this.judge(report, now);
    if (taken.is === 'new') [this.lastSeq, this.lastMs, this.bad] = [report.seq, report.ms, Math.max(0, this.bad - 1)];
    if (taken.is === 'bad') this.bad += 1;
    return taken;
  }

  private judge(report: DeviceReport, now: number): Taken {
    if (!this.hasRoom(now)) return { is: 'bad', why: `more than ${MOST_PER_SECOND} messages a second` };
    if (report.seq <= this.lastSeq) return { is: 'known' };
    if (report.ms < this.lastMs) return { is: 'bad', why: 'ms runs backwards: begin another session' };
    const why = wrongFigure(this.kind, report);
    return why === null ? { is: 'new' } : { is: 'bad', why };
  }

  private hasRoom(now: number): boolean {
    const since = this.filledAt === null ? 0 : Math.max(0, now - this.filledAt);
    this.room = Math.min(AT_ONCE, this.room + since * MOST_PER_SECOND);
    this.filledAt = now;
    if (this.room < 1) return false;
    this.room -= 1;
    return true;
  }
}

function wrongFigure(kind: DeviceKind, report: DeviceReport): string | null {
  const { figures, events } = KINDS_OF_DEVICE[kind];
  if (report.type === 'event' && !events.includes(report.event)) return `a ${kind} has no event ${report.event}`;
  for (const [name, value] of Object.entries(report.values ?? {})) {
    const range = figures[name as DeviceFigure];
    if (!range) return `a ${kind} does not measure ${name}`;
    if (value < range.min || value > range.max) return `${name} must be between ${range.min} and ${range.max}`;
  }
  return null;
}
