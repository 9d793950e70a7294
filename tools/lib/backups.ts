import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { findPostgres } from './debian';
import { Stop } from './say';

/** So many are kept; the oldest one goes when one more is made. */
const KEPT = 14;
const NAME = /^olvet-\d{4}-\d\d-\d\dT\d{6}Z[.]dump$/;
/** Hours of the night, local time, in which the backup of a day is made. */
const NIGHT = { from: 2, until: 5 };
const LOOK_EVERY_MS = 10 * 60_000;

export const backupsFolder = (home: string): string => join(home, 'backups');

/** Names of the backups, the newest first. */
export function backupsIn(home: string): string[] {
  const folder = backupsFolder(home);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => NAME.test(name))
    .sort()
    .reverse();
}

/** The whole database as one dated file, written aside and renamed once whole. @returns its path */
export async function backUp(home: string, databaseUrl: string, now: Date): Promise<string> {
  const folder = backupsFolder(home);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const stamp = `${now.toISOString().slice(0, 19).replaceAll(':', '')}Z`;
  const path = join(folder, `olvet-${stamp}.dump`);
  const unfinished = `${path}.part`;
  try {
    await ended(program('pg_dump', ['--format=custom', '--no-owner', `--file=${unfinished}`], databaseUrl));
    renameSync(unfinished, path);
  } finally {
    rmSync(unfinished, { force: true });
  }
  for (const old of backupsIn(home).slice(KEPT)) rmSync(join(folder, old));
  return path;
}

/** Everything there was goes, what is in the file comes, or nothing changes: one transaction. */
const EMPTY = `DO $$ DECLARE s text; BEGIN
  FOR s IN SELECT nspname FROM pg_namespace WHERE nspname !~ '^pg_' AND nspname <> 'information_schema' LOOP
    EXECUTE format('DROP SCHEMA %I CASCADE', s);
  END LOOP;
END $$;
CREATE SCHEMA public;
`;

/** @throws Stop where the file is no backup that can be read; the database then stands as before */
export async function restoreFrom(path: string, databaseUrl: string): Promise<void> {
  // Written as SQL to the end before the database is touched.
  const dump = spawn(binary('pg_restore'), ['--no-owner', '--file=-', path], { stdio: ['ignore', 'pipe', 'pipe'] });
  const psql = program(
    'psql',
    ['--quiet', '--single-transaction', '-v', 'ON_ERROR_STOP=1', '--no-psqlrc', '-o', '/dev/null'],
    databaseUrl,
  );
  psql.stdin!.on('error', () => {});
  psql.stdin!.write(EMPTY);
  dump.stdout.pipe(psql.stdin!, { end: false });
  const written = ended(dump).then(
    () => void psql.stdin!.end(),
    (error: unknown) => {
      // Without its end, nothing is committed.
      psql.stdin!.end('ROLLBACK;\n\\quit 3\n');
      throw error;
    },
  );
  const [first, second] = await Promise.allSettled([written, ended(psql)]);
  for (const result of [first, second]) if (result.status === 'rejected') throw result.reason as Error;
}

function binary(name: string): string {
  const folder = findPostgres();
  if (!folder) throw new Stop('PostgreSQL’s programs were not found.');
  return join(folder, name);
}

/** The password goes by the environment: a command line can be read by everybody on the machine. */
function program(name: string, args: string[], databaseUrl: string): ChildProcess {
  const url = new URL(databaseUrl);
  const env = { ...process.env, PGPASSWORD: decodeURIComponent(url.password) };
  url.password = '';
  return spawn(binary(name), [`--dbname=${url.href}`, ...args], { env, stdio: ['pipe', 'ignore', 'pipe'] });
}

function ended(child: ChildProcess): Promise<void> {
  let said = '';
  child.stderr!.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-2000)));
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (code) => (code === 0 ? resolve() : reject(new Stop(said.trim() || `It ended with ${code}.`))));
  });
}

/** Makes one backup each night while Olvet runs. */
export function backUpByNight(home: string, databaseUrl: string, said: (line: string) => void): void {
  const look = async (): Promise<void> => {
    const now = new Date();
    const hour = now.getHours();
    if (hour < NIGHT.from || hour >= NIGHT.until) return;
    const [newest] = backupsIn(home);
    const isDone =
      newest !== undefined && dayOf(now) <= dayOf(dateIn(newest)) && dateIn(newest).getHours() >= NIGHT.from;
    if (isDone) return;
    await backUp(home, databaseUrl, now);
  };
  setInterval(
    () => void look().catch((error: unknown) => said(`No backup was made: ${String(error)}`)),
    LOOK_EVERY_MS,
  ).unref();
}

const dayOf = (date: Date): string =>
  `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;

/** When a backup was made, by its name. */
export function dateIn(name: string): Date {
  const [, day, h, m, s] = /^olvet-(\d{4}-\d\d-\d\d)T(\d\d)(\d\d)(\d\d)Z/.exec(name)!;
  return new Date(`${day}T${h}:${m}:${s}Z`);
}
