import {
  Inject,
  Injectable,
  Logger,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import type { DeviceCommand, LiveEvent } from '@olvet/core';
import { Client } from 'pg';
import { Subject, type Observable } from 'rxjs';
import { setTimeout as sleep } from 'node:timers/promises';
import { QueryTypes, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { CONFIG, type Config } from '../config';

const CHANNEL = 'olvet_live';
const AGAIN_MS = 500;

/** Between server processes alone. */
export type HouseEvent =
  | LiveEvent
  | { kind: 'command'; deviceId: string; id: string; command: DeviceCommand; value?: number }
  | { kind: 'done'; id: string; ok: boolean; message?: string };

interface Told {
  shopId: string;
  event: HouseEvent;
}

/**
 * What happens in the house, told to every server process by PostgreSQL's LISTEN and NOTIFY. Whoever was away hears nothing of it
 * afterwards and reads again instead.
 */
@Injectable()
export class LiveService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly logger = new Logger(LiveService.name);
  private readonly told = new Subject<Told>();
  private client: Client | null = null;
  private isEnding = false;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly sequelize: Sequelize,
  ) {}

  /** Everything told from now on. */
  get events(): Observable<Told> {
    return this.told;
  }

  /** Heard by every process once the transaction is committed, this one included. A message has at most 8000 bytes. */
  async tell(shopId: string, event: HouseEvent, transaction?: Transaction): Promise<void> {
    await this.sequelize.query('SELECT pg_notify(:channel, :told)', {
      replacements: { channel: CHANNEL, told: JSON.stringify({ shopId, event }) },
      type: QueryTypes.SELECT,
      transaction,
    });
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.listen();
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.isEnding = true;
    this.told.complete();
    await this.client?.end();
  }

  private async listen(): Promise<void> {
    while (!this.isEnding) {
      const client = new Client({ connectionString: this.config.databaseUrl });
      try {
        client.on('error', (error) => this.logger.warn(error.message));
        client.on('end', () => this.listenAgain());
        client.on('notification', ({ payload }) => this.told.next(JSON.parse(payload!) as Told));
        await client.connect();
        await client.query(`LISTEN ${CHANNEL}`);
        this.client = client;
        return;
      } catch (error) {
        this.logger.warn(String(error));
        client.removeAllListeners('end');
        await sleep(AGAIN_MS, undefined, { ref: false });
      }
    }
  }

  private listenAgain(): void {
    if (!this.isEnding) void this.listen();
  }
}
