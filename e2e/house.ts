import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createDatabase, withDatabase } from '../tools/lib/cluster';
import { endChild, freePort } from '../tools/lib/processes';
import { startServer } from '../tools/lib/server';
import { startStandIns, whenAllThere } from '../tools/lib/standins';

/** A demo shop of its own, with devices, whose server can be taken away and put back. */
export class House {
  url = '';
  private server: ChildProcess | null = null;
  private second: ChildProcess | null = null;
  private standIns: ChildProcess | null = null;
  private readonly home = mkdtempSync(join(tmpdir(), 'olvet-'));
  private address = '';
  private port = 0;

  async open(name: string, { devices = true } = {}): Promise<void> {
    const databases = process.env.TEST_DATABASE_URL;
    if (!databases) throw new TypeError('TEST_DATABASE_URL is not set: run the walks with `npm test -- e2e`');
    await createDatabase(databases, name);
    this.address = withDatabase(databases, name);
    this.port = await freePort();
    this.url = `http://127.0.0.1:${this.port}`;
    await this.start();
    if (!devices) return;
    this.standIns = await startStandIns(this.url, this.home);
    await whenAllThere(this.url);
  }

  async start(): Promise<void> {
    this.server = await this.serve(this.port);
  }

  /** A second server process on the same database; gives its address. */
  async beside(): Promise<string> {
    const port = await freePort();
    this.second = await this.serve(port);
    return `http://127.0.0.1:${port}`;
  }

  private serve(port: number): Promise<ChildProcess> {
    const onSpawn = (child: ChildProcess): void => void process.once('exit', () => child.kill());
    return startServer({ databaseUrl: this.address, port, demo: true, logLevel: 'error', onSpawn });
  }

  async stop(): Promise<void> {
    if (this.server) await endChild(this.server);
    this.server = null;
  }

  async close(): Promise<void> {
    if (this.standIns) await endChild(this.standIns);
    if (this.second) await endChild(this.second);
    await this.stop();
    rmSync(this.home, { recursive: true, force: true });
  }
}
