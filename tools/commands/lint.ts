import { runShown } from '../lib/processes';

interface Check {
  name: string;
  args: string[];
}

/** Style, dependency rule and types. Exported for `npm test`, which counts them. */
export const CHECKS: Check[] = [
  { name: 'lint', args: ['eslint', '--max-warnings', '0', '.'] },
  { name: 'format', args: ['prettier', '--check', '--log-level', 'warn', '.'] },
  {
    name: 'dependency rule',
    args: [
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'core/src',
      'server/src',
      'web/src',
    ],
  },
  { name: 'types of core', args: ['tsc', '-p', 'core/tsconfig.lint.json'] },
  { name: 'types of server', args: ['tsc', '-p', 'server/tsconfig.lint.json'] },
  { name: 'types of the page', args: ['tsc', '-p', 'web'] },
  { name: 'types of tools and browser tests', args: ['tsc', '-p', 'tools'] },
];

export async function runChecks(): Promise<{ passed: string[]; failed: string[] }> {
  const passed: string[] = [];
  const failed: string[] = [];
  for (const { name, args } of CHECKS) {
    const code = await runShown('npx', ['--no-install', ...args]);
    (code === 0 ? passed : failed).push(name);
  }
  return { passed, failed };
}

export async function run(): Promise<void> {
  const { failed } = await runChecks();
  if (failed.length > 0) {
    process.stderr.write(`Not clean: ${failed.join(', ')}\n`);
    process.exitCode = 1;
  }
}
