import {
  Inject,
  Injectable,
  Logger as NestLogger,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import { Logger, run, type Runner } from 'graphile-worker';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Pool } from 'pg';
import { QueryTypes, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { CONFIG, type Config } from '../config';
import { heardPool } from '../database/heardPool';
import { Run } from '../runs/run.entity';
import type { Shot } from '../shots/shot.entity';
import { Learner } from './learner';

const TASK = 'learn';
const SERVICE_TASK = 'learn-service';
/** A shot so long after another one stood at another setting tells nothing of the turn. */
const TURN_HOURS = 4;
/** Jobs side by side; those of one grinder always follow each other. */
const CONCURRENCY = 2;
/** One connection listens, the others work. */
const CONNECTIONS = CONCURRENCY + 1;
const LOOK_EVERY_MS = 30;
const RESTART_MS = 5000;

interface ServiceJob {
  shopId: string;
  grinderId: string;
}

interface LearnJob {
  shopId: string;
  runId: string;
}

const queueOf = (shopId: string, grinderId: string): string => `grinder ${shopId} ${grinderId}`;

/**
 * Lessons as durable jobs in PostgreSQL: enqueued in the transaction that makes them due, done by any server process,
 * one grinder's after the other, so that of two dial-ins closed at once both count.
 */
@Injectable()
export class LearningService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly logger = new NestLogger(LearningService.name);
  private pool: Pool | null = null;
  private runner: Runner | null = null;
  private isEnding = false;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly sequelize: Sequelize,
    private readonly learner: Learner,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    this.pool = heardPool({ connectionString: this.config.databaseUrl, max: CONNECTIONS }, (error) =>
      this.logger.warn(error.message),
    );
    await this.start(this.pool);
  }

  private async start(pgPool: Pool): Promise<void> {
    const runner = await run({
      pgPool,
      concurrency: CONCURRENCY,
      noHandleSignals: true,
      logger: new Logger(() => (level, message) => level === 'error' && this.logger.error(message)),
      taskList: {
        [TASK]: (payload) => this.learn(payload as LearnJob),
        [SERVICE_TASK]: (payload) => this.learnService(payload as ServiceJob),
      },
    });
    this.runner = runner;
    runner.promise.catch(async (error: unknown) => {
      this.logger.error({ err: error }, 'The queue of lessons stopped');
      await sleep(RESTART_MS, undefined, { ref: false });
      if (!this.isEnding) await this.start(pgPool);
    });
  }

  private learn({ shopId, runId }: LearnJob): Promise<void> {
    return this.learner.learn(shopId, runId);
  }

  private learnService({ shopId, grinderId }: ServiceJob): Promise<void> {
    return this.learner.learnService(shopId, grinderId);
  }

  /** A shot of service beside another one at another setting: a turn, which tells how the grinder answers. */
  async enqueueService(
    { shopId, stationId, pulledAt, grind, timeSeconds }: Shot,
    transaction: Transaction,
  ): Promise<void> {
    if (grind === null || timeSeconds === null) return;
    const [turned] = await this.sequelize.query<{ grinderId: string }>(
      `SELECT s."grinderId" FROM stations s WHERE s."shopId" = :shopId AND s."id" = :stationId AND EXISTS (
         SELECT 1 FROM shots WHERE "shopId" = s."shopId" AND "stationId" = s."id" AND "grind" <> :grind
           AND "pulledAt" BETWEEN :pulledAt::timestamptz - interval '${TURN_HOURS} hours'
                              AND :pulledAt::timestamptz + interval '${TURN_HOURS} hours')`,
      { replacements: { shopId, stationId, grind, pulledAt }, type: QueryTypes.SELECT, transaction },
    );
    if (!turned) return;
    const queue = queueOf(shopId, turned.grinderId);
    await this.sequelize.query(
      `SELECT graphile_worker.add_job(:task, json_build_object('shopId', :shopId, 'grinderId', :grinderId),
         queue_name := :queue, job_key := :key)`,
      {
        replacements: {
          ...{ task: SERVICE_TASK, shopId, grinderId: turned.grinderId, queue },
          key: `${SERVICE_TASK} ${shopId} ${turned.grinderId}`,
        },
        transaction,
      },
    );
  }

  /** Due once this transaction is committed, and not at all if it is not. */
  async enqueue({ shopId, id, grinderId }: Run, transaction: Transaction): Promise<void> {
    await this.sequelize.query(
      `SELECT graphile_worker.add_job(:task, json_build_object('shopId', :shopId, 'runId', :id),
         queue_name := :queue, job_key := :key)`,
      {
        replacements: { task: TASK, shopId, id, queue: queueOf(shopId, grinderId), key: `${TASK} ${shopId} ${id}` },
        transaction,
      },
    );
  }

  /** After a shot or a tasting of a closed dial-in was corrected, what it taught follows. */
  async enqueueAgain(shopId: string, runId: string | null, transaction: Transaction): Promise<void> {
    if (!runId) return;
    const run = await Run.findOne({ where: { shopId, id: runId }, transaction });
    if (run && run.status !== 'open') await this.enqueue(run, transaction);
  }

  /** Waits until nothing is left to be learned of a grinder, not for long: what comes later is taken up then. */
  async settled(shopId: string, grinderId: string): Promise<void> {
    const deadline = Date.now() + this.config.lessonPatienceMs;
    while ((await this.isDue(shopId, grinderId)) && Date.now() < deadline) await sleep(LOOK_EVERY_MS);
  }

  /** The same for the grinder of a dial-in that is closed; one that is open has nothing to teach yet. */
  async settledFor(shopId: string, runId: string | null): Promise<void> {
    if (!runId) return;
    const run = await Run.findOne({ attributes: ['grinderId', 'status'], where: { shopId, id: runId } });
    if (run && run.status !== 'open') await this.settled(shopId, run.grinderId);
  }

  private async isDue(shopId: string, grinderId: string): Promise<boolean> {
    const [row] = await this.sequelize.query<{ due: boolean }>(
      `SELECT EXISTS (SELECT 1 FROM graphile_worker.jobs
         WHERE "queue_name" = :queue AND "attempts" < "max_attempts") AS "due"`,
      { replacements: { queue: queueOf(shopId, grinderId) }, type: QueryTypes.SELECT },
    );
    return row?.due ?? false;
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.isEnding = true;
    await this.runner?.stop();
    await this.pool?.end();
  }
}
