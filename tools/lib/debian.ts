import { existsSync, readdirSync } from 'node:fs';
import { runQuietly } from './processes';
import { say, Stop } from './say';

/** Folder of PostgreSQL's programs; Debian keeps them off the PATH. */
export function findPostgres(): string | null {
  const home = '/usr/lib/postgresql';
  const versions = existsSync(home) ? readdirSync(home).map(Number).filter(Number.isFinite) : [];
  for (const version of versions.sort((a, b) => b - a)) {
    if (existsSync(`${home}/${version}/bin/initdb`)) return `${home}/${version}/bin`;
  }
  const onPath = runQuietly('sh', ['-c', 'command -v initdb && command -v pg_ctl']);
  return onPath.ok ? onPath.output.split('\n')[0]!.replace(/\/initdb$/, '') : null;
}

export function findChromium(): string | null {
  const found = ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path));
  return found ?? null;
}

/**
 * Installs Debian packages where that is allowed: as root, or with sudo that asks no password. Otherwise stops with the
 * one line to type.
 */
export function installDebian(packages: string, purpose: string): void {
  const install = `apt-get install -y --no-install-recommends ${packages}`;
  const asRoot = process.getuid?.() === 0;
  const sudo = !asRoot && runQuietly('sudo', ['-n', 'true']).ok;
  if (!asRoot && !sudo) throw new Stop(`${purpose} is missing. Type this once, then start again:\n  sudo ${install}`);
  say(`Installing ${purpose} from Debian’s packages …`);
  const prefix = sudo ? 'sudo -n ' : '';
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const done = runQuietly('sh', ['-c', `${prefix}apt-get update -q && ${prefix}${install}`], { env });
  if (!done.ok)
    throw new Stop(
      `${done.output.trim().split('\n').slice(-5).join('\n')}\n${purpose} could not be installed. The line was:\n  ${install}`,
    );
}
