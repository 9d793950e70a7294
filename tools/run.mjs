// @ts-check
// Runs `tools/commands/<name>.ts`. Plain JavaScript on Node's own modules only, because it installs the packages that
// everything else needs, the TypeScript loader included.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';

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

/** Installs what package-lock.json asks for, unless that very lock was installed before. */
function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.olvet-installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  process.stderr.write('Installing packages (npm ci), about two minutes the first time …\n');
  // Standard output belongs to the command: `advise` speaks JSON there.
  const npm = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
    env: { ...process.env, NODE_ENV: '' },
  });
  if (npm.status !== 0) {
    process.stderr.write('npm ci failed: see above. Is the package registry within reach?\n');
    process.exit(1);
  }
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, lock);
}
