import { resolve } from 'node:path';
import { buildStale } from './build';
import { Cluster, createDatabase, withDatabase } from './cluster';
import { endChild, freePort } from './processes';
import { startServer } from './server';
import { startStandIns, whenAllThere } from './standins';

/** Serves a fresh demo shop on a database of its own, with its simulated devices, for the time of `work`; leaves nothing behind. */
export async function withDemoServer(
  name: string,
  work: (served: { url: string; databaseUrl: string }) => Promise<void>,
  { devices = false } = {},
): Promise<void> {
  const home = resolve('.olvet');
  await buildStale(home);
  const cluster = new Cluster(home, `${name}-database`, { safe: false });
  cluster.remove();
  try {
    const databaseUrl = withDatabase(await cluster.start(), name);
    await createDatabase(withDatabase(databaseUrl, 'postgres'), name);
    const port = await freePort();
    const server = await startServer({ databaseUrl, port, demo: true, logLevel: 'error' });
    const url = `http://127.0.0.1:${port}`;
    const standIns = devices ? await startStandIns(url, home) : null;
    try {
      if (standIns) await whenAllThere(url);
      await work({ url, databaseUrl });
    } finally {
      if (standIns) await endChild(standIns);
      await endChild(server);
    }
  } finally {
    cluster.remove();
  }
}
