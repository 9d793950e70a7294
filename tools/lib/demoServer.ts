import { resolve } from 'node:path';
import { buildStale } from './build';
import { Cluster, createDatabase, withDatabase } from './cluster';
import { endChild, freePort } from './processes';
import { startServer } from './server';

/** Serves a fresh demo shop on a database of its own for the time of `work`, and leaves nothing behind. */
export async function withDemoServer(
  name: string,
  work: (served: { url: string; databaseUrl: string }) => Promise<void>,
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
    try {
      await work({ url: `http://127.0.0.1:${port}`, databaseUrl });
    } finally {
      await endChild(server);
    }
  } finally {
    cluster.remove();
  }
}
