import { readdirSync, readFileSync, readlinkSync } from 'node:fs';

/** Linux's number for a socket that listens (include/net/tcp_states.h). */
const LISTENS = '0A';

/** The program that listens on a port of this machine, as far as this account may see: "node (4711)". */
export function holderOf(port: number): string | null {
  const sockets = new Set(['/proc/net/tcp', '/proc/net/tcp6'].flatMap((table) => listening(table, port)));
  if (sockets.size === 0) return null;
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    if (links(`/proc/${pid}/fd`).some((link) => sockets.has(link))) {
      return `${readFileSync(`/proc/${pid}/comm`, 'utf8').trim()} (process ${pid})`;
    }
  }
  return null;
}

function listening(table: string, port: number): string[] {
  const wanted = `:${port.toString(16).toUpperCase().padStart(4, '0')}`;
  return readFileSync(table, 'utf8')
    .split('\n')
    .map((line) => line.trim().split(/\s+/))
    .filter(([, local, , state]) => local?.endsWith(wanted) && state === LISTENS)
    .map((columns) => `socket:[${columns[9]}]`);
}

/** What a folder's links point at; nothing of a process that is another's, or of what has just ended. */
function links(folder: string): string[] {
  return orNone(() => readdirSync(folder)).flatMap((name) => orNone(() => [readlinkSync(`${folder}/${name}`)]));
}

function orNone(read: () => string[]): string[] {
  try {
    return read();
  } catch {
    return [];
  }
}
