import {
  Inject,
  Injectable,
  Logger,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import type { DeviceHello, Intake } from '@olvet/core';
import { LRUCache } from 'lru-cache';
import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { WebSocketServer, type WebSocket } from 'ws';
import { CONFIG, type Config } from '../config';
import { isAtThisMachine, LOOPBACK_NAMES, whyNotOwn } from '../door/ownPages';
import { LiveService } from '../live/live.service';
import { ShopService } from '../shop/shop.service';
import type { Device } from './device.entity';
import { DeviceLine } from './deviceLine';
import { DevicesService, SEEN_EVERY_MS } from './devices.service';

export const DEVICE_SOCKET = '/api/devices/socket';
const LONGEST_MESSAGE = 64 * 1024;
const MOST_SOCKETS = 100;
/** Sessions whose count is remembered, so that what is repeated after a break is known. */
const MOST_SESSIONS = 200;

/** Where devices come in: one WebSocket each, newline-delimited JSON (docs/devices.md). */
@Injectable()
export class DeviceGateway implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly logger = new Logger(DeviceGateway.name);
  private readonly sockets = new WebSocketServer({ noServer: true, maxPayload: LONGEST_MESSAGE });
  private readonly lines = new Map<string, DeviceLine>();
  private readonly intakes = new LRUCache<string, Intake>({ max: MOST_SESSIONS });
  private beat: NodeJS.Timeout | null = null;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly adapter: HttpAdapterHost,
    private readonly devices: DevicesService,
    private readonly shops: ShopService,
    private readonly live: LiveService,
  ) {}

  onApplicationBootstrap(): void {
    const server = this.adapter.httpAdapter.getHttpServer() as Server;
    server.on('upgrade', (request, socket, head) => this.upgrade(request, socket, head));
    this.live.events.subscribe(({ shopId, event }) => {
      if (event.kind === 'device') void this.tellChange(shopId, event.deviceId);
      if (event.kind === 'command') {
        const { deviceId, id, command, value } = event;
        this.lines.get(deviceId)?.say({ type: 'command', id, command, ...(value === undefined ? {} : { value }) });
      }
    });
    this.beat = setInterval(() => void this.seeAll(), SEEN_EVERY_MS);
    this.beat.unref();
  }

  beforeApplicationShutdown(): void {
    if (this.beat) clearInterval(this.beat);
    for (const socket of this.sockets.clients) socket.terminate();
    this.sockets.close();
  }

  private upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    const why = this.whyNot(request);
    if (why !== null) {
      socket.end(`HTTP/1.1 ${why.status}\r\nContent-Type: text/plain\r\nConnection: close\r\n\r\n${why.message}\n`);
      return;
    }
    this.sockets.handleUpgrade(request, socket, head, (opened) => this.open(opened, isAtThisMachine(request)));
  }

  /** A page elsewhere can open a socket to this machine; its browser says where the page came from. */
  private whyNot(request: IncomingMessage): { status: string; message: string } | null {
    if (request.url?.split('?')[0] !== DEVICE_SOCKET) return { status: '404 Not Found', message: 'no socket here' };
    const why = whyNotOwn(request.headers, [...LOOPBACK_NAMES, ...this.config.networkNames]);
    if (why) return { status: '403 Forbidden', message: why.message };
    if (this.sockets.clients.size < MOST_SOCKETS) return null;
    return { status: '503 Service Unavailable', message: 'too many devices are connected' };
  }

  private open(socket: WebSocket, isHere: boolean): void {
    let device: Device | null = null;
    let telling = Promise.resolve();
    const line = new DeviceLine(socket, this.intakes, {
      onHello: async (hello: DeviceHello) => {
        const shopId = await this.shops.currentId();
        device = await this.devices.meet(shopId, hello, isHere);
        // The same device once more: the newer line counts.
        this.lines.get(device.id)?.refuse('this device has connected again from elsewhere');
        this.lines.set(device.id, line);
        await this.live.tell(shopId, { kind: 'device', deviceId: device.id });
        return standing(device);
      },
      onReports: (session, reports) => {
        // One after the other: over two connections of the database the later could be heard first.
        telling = telling.then(() =>
          this.safely(this.live.tell(device!.shopId, { kind: 'reports', deviceId: device!.id, session, reports })),
        );
      },
      onDone: ({ id, ok, message }) =>
        void this.safely(this.live.tell(device!.shopId, { kind: 'done', id, ok, ...(message ? { message } : {}) })),
      onGone: () => {
        if (!device || this.lines.get(device.id) !== line) return;
        this.lines.delete(device.id);
        void this.safely(this.leave(device));
      },
    });
  }

  private async leave({ shopId, id }: Device): Promise<void> {
    await this.devices.see(shopId, id, false);
    await this.live.tell(shopId, { kind: 'device', deviceId: id });
  }

  private async tellChange(shopId: string, deviceId: string): Promise<void> {
    const line = this.lines.get(deviceId);
    if (!line) return;
    const device = await this.devices.find(shopId, deviceId);
    if (!device || device.retiredAt) return line.refuse('it was put away in the Workshop');
    line.welcomeIfChanged(standing(device));
  }

  private async seeAll(): Promise<void> {
    const shopId = await this.shops.currentId();
    await Promise.all([...this.lines.keys()].map((id) => this.devices.see(shopId, id, true).catch(() => {})));
  }

  /** A database that is away for a moment costs readings, not the process; the device sends on. */
  private safely(work: Promise<void>): Promise<void> {
    return work.catch((error: unknown) => this.logger.warn(String(error)));
  }
}

function standing({ name, code, letInAt }: Device): { name: string; code: string | null; isIn: boolean } {
  return { name, code: letInAt ? null : code, isIn: letInAt !== null };
}
