import { join, resolve } from 'node:path';
import { runShown } from '../lib/processes';

interface Check {
  name: string;
  args: string[];
}

const CACHES = resolve('.olvet', 'caches');
const cached = (name: string): string[] => ['--cache', '--cache-location', join(CACHES, name)];

export const TYPES: Check = {
  name: 'types',
  args: ['tsc', '-p', '.', '--incremental', '--tsBuildInfoFile', join(CACHES, 'types.tsbuildinfo')],
};

/** Style, dependency rule and types. Exported for `npm test`, which counts them. */
export const CHECKS: Check[] = [
  { name: 'lint', args: ['eslint', '--max-warnings', '0', ...cached('eslint'), '--cache-strategy', 'content', '.'] },
  TYPES,
  {
    name: 'format',
    args: ['prettier', '--check', '--log-level', 'warn', ...cached('prettier'), '--cache-strategy', 'content', '.'],
  },
  // Without the page's globals, which the one program of all others has.
  { name: 'types of core alone', args: ['tsc', '-p', 'core', '--noEmit', '--composite', 'false'] },
  {
    name: 'dependency rule',
    args: [
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      ...['core', 'server', 'standins', 'web'].map((name) => `${name}/src`),
    ],
  },
  { name: 'description of the API', args: ['tsx', 'tools/lintApi.mts'] },
];

/** Two at a time, the longest first. */
export async function runChecks(checks: Check[] = CHECKS): Promise<{ passed: string[]; failed: string[] }> {
  const waiting = [...checks];
  const passed: string[] = [];
  const failed: string[] = [];
  const lane = async (): Promise<void> => {
    for (let check = waiting.shift(); check; check = waiting.shift()) {
      const code = await runShown('npx', ['--no-install', ...check.args]);
      (code === 0 ? passed : failed).push(check.name);
    }
  };
  await Promise.all([lane(), lane()]);
  return { passed, failed };
}

export async function run(): Promise<void> {
  const { failed } = await runChecks();
  if (failed.length > 0) {
    process.stderr.write(`Not clean: ${failed.join(', ')}\n`);
    process.exitCode = 1;
  }
}
