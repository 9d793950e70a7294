import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import type { Advice, ValidAdviceRequest, Lesson } from '@olvet/core';
import { availableParallelism } from 'node:os';
import { extname, join } from 'node:path';
import { Piscina } from 'piscina';
import { Problem } from '../common/problem';
import type { Computations, Work } from './computeWorker';

/** Requests that may wait for a thread; at 20 ms each the last one waits a third of a second. */
const MOST_WAITING = 16;
const IDLE_MS = 30_000;

const extension = extname(__filename);

/** Core's longer computations, off the thread that answers requests. */
@Injectable()
export class ComputePool implements OnApplicationShutdown {
  private readonly threads = new Piscina({
    filename: join(__dirname, `computeWorker${extension}`),
    // Tests run the sources as they are; a thread of theirs needs the loader, too.
    execArgv: extension === '.ts' ? ['--require', 'tsx/cjs'] : [],
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism() - 1),
    idleTimeout: IDLE_MS,
    maxQueue: Infinity,
  });

  /** @throws Problem `busy` when more are waiting already than can be answered in time */
  async advice(request: ValidAdviceRequest): Promise<Advice> {
    if (this.threads.queueSize >= MOST_WAITING) {
      throw new Problem('busy', 'Too many are asking for advice at once. Ask again in a second.');
    }
    return this.run('advice', request);
  }

  /** Waits its turn however many ask: a lesson is owed. */
  async lesson(request: ValidAdviceRequest): Promise<Lesson> {
    return this.run('lesson', request);
  }

  private async run<N extends keyof Computations>(name: N, request: ValidAdviceRequest) {
    const work: Work = { name, request };
    return (await this.threads.run(work)) as ReturnType<Computations[N]>;
  }

  async onApplicationShutdown(): Promise<void> {
    await this.threads.close();
  }
}
