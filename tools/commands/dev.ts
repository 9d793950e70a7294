import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { buildStale } from '../lib/build';
import { Cluster } from '../lib/cluster';
import { endChild, freePort } from '../lib/processes';
import { orStop, say } from '../lib/say';
import { SERVER_FILE } from '../lib/server';

/** `npm run dev`: page with hot reload, server rebuilt and restarted on change, on the same database as `npm start`. */
export function run(): Promise<void> {
  return orStop(async () => {
    const home = resolve('.olvet');
    await buildStale(home, 'core and server');
    const cluster = process.env.DATABASE_URL ? null : new Cluster(home, 'database', { safe: true });
    const databaseUrl = cluster ? await cluster.start() : process.env.DATABASE_URL!;
    const port = await freePort();
    const env = { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), DEMO: '1', LOG_LEVEL: 'info' };
    const address = `http://127.0.0.1:${port}`;
    const children = [
      spawn('node_modules/.bin/tsc', ['-b', 'server', '--watch', '--preserveWatchOutput'], { stdio: 'inherit' }),
      spawn(process.execPath, ['--watch', '--enable-source-maps', SERVER_FILE], { stdio: 'inherit', env }),
      spawn(resolve('web/node_modules/.bin/vite'), [], {
        stdio: 'inherit',
        cwd: 'web',
        env: { ...process.env, API_ADDRESS: address },
      }),
    ];
    say(`API at ${address}; the page’s address is Vite’s below. Ctrl-C stops all.`);
    const end = async (): Promise<void> => {
      await Promise.all(children.map(endChild));
      cluster?.stop();
      process.exit(0);
    };
    for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void end());
  });
}
