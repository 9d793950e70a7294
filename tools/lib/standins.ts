import { spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { STAND_INS } from '../../standins/src/lineup';
import { canRead, serverAccount } from './accounts';

const MAIN = resolve('standins/dist/main.js');

/**
 * Starts the simulated bench and its devices beside a server at `url`, if that shows a demo shop; null where it does not. They
 * know themselves again by a secret kept in `home`, and end when this process does.
 */
export async function startStandIns(url: string, home: string): Promise<ChildProcess | null> {
  const shop = (await (await fetch(`${url}/api/shop`)).json()) as { isDemo: boolean };
  if (!shop.isDemo) return null;
  const account = serverAccount();
  const own = account.drop && canRead(account, MAIN) ? { uid: account.uid, gid: account.gid } : {};
  const address = `${url.replace(/^http/, 'ws')}/api/devices/socket`;
  const small = await keptGrind(url);
  return spawn(process.execPath, [MAIN, address, secretOf(home), ...(small === null ? [] : [String(small)])], {
    ...own,
    detached: true,
    // It ends when its input does: with this process, however that ends.
    stdio: ['pipe', 'ignore', 'inherit'],
  });
}

/** Where the grinder stands that Olvet may turn by itself: its stand-in stands there, too. */
async function keptGrind(url: string): Promise<number | null> {
  const { stations } = (await (await fetch(`${url}/api/board`)).json()) as {
    stations: { keeper: object | null; station: { grind: number | null } }[];
  };
  return stations.find(({ keeper }) => keeper !== null)?.station.grind ?? null;
}

/** Resolves once every simulated device has said hello. */
export async function whenAllThere(url: string): Promise<void> {
  for (;;) {
    const { items } = (await (await fetch(`${url}/api/devices`)).json()) as { items: { isConnected: boolean }[] };
    if (items.length >= STAND_INS.length && items.every(({ isConnected }) => isConnected)) return;
    await sleep(100);
  }
}

function secretOf(home: string): string {
  const file = resolve(home, 'stand-ins');
  if (!existsSync(file)) {
    mkdirSync(home, { recursive: true });
    writeFileSync(file, randomBytes(24).toString('hex'), { mode: 0o600 });
  }
  return readFileSync(file, 'utf8').trim();
}
