import { spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import { canRead, serverAccount, type Account } from './accounts';
import { say, Stop } from './say';

export const SERVER_FILE = resolve('server/dist/src/main.js');

export interface ServerOptions {
  databaseUrl: string;
  port: number;
  demo: boolean;
  logLevel?: string;
  /** Where the data lies, so that the server can tell how much room its disk has. */
  dataFolder?: string | null;
  /** Names under which tablets of the shop's network find it; none where only this machine may ask. */
  networkNames?: string[];
  /** Where it listens; by default everywhere once it has names on the network, else on loopback alone. */
  host?: string;
  /** Told at once, so that a signal during the start finds the child. */
  onSpawn?: (child: ChildProcess) => void;
}

/** Starts the built server and resolves once it listens. It gets a process group of its own: Ctrl-C reaches us alone. */
export async function startServer(options: ServerOptions): Promise<ChildProcess> {
  const { databaseUrl, port, demo, logLevel = 'warn', dataFolder, networkNames = [] } = options;
  const { host = networkNames.length > 0 ? '0.0.0.0' : '127.0.0.1' } = options;
  const account = whomToRunAs();
  const child = spawn(process.execPath, ['--enable-source-maps', SERVER_FILE], {
    detached: true,
    ...(account ? { uid: account.uid, gid: account.gid } : {}),
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      HOST: host,
      NETWORK_NAMES: networkNames.join(','),
      WEB_FOLDER: resolve('web/dist'),
      LOG_LEVEL: logLevel,
      DEMO: demo ? '1' : '0',
      NODE_ENV: 'production',
      ...(dataFolder ? { DATA_FOLDER: dataFolder } : {}),
    },
  });
  options.onSpawn?.(child);
  await new Promise<void>((listening, failed) => {
    child.once('error', failed);
    child.once('exit', (code) => failed(new Stop(`The server ended before it was ready (exit code ${code}).`)));
    child.stdout!.on('data', (chunk: Buffer) => {
      const lines = chunk.toString();
      if (lines.includes('listening on')) listening();
      process.stderr.write(lines.replace(/^listening on.*\n/m, ''));
    });
  });
  child.removeAllListeners('exit');
  return child;
}

/** As root, an account without rights where that can read the build; otherwise nobody else, and why. */
function whomToRunAs(): Account | null {
  const account = serverAccount();
  if (!account.drop) return null;
  if (canRead(account, SERVER_FILE) && canRead(account, resolve('web/dist/index.html'))) return account;
  say(
    `The server runs as root: the account “${account.name}” cannot read ${resolve('.')}. ` +
      'A clone outside of closed home folders lets it run without rights.',
  );
  return null;
}
