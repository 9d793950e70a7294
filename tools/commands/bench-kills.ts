import { spawn, type ChildProcess } from 'node:child_process';
import { openSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { v7 } from 'uuid';
import { buildStale } from '../lib/build';
import { Cluster } from '../lib/cluster';
import { wholeNumber } from '../lib/options';
import { freePort, isAlive } from '../lib/processes';
import { orStop, say, Stop } from '../lib/say';
import { SERVER_FILE } from '../lib/server';

const HOME = resolve('.olvet', 'bench-kills');
/** What the starters said: for whoever has to find out why one did not come back. */
const LOG = resolve('.olvet', 'bench-kills.log');
const KILLS = { firstStart: 10, server: 30, database: 15 };
/** How long a first start may run before it is killed, and how long one may take to be back, ms. */
const FIRST_MS = 2500;
const BACK_WITHIN_MS = 10_000;
/** What is killed has lived one, two or three times as long since the last time. */
const LIFE_MS = 400;

/**
 * `npm run bench:kills`: server, database and first starts killed by surprise while shots are written. What was
 * acknowledged must be there, and everything back by itself in ten seconds.
 */
export function run([rounds = '1']: string[]): Promise<void> {
  return orStop(async () => {
    const times = wholeNumber('rounds', rounds, { min: 1, max: 100 });
    await buildStale(resolve('.olvet'));
    const slowest = { firstStart: 0, server: 0, database: 0 };
    const port = await freePort();
    for (let kill = 0; kill < KILLS.firstStart * times; kill += 1) {
      remove();
      const half = start(port);
      await sleep((FIRST_MS * (kill + 0.5)) / (KILLS.firstStart * times));
      await killHard(half.pid!);
      const whole = start(port);
      slowest.firstStart = Math.max(slowest.firstStart, await untilReady(port));
      await end(whole);
    }
    remove();
    let starter = start(port);
    await untilReady(port);
    const writer = new Writer(`http://127.0.0.1:${port}`);
    await writer.begin();
    for (const what of ['server', 'database'] as const) {
      for (let kill = 0; kill < KILLS[what] * times; kill += 1) {
        await sleep(LIFE_MS * (1 + (kill % 3)));
        process.kill(what === 'server' ? serverPid() : databasePid(), 'SIGKILL');
        const began = Date.now();
        // One that gives up after a few is started again, as a person would.
        const again = (): void => {
          if (starter.exitCode !== null) starter = start(port);
        };
        await untilReady(port, again);
        slowest[what] = Math.max(slowest[what], Date.now() - began);
        say(`${what} ${kill + 1}: ${writer.acknowledged.size} shots so far`);
      }
    }
    const lost = await writer.finish();
    await end(starter);
    remove();
    const seconds = (ms: number): string => `${(ms / 1000).toFixed(1)} s`;
    process.stdout.write(
      `${writer.acknowledged.size} shots acknowledged, ${lost} lost · slowest to be back: first start ` +
        `${seconds(slowest.firstStart)}, server ${seconds(slowest.server)}, database ${seconds(slowest.database)}\n`,
    );
    if (lost > 0 || Math.max(...Object.values(slowest)) > BACK_WITHIN_MS) process.exitCode = 1;
  });
}

function start(port: number): ChildProcess {
  const log = openSync(LOG, 'a');
  return spawn(process.execPath, ['tools/run.mjs', 'start', '--no-demo'], {
    detached: true,
    stdio: ['ignore', log, log],
    env: { ...process.env, OLVET_HOME: HOME, PORT: String(port) },
  });
}

/** The starter and all in its group, initdb included; PostgreSQL and the server have groups of their own. */
async function killHard(pid: number): Promise<void> {
  process.kill(-pid, 'SIGKILL');
  while (isAlive(pid, 'run.mjs')) await sleep(10);
}

async function end(starter: ChildProcess): Promise<void> {
  const closed = new Promise((done) => starter.once('close', done));
  starter.kill('SIGTERM');
  await closed;
}

function remove(): void {
  new Cluster(HOME, 'database', { safe: true }).remove();
  rmSync(HOME, { recursive: true, force: true });
}

function serverPid(): number {
  const { serverPid } = JSON.parse(readFileSync(resolve(HOME, 'start.json'), 'utf8')) as { serverPid: number };
  if (!isAlive(serverPid, SERVER_FILE)) throw new Stop('The server is not there.');
  return serverPid;
}

function databasePid(): number {
  const { place } = new Cluster(HOME, 'database', { safe: true });
  return Number(readFileSync(resolve(place, 'data', 'postmaster.pid'), 'utf8').split('\n')[0]);
}

/** Milliseconds until a write goes through. */
async function untilReady(port: number, meanwhile: () => void = () => undefined): Promise<number> {
  const began = Date.now();
  // The one that was killed may still answer for a moment.
  await sleep(20);
  while (Date.now() - began < 6 * BACK_WITHIN_MS) {
    const ok = await fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(2000) }).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ok) return Date.now() - began;
    meanwhile();
    await sleep(50);
  }
  throw new Stop('Olvet did not come back.');
}

/** Writes shot after shot, and remembers which were acknowledged. */
class Writer {
  readonly acknowledged = new Set<string>();
  private readonly stationId = v7();
  private isWriting = true;
  private work: Promise<void> = Promise.resolve();

  constructor(private readonly url: string) {}

  async begin(): Promise<void> {
    const gear = {
      ...{ grinderId: v7(), machineId: v7(), basketId: v7(), coffeeId: v7(), methodId: 'balance-walk' },
      target: {
        ...{ doseGrams: 18, yieldGrams: 36, temperatureC: 93, timer: 'pump-on', balance: 0, body: 0 },
        timeSeconds: { min: 27, max: 33 },
      },
    };
    const done = await this.put(`setup/${this.stationId}`, {
      grinder: { name: 'Lefty', min: 0, max: 40, step: 0.5, finer: 'lower', dosing: 'timed', purgeGrams: 12 },
      machine: { name: 'Twin', temperatureC: null },
      basket: { name: '18 g', nominalGrams: 18, minGrams: 16, maxGrams: 20 },
      coffee: { name: 'Saltmarsh', roast: 'medium' },
      station: { ...gear, name: 'Left bar', grind: 14 },
      run: { ...gear, stationId: this.stationId, status: 'open', startGrind: 14, startedAt: new Date().toISOString() },
      runId: v7(),
    });
    if (!done) throw new Stop('The station could not be set up.');
    this.work = this.write();
  }

  private async write(): Promise<void> {
    while (this.isWriting) {
      const id = v7();
      const shot = {
        stationId: this.stationId,
        pulledAt: new Date().toISOString(),
        timer: 'pump-on',
        seen: [],
        purged: true,
      };
      if (await this.put(`shots/${id}`, { ...shot, doseGrams: 18, yieldGrams: 36, timeSeconds: 28 }))
        this.acknowledged.add(id);
      else await sleep(20);
    }
  }

  private put(path: string, body: object): Promise<boolean> {
    return fetch(`${this.url}/api/${path}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(5000),
    }).then(
      ({ ok }) => ok,
      () => false,
    );
  }

  /** How many of the acknowledged shots are not there. */
  async finish(): Promise<number> {
    this.isWriting = false;
    await this.work;
    say(`Looking for ${this.acknowledged.size} shots …`);
    const stored = new Set<string>();
    for (let page = 1, total = Infinity; stored.size < total; page += 1) {
      const answer = await fetch(`${this.url}/api/shots?page=${page}&pageSize=200`);
      const rows = (await answer.json()) as { items: { id: string }[]; total: number };
      for (const { id } of rows.items) stored.add(id);
      total = rows.items.length === 0 ? 0 : rows.total;
    }
    return [...this.acknowledged].filter((id) => !stored.has(id)).length;
  }
}
