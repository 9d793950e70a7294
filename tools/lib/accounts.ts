import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { userInfo } from 'node:os';
import { Stop } from './say';

export interface Account {
  name: string;
  uid: number;
  gid: number;
  /** True when we are root and must become this account. */
  drop: boolean;
}

/** Whom the database runs as: PostgreSQL refuses to be root. */
export function databaseAccount(): Account {
  return unprivileged(['postgres', 'nobody'], 'PostgreSQL does not run as root');
}

/** Whom the server runs as: as root, one that cannot even read the database's files. */
export function serverAccount(): Account {
  return unprivileged(['nobody'], 'The server is not to run as root');
}

function unprivileged(names: string[], reason: string): Account {
  const { uid, gid, username } = userInfo();
  if (uid !== 0) return { name: username, uid, gid, drop: false };
  const accounts = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .map((line) => line.split(':'));
  for (const name of names) {
    const [, , id, group] = accounts.find(([first]) => first === name) ?? [];
    if (id && group) return { name, uid: Number(id), gid: Number(group), drop: true };
  }
  throw new Stop(`${reason}, and there is no account “${names.join('” or “')}” to run it as.`);
}

/** Whether an account can enter this folder. */
export function canReach(account: Account, folder: string): boolean {
  return as(account, ['-x', folder]);
}

export function canRead(account: Account, file: string): boolean {
  return as(account, ['-r', file]);
}

function as({ uid, gid, drop }: Account, test: string[]): boolean {
  return spawnSync('test', test, { ...(drop ? { uid, gid } : {}), cwd: '/' }).status === 0;
}
