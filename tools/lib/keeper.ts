import type { ChildProcess } from 'node:child_process';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Cluster } from './cluster';
import { say } from './say';

/** Pauses before what died is started again; after the last one it is left, with words. */
const PAUSES_SECONDS = [0.2, 0.5, 1, 2, 4];
/** Up so long, a process has recovered, and its next death is a first one. */
const RECOVERED_MS = 30_000;
const LOOK_EVERY_MS = 500;

export interface Kept {
  startServer: () => Promise<ChildProcess>;
  cluster: Cluster | null;
  /** Asked before every new start: whether somebody has ended it all meanwhile. */
  isEnding: () => boolean;
  /** It does not stay up. */
  onGivenUp: () => void;
}

/** Starts server and database again when they die by themselves. */
export class Keeper {
  private deaths = 0;
  private upSince = Date.now();

  constructor(private readonly kept: Kept) {}

  watch(server: ChildProcess): void {
    server.once('exit', (code, signal) => {
      if (!this.kept.isEnding()) void this.restart(`The server ended (${signal ?? `exit code ${code}`}).`);
    });
  }

  /** PostgreSQL is no child of ours: it is looked after by its process id. */
  watchDatabase(): void {
    const { cluster, isEnding } = this.kept;
    if (!cluster) return;
    const look = async (): Promise<void> => {
      while (!isEnding()) {
        await sleep(LOOK_EVERY_MS, undefined, { ref: false });
        if (isEnding()) return;
        try {
          if (await cluster.revive()) say('The database had ended; it was started again.');
        } catch (error) {
          if (!(await this.pause(`The database did not start again: ${String(error)}`))) return;
        }
      }
    };
    void look();
  }

  private async restart(what: string): Promise<void> {
    if (!(await this.pause(what))) return;
    try {
      this.watch(await this.kept.startServer());
      say('The server is back.');
    } catch (error) {
      await this.restart(error instanceof Error ? error.message : String(error));
    }
  }

  /** Waits longer each time; false where it is over. */
  private async pause(what: string): Promise<boolean> {
    if (Date.now() - this.upSince > RECOVERED_MS) this.deaths = 0;
    const seconds = PAUSES_SECONDS[this.deaths];
    if (seconds === undefined) {
      say(`${what} It does not stay up; Olvet gives up. What it said stands above.`);
      this.kept.onGivenUp();
      return false;
    }
    this.deaths += 1;
    say(`${what} Starting it again in ${seconds} s …`);
    await sleep(seconds * 1000);
    this.upSince = Date.now();
    return !this.kept.isEnding();
  }
}
