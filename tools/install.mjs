// @ts-check
// Installs what package-lock.json asks for, unless that very lock was installed before. Run by run.mjs, one at a time:
// two that install at once take each other's packages away. Plain JavaScript on Node's own modules only.
import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import process from 'node:process';
import { isInstalled, lockHash, stampFile } from './installed.mjs';

// Another command may have done it while this one waited.
if (!isInstalled()) {
  process.stderr.write('Installing packages (npm ci), about two minutes the first time …\n');
  // Standard output belongs to the command: `advise` speaks JSON there.
  const npm = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, NODE_ENV: '' },
  });
  if (npm.status !== 0) {
    process.stderr.write('npm ci failed: see above. Is the package registry within reach?\n');
    process.exit(1);
  }
  mkdirSync(dirname(stampFile), { recursive: true });
  writeFileSync(stampFile, lockHash());
}
