import { spawn } from 'node:child_process';
import { chmodSync, copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const FILES = ['run.mjs', 'install.mjs', 'installed.mjs'];

let checkout: string;

/** A checkout with a command that needs its packages, and an npm that takes its time and stumbles over another beside it. */
beforeEach(() => {
  checkout = mkdtempSync(join(tmpdir(), 'olvet-install-'));
  mkdirSync(join(checkout, 'tools', 'commands'), { recursive: true });
  for (const file of FILES) copyFileSync(join(__dirname, file), join(checkout, 'tools', file));
  writeFileSync(join(checkout, 'package-lock.json'), '{"lockfileVersion":3}');
  writeFileSync(join(checkout, 'tools', 'commands', 'greet.ts'), "exports.run = () => console.log('hello');");
  mkdirSync(join(checkout, 'bin'));
});

afterEach(() => rmSync(checkout, { recursive: true, force: true }));

/** An `npm` that does this in `sh`. */
function pretendNpm(script: string): void {
  const npm = join(checkout, 'bin', 'npm');
  writeFileSync(npm, `#!/bin/sh\necho "$@" >> npm.log\n${script}\n`);
  chmodSync(npm, 0o755);
}

const INSTALL = `
if ! mkdir busy; then exit 1; fi
rm -rf node_modules && sleep 0.3
mkdir -p node_modules/tsx/cjs && echo '{"exports":{"./cjs/api":"./cjs/api.js"}}' > node_modules/tsx/package.json
echo 'exports.register = () => require.extensions[".ts"] = require.extensions[".js"];' > node_modules/tsx/cjs/api.js
rmdir busy`;

function greet(
  heard: (text: string) => void = () => undefined,
): Promise<{ code: number | null; output: string; errors: string }> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [join(checkout, 'tools', 'run.mjs'), 'greet'], {
      env: { ...process.env, PATH: `${join(checkout, 'bin')}:${process.env['PATH']}` },
    });
    let output = '';
    let errors = '';
    child.stdout.on('data', (text: Buffer) => (output += text.toString()));
    child.stderr.on('data', (text: Buffer) => {
      errors += text.toString();
      heard(errors);
    });
    child.on('close', (code) => resolve({ code, output, errors }));
  });
}

const npmRuns = (): string[] => readFileSync(join(checkout, 'npm.log'), 'utf8').trim().split('\n');

describe('the packages', () => {
  it('are installed once by commands that start together, and all of them go on', async () => {
    // Slow enough that the others come to wait, and say so.
    pretendNpm(`n=0; until [ -f go ] || [ $n = 200 ]; do n=$((n + 1)); sleep 0.05; done\n${INSTALL}`);
    const waiting = new Set<number>();
    const heardBy = (who: number) => (errors: string) => {
      if (errors.includes('Another command is installing the packages')) waiting.add(who);
      if (waiting.size === 2) writeFileSync(join(checkout, 'go'), '');
    };
    const done = await Promise.all([0, 1, 2].map((who) => greet(heardBy(who))));
    for (const { code, output, errors } of done)
      expect({ code, output, errors }).toMatchObject({ code: 0, output: 'hello\n' });
    expect(npmRuns()).toEqual(['ci --no-audit --no-fund --loglevel=error']);
  });

  it('are not installed again until the lock file changes', async () => {
    pretendNpm(INSTALL);
    await greet();
    expect((await greet()).errors).toBe('');
    writeFileSync(join(checkout, 'package-lock.json'), '{"lockfileVersion":3,"name":"other"}');
    expect((await greet()).output).toBe('hello\n');
    expect(npmRuns()).toHaveLength(2);
  });

  it('are tried again after an installation that failed, which is said', async () => {
    pretendNpm('exit 7');
    const failed = await greet();
    expect(failed.code).toBe(1);
    expect(failed.errors).toContain('npm ci failed');
    pretendNpm(INSTALL);
    expect((await greet()).output).toBe('hello\n');
  });
});
