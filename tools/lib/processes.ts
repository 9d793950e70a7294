import { spawn, spawnSync, type ChildProcess, type SpawnOptions } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';

/** Runs to the end with output shown; resolves with the exit code. */
export function runShown(command: string, args: string[], options: SpawnOptions = {}): Promise<number> {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], ...options });
    child.on('error', reject);
    child.on('close', (code) => resolve(code ?? 1));
  });
}

/** Runs to the end quietly. */
export function runQuietly(
  command: string,
  args: string[],
  options: SpawnOptions = {},
): { ok: boolean; output: string } {
  const done = spawnSync(command, args, { encoding: 'utf8', ...options });
  return { ok: done.status === 0, output: `${done.stdout ?? ''}${done.stderr ?? ''}${done.error?.message ?? ''}` };
}

/** Binds the port for a moment; null where it is taken. Port 0 is any. */
function tryPort(port: number): Promise<number | null> {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(null));
    server.listen(port, '127.0.0.1', () => {
      const { port: got } = server.address() as { port: number };
      server.close(() => resolve(got));
    });
  });
}

/** A port nothing listens on. */
export async function freePort(): Promise<number> {
  const port = await tryPort(0);
  if (port === null) throw new Error('no free port on 127.0.0.1');
  return port;
}

export async function isFree(port: number): Promise<boolean> {
  return (await tryPort(port)) !== null;
}

/** Whether this process lives and its command line contains `mark`: pids are reused, so a number alone proves nothing. */
export function isAlive(pid: number, mark: string): boolean {
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').includes(mark);
  } catch {
    return false;
  }
}

/** Parent and grandparent of this process, as text to compare: the shell that npm put between, and npm. */
export function ancestors(): string {
  const parent = process.ppid;
  try {
    const status = readFileSync(`/proc/${parent}/status`, 'utf8');
    return `${parent} ${/^PPid:\s*(\d+)/m.exec(status)?.[1]}`;
  } catch {
    return String(parent);
  }
}

/** Asks a process to end, and insists after `patienceMs`. */
export async function endProcess(pid: number, mark: string, patienceMs = 5000): Promise<void> {
  if (!isAlive(pid, mark)) return;
  process.kill(pid, 'SIGTERM');
  const deadline = Date.now() + patienceMs;
  while (isAlive(pid, mark)) {
    if (Date.now() > deadline) process.kill(pid, 'SIGKILL');
    await sleep(50);
  }
}

export async function endChild(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const closed = new Promise((resolve) => child.once('close', resolve));
  child.kill('SIGTERM');
  const insist = setTimeout(() => child.kill('SIGKILL'), 5000);
  await closed;
  clearTimeout(insist);
}
