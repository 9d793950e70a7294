import type { ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { buildStale } from '../lib/build';
import { Cluster } from '../lib/cluster';
import { Keeper } from '../lib/keeper';
import { wholeNumber } from '../lib/options';
import { ownNetworkNames } from '../lib/network';
import { holderOf } from '../lib/ports';
import { ancestors, endChild, endProcess, freePort, isAlive, isFree } from '../lib/processes';
import { orStop, say, Stop } from '../lib/say';
import { SERVER_FILE, startServer } from '../lib/server';
import { startStandIns } from '../lib/standins';
import { readState, runningStart, stateFile, type StartState } from '../lib/startState';
import { HOME } from '../lib/ownDatabase';
import { backUpByNight } from '../lib/backups';

const STATE = stateFile(HOME);
const USUAL_PORT = 4790;
const PORTS_TRIED = 20;

/** `npm start`: from a clone to a served page. */
export function run(args: string[]): Promise<void> {
  return orStop(async () => {
    const { values } = parseArgs({
      args,
      options: {
        demo: { type: 'boolean', default: true },
        reset: { type: 'boolean', default: false },
        network: { type: 'boolean', default: false },
      },
      allowNegative: true,
    });
    await clearLeftovers();
    const port = await choosePort(process.env.PORT);
    const ownDatabase = !process.env.DATABASE_URL;
    const cluster = ownDatabase ? new Cluster(HOME, 'database', { safe: true }) : null;
    if (values.reset) await reset(cluster);
    const ending = new Ending(cluster);
    remember({ starterPid: process.pid, serverPid: null, address: null });
    try {
      await buildStale(resolve('.olvet'));
      say(cluster ? 'Starting the database …' : 'Using the database at DATABASE_URL.');
      const databaseUrl = cluster ? await cluster.start() : process.env.DATABASE_URL!;
      if (ending.begun) return;
      const onSpawn = (child: ChildProcess): void => {
        ending.server = child;
        remember({ serverPid: child.pid ?? null });
      };
      const networkNames = values.network ? ownNetworkNames() : [];
      const options = {
        databaseUrl,
        port,
        demo: values.demo,
        dataFolder: cluster?.place ?? null,
        networkNames,
        onSpawn,
      };
      const server = await startServer(options);
      if (ending.begun) return;
      for (const name of networkNames) process.stdout.write(`\nOn the shop’s network: http://${name}:${port}`);
      const address = `http://127.0.0.1:${port}`;
      remember({ address });
      ending.standIns = values.demo ? await startStandIns(address, HOME) : null;
      if (ending.standIns) say('Simulated devices stand on a simulated bench; see Workshop, Devices.');
      const keeper = new Keeper({
        startServer: () => startServer(options),
        cluster,
        isEnding: () => ending.begun,
        onGivenUp: () => void ending.end(1),
      });
      keeper.watch(server);
      keeper.watchDatabase();
      backUpByNight(HOME, databaseUrl, say);
      process.stdout.write(`\nOlvet is at ${address}\nCtrl-C stops it; your data stays.\n`);
    } catch (error) {
      if (ending.begun) return;
      cluster?.stop();
      rmSync(STATE, { force: true });
      throw error;
    }
  });
}

/** The port a person asked for, or the first free one from the usual one on. */
async function choosePort(asked: string | undefined): Promise<number> {
  if (!asked) {
    for (let port = USUAL_PORT; port < USUAL_PORT + PORTS_TRIED; port += 1) {
      if (await isFree(port)) return port;
      say(`Port ${port} is in use by ${holderOf(port) ?? 'another program'}; trying the next one.`);
    }
    return freePort();
  }
  const wished = wholeNumber('PORT', asked, { min: 0, max: 65535 });
  if (wished === 0) return freePort();
  if (await isFree(wished)) return wished;
  throw new Stop(
    `Port ${wished} is in use by ${holderOf(wished) ?? 'another account’s program'}. End that, or give another PORT.`,
  );
}

/** Stops server and database once, whatever asks for it. */
class Ending {
  server: ChildProcess | null = null;
  standIns: ChildProcess | null = null;
  begun = false;

  constructor(private readonly cluster: Cluster | null) {
    // npm or its shell may die without passing a signal on; nobody would be left to press Ctrl-C.
    const family = ancestors();
    setInterval(() => ancestors() !== family && void this.end(0), 500).unref();
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void this.end(0));
  }

  async end(code: number): Promise<void> {
    if (this.begun) return;
    this.begun = true;
    if (this.standIns) await endChild(this.standIns);
    if (this.server) await endChild(this.server);
    this.cluster?.stop();
    rmSync(STATE, { force: true });
    say('Olvet has stopped.');
    process.exit(code);
  }
}

let state: StartState = { starterPid: process.pid, serverPid: null, address: null };

function remember(part: Partial<StartState>): void {
  state = { ...state, ...part };
  mkdirSync(HOME, { recursive: true });
  writeFileSync(STATE, JSON.stringify(state));
}

/** After a crash our own server may still run; it is ended. A start that is alive is left alone. */
async function clearLeftovers(): Promise<void> {
  if (!existsSync(STATE)) return;
  const state = readState(HOME);
  if (!state) return rmSync(STATE, { force: true });
  const address = runningStart(HOME);
  if (address) throw new Stop(`Olvet runs already at ${address}. Stop it there with Ctrl-C first.`);
  if (state.serverPid !== null && isAlive(state.serverPid, SERVER_FILE)) {
    say('Ending the server a former start left running.');
    await endProcess(state.serverPid, SERVER_FILE);
  }
  rmSync(STATE, { force: true });
}

async function reset(cluster: Cluster | null): Promise<void> {
  if (!cluster) throw new Stop('--reset empties only Olvet’s own database, never the one at DATABASE_URL.');
  const ask = createInterface({ input: process.stdin, output: process.stderr });
  const answer = await ask.question('This deletes every shot and card kept here. Type “yes” to go on: ');
  ask.close();
  if (answer.trim().toLowerCase() !== 'yes') throw new Stop('Nothing was deleted.');
  cluster.remove();
}
