import { spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import { Stop } from './say';

export const SERVER_FILE = resolve('server/dist/src/main.js');

export interface ServerOptions {
  databaseUrl: string;
  port: number;
  demo: boolean;
  logLevel?: string;
  /** Told at once, so that a signal during the start finds the child. */
  onSpawn?: (child: ChildProcess) => void;
}

/** Starts the built server and resolves once it listens. It gets a process group of its own: Ctrl-C reaches us alone. */
export async function startServer(options: ServerOptions): Promise<ChildProcess> {
  const { databaseUrl, port, demo, logLevel = 'warn' } = options;
  const child = spawn(process.execPath, ['--enable-source-maps', SERVER_FILE], {
    detached: true,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      HOST: '127.0.0.1',
      WEB_FOLDER: resolve('web/dist'),
      LOG_LEVEL: logLevel,
      DEMO: demo ? '1' : '0',
      NODE_ENV: 'production',
    },
  });
  options.onSpawn?.(child);
  await new Promise<void>((listening, failed) => {
    child.once('error', failed);
    child.once('exit', (code) => failed(new Stop(`The server ended before it was ready (exit code ${code}).`)));
    child.stdout!.on('data', (chunk: Buffer) => {
      if (chunk.includes('listening on')) listening();
      else process.stderr.write(chunk);
    });
  });
  child.removeAllListeners('exit');
  return child;
}
