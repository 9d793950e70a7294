import {
  DEVICE_PROTOCOL,
  readOlvetLine,
  writeLine,
  type DeviceCommand,
  type DeviceEvent,
  type DeviceHello,
  type DeviceReport,
  type DeviceValues,
  type FromDevice,
  type ToDevice,
} from '@olvet/core';
import { randomUUID } from 'node:crypto';
import { WebSocket } from 'ws';

/** Kept for repeating after a break: two minutes of a fast scale. */
const MOST_KEPT = 2400;
const PAUSES_MS = [300, 500, 1000, 2000, 4000];
/** Olvet pings every few seconds; silent for longer, the line is dead though nobody closed it. */
const SILENT_MS = 12_000;

export interface LinkOptions extends Pick<
  DeviceHello,
  'kind' | 'name' | 'unit' | 'capabilities' | 'key' | 'simulated'
> {
  /** Like `ws://127.0.0.1:4790/api/devices/socket`. */
  address: string;
  /** Does as it is told; what is wrong, in words, or null. */
  onCommand?: (command: DeviceCommand, value?: number) => Promise<string | null>;
  /** Told what Olvet says of this device: that it waits, with its code; that it was let in; that it was refused. */
  onWord?: (message: Exclude<ToDevice, { type: 'command' | 'got' }>) => void;
}

/**
 * One device's line to Olvet: says who it is, sends what it measures, and after a break begins again where Olvet lost it. All a real
 * adapter needs is `report` and `happen`.
 */
export class DeviceLink {
  private readonly session = randomUUID();
  private readonly began = performance.now();
  private readonly kept: DeviceReport[] = [];
  private seq = 0;
  private socket: WebSocket | null = null;
  private isIn = false;
  private failures = 0;
  private isEnded = false;
  private silence: NodeJS.Timeout | null = null;

  constructor(private readonly options: LinkOptions) {
    this.connect();
  }

  /** `ms` of the device's own clock, where it has one; else the time since it began. */
  report(values: DeviceValues, ms?: number): void {
    this.keep({ type: 'reading', ...this.stamp(ms), values });
  }

  happen(event: DeviceEvent, values?: DeviceValues, ms?: number): void {
    this.keep({ type: 'event', ...this.stamp(ms), event, ...(values ? { values } : {}) });
  }

  /** Cuts the line as a break would: it is taken up again by itself. */
  interrupt(): void {
    this.socket?.terminate();
  }

  end(): void {
    this.isEnded = true;
    if (this.silence) clearTimeout(this.silence);
    this.socket?.close();
  }

  private stamp(ms = performance.now() - this.began): { seq: number; ms: number } {
    this.seq += 1;
    return { seq: this.seq, ms: Math.round(ms) };
  }

  private keep(report: DeviceReport): void {
    this.kept.push(report);
    if (this.kept.length > MOST_KEPT) this.kept.shift();
    if (this.isIn) this.send(report);
  }

  private send(message: FromDevice): void {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(writeLine(message));
  }

  private connect(): void {
    if (this.isEnded) return;
    const { kind, name, unit, capabilities, key, simulated, address } = this.options;
    const socket = new WebSocket(address, { handshakeTimeout: 5000 });
    this.socket = socket;
    socket.on('open', () => {
      const oldest = this.kept[0]?.seq ?? this.seq + 1;
      const hello = { type: 'hello', protocol: DEVICE_PROTOCOL, kind, name, unit, capabilities, key, oldest } as const;
      this.send({ ...hello, session: this.session, ...(simulated ? { simulated } : {}) });
      this.hear();
    });
    socket.on('ping', () => this.hear());
    socket.on('message', (data: Buffer) => {
      this.hear();
      for (const line of data.toString().split('\n')) if (line !== '') this.take(line);
    });
    socket.on('close', () => this.again());
    // What went wrong is told by the close that follows.
    socket.on('error', () => {});
  }

  private hear(): void {
    if (this.silence) clearTimeout(this.silence);
    this.silence = setTimeout(() => this.socket?.terminate(), SILENT_MS);
  }

  private again(): void {
    this.isIn = false;
    if (this.silence) clearTimeout(this.silence);
    if (this.isEnded) return;
    setTimeout(() => this.connect(), PAUSES_MS[Math.min(this.failures, PAUSES_MS.length - 1)]);
    this.failures += 1;
  }

  private async obey({ id, command, value }: Extract<ToDevice, { type: 'command' }>): Promise<void> {
    const why = (await this.options.onCommand?.(command, value)) ?? null;
    this.send({ type: 'done', id, ok: why === null, ...(why === null ? {} : { message: why }) });
  }

  private take(line: string): void {
    const read = readOlvetLine(line);
    if (!read.ok) return;
    const { message } = read;
    switch (message.type) {
      case 'welcome':
        this.failures = 0;
        this.isIn = message.state === 'in';
        if (this.isIn) for (const report of this.kept) if (report.seq >= message.next) this.send(report);
        this.options.onWord?.(message);
        return;
      case 'command':
        void this.obey(message);
        return;
      case 'got':
        return;
      default:
        this.options.onWord?.(message);
    }
  }
}
