import {
  Intake,
  readDeviceLine,
  writeLine,
  type DeviceHello,
  type DeviceReport,
  type FromDevice,
  type ToDevice,
} from '@olvet/core';
import type { RawData, WebSocket } from 'ws';

const HELLO_MS = 5000;
/** Reports are passed on together: a page draws no oftener. */
const TOGETHER_MS = 80;
const PING_MS = 4000;
const GOT_MS = 1000;
/** A message between server processes has at most 8000 bytes. */
const MOST_TOGETHER = 40;
/** Before it has said hello, or while it waits, a device may say so much that is wrong. */
const MOST_WRONG = 20;

export interface LineHandlers {
  /** Resolves with who it is and whether it is let in; its complaint is told to the device. */
  onHello: (hello: DeviceHello) => Promise<{ name: string; code: string | null; isIn: boolean }>;
  onReports: (session: string, reports: DeviceReport[]) => void;
  onDone: (done: Extract<FromDevice, { type: 'done' }>) => void;
  onGone: () => void;
}

/** How far each session was taken, so that what a device repeats after a break is known. */
export interface Sessions {
  get(session: string): Intake | undefined;
  set(session: string, intake: Intake): unknown;
}

/** One device's socket: lines in, lines out, and what is wrong contained. */
export class DeviceLine {
  private hello: DeviceHello | null = null;
  private isIn = false;
  private greeting: Promise<void> = Promise.resolve();
  private intake: Intake | null = null;
  private together: DeviceReport[] = [];
  private wrong = 0;
  private isAlive = true;
  private lastWord = '';
  private readonly timers: NodeJS.Timeout[] = [];

  constructor(
    private readonly socket: WebSocket,
    private readonly intakes: Sessions,
    private readonly handlers: LineHandlers,
  ) {
    const impatient = setTimeout(() => this.refuse('say hello first'), HELLO_MS);
    this.timers.push(impatient);
    this.timers.push(setInterval(() => this.flush(), TOGETHER_MS));
    this.timers.push(setInterval(() => this.ping(), PING_MS));
    this.timers.push(setInterval(() => this.acknowledge(), GOT_MS));
    socket.on('message', (data, isBinary) => this.hear(data, isBinary));
    socket.on('pong', () => (this.isAlive = true));
    socket.on('close', () => this.close());
    socket.on('error', () => socket.terminate());
  }

  say(message: ToDevice): void {
    if (this.socket.readyState === this.socket.OPEN) this.socket.send(writeLine(message));
  }

  /** The last word, then the end. */
  refuse(message: string): void {
    this.say({ type: 'refused', message });
    this.socket.close(1008);
  }

  /** Let in in the Workshop, or made to wait again. */
  welcomeIfChanged(device: { name: string; code: string | null; isIn: boolean }): void {
    if (device.isIn !== this.isIn) this.welcome(device);
  }

  private welcome(device: { name: string; code: string | null; isIn: boolean }): void {
    if (!this.hello) return;
    this.isIn = device.isIn;
    const next = this.intake?.next ?? 1;
    const state = device.isIn ? 'in' : 'waiting';
    this.say({ type: 'welcome', name: device.name, state, code: device.code, next });
  }

  private hear(data: RawData, isBinary: boolean): void {
    if (isBinary) return this.complain('only text is understood');
    for (const line of (data as Buffer).toString().split('\n')) {
      if (line === '' || this.socket.readyState !== this.socket.OPEN) continue;
      const read = readDeviceLine(line);
      if (read.ok) this.take(read.message);
      else this.complain(read.error);
    }
  }

  private take(message: FromDevice): void {
    if (message.type === 'hello') {
      if (this.hello) return this.complain('hello was said already');
      this.hello = message;
      clearTimeout(this.timers[0]);
      this.greeting = this.greet(message);
      return;
    }
    if (!this.hello) return this.refuse('say hello first');
    if (message.type === 'done') return this.handlers.onDone(message);
    if (!this.isIn || !this.intake) return;
    const taken = this.intake.take(message, performance.now() / 1000);
    if (taken.is === 'new') this.together.push(message);
    if (taken.is === 'bad') this.complain(taken.why);
    if (this.intake.isHopeless) this.refuse('too much of what comes cannot be taken');
  }

  private async greet(hello: DeviceHello): Promise<void> {
    try {
      const device = await this.handlers.onHello(hello);
      const known = this.intakes.get(hello.session);
      this.intake = known ?? new Intake(hello.kind, hello.oldest - 1);
      this.intakes.set(hello.session, this.intake);
      this.welcome(device);
    } catch (error) {
      this.refuse(error instanceof Error ? error.message : String(error));
    }
  }

  /** Said once while it stays the same complaint, and only so often before the line is cut. */
  private complain(message: string): void {
    if (message !== this.lastWord) this.say({ type: 'ignored', message });
    this.lastWord = message;
    this.wrong += 1;
    if (!this.isIn && this.wrong > MOST_WRONG) this.refuse(message);
    if (this.isIn && this.wrong > 50 * MOST_WRONG) this.refuse(message);
  }

  private flush(): void {
    while (this.together.length > 0) {
      this.handlers.onReports(this.hello!.session, this.together.splice(0, MOST_TOGETHER));
    }
  }

  private acknowledge(): void {
    if (this.isIn && this.intake && this.intake.next > 1) this.say({ type: 'got', seq: this.intake.next - 1 });
  }

  /** A socket that hangs is as good as closed. */
  private ping(): void {
    if (!this.isAlive) return this.socket.terminate();
    this.isAlive = false;
    this.socket.ping();
  }

  private close(): void {
    for (const timer of this.timers) clearInterval(timer);
    this.flush();
    void this.greeting.then(() => this.handlers.onGone());
  }
}
