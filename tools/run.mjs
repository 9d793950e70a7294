// @ts-check
// Runs `tools/commands/<name>.ts`. Plain JavaScript on Node's own modules only, because it installs the packages that
// everything else needs, the TypeScript loader included.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';
import { isInstalled } from './installed.mjs';

/** What flock ends with where another holds the lock; npm and Node.js never do. */
const IS_LOCKED = 75;

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const [name, ...args] = process.argv.slice(2);
const file = join(root, 'tools', 'commands', `${name}.ts`);

if (!name || !/^[a-z-]+$/.test(name) || !existsSync(file)) {
  process.stderr.write(`There is no command “${name ?? ''}”.\n`);
  process.exit(2);
}

const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  process.stderr.write(`Olvet needs Node.js 20.19 or newer; this is ${process.versions.node}.\n`);
  process.exit(1);
}

process.chdir(root);
installPackages();
const { register } = await import('tsx/cjs/api');
register();
const command = createRequire(import.meta.url)(file);
await command.run(args);

/**
 * The lock is the kernel's and falls with the process that holds it, so that a crash leaves none behind (flock is in Debian's
 * util-linux, which every system has).
 */
function installPackages() {
  if (isInstalled()) return;
  const install = ['package-lock.json', process.execPath, join('tools', 'install.mjs')];
  /** @param {string[]} options */
  const underLock = (options) => spawnSync('flock', [...options, ...install], { stdio: ['ignore', 2, 2] });
  let locked = underLock(['--nonblock', '--conflict-exit-code', String(IS_LOCKED)]);
  if (locked.status === IS_LOCKED) {
    process.stderr.write('Another command is installing the packages; waiting for it …\n');
    locked = underLock([]);
  }
  if (locked.error) {
    process.stderr.write(`flock could not be run: ${locked.error.message}. Is util-linux installed?\n`);
    process.exit(1);
  }
  if (locked.status !== 0) process.exit(1);
}
