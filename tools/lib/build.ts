import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runShown } from './processes';
import { say, Stop } from './say';

interface Part {
  name: string;
  sources: string[];
  output: string;
  build(): Promise<number>;
}

const PARTS: Part[] = [
  {
    name: 'core and server',
    sources: [
      'core/src',
      'core/tsconfig.json',
      'server/src',
      'server/migrations',
      'server/demo',
      'server/tsconfig.json',
      'standins/src',
      'standins/tsconfig.json',
    ],
    output: 'server/dist/src/main.js',
    async build() {
      // A build info that outlives its output makes tsc emit nothing and say nothing.
      rmSync('server/dist', { recursive: true, force: true });
      rmSync('core/dist', { recursive: true, force: true });
      rmSync('standins/dist', { recursive: true, force: true });
      return runShown('npx', ['--no-install', 'tsc', '-b', 'server', 'standins']);
    },
  },
  {
    name: 'page',
    sources: ['core/src', 'web/src', 'web/index.html', 'web/public', 'web/vite.config.ts'],
    output: 'web/dist/index.html',
    build: () => runShown('npx', ['--no-install', 'vite', 'build', '--logLevel', 'warn'], { cwd: 'web' }),
  },
];

/** Builds what is older than its sources; `only` names one part. */
export async function buildStale(home: string, only?: 'core and server' | 'page'): Promise<void> {
  const lock = readFileSync('package-lock.json', 'utf8');
  const build = async (part: Part): Promise<void> => {
    const stamp = join(home, `built-${part.name.replaceAll(' ', '-')}`);
    const fingerprint = createHash('sha256').update(lock).update(describe(part.sources)).digest('hex');
    if (existsSync(part.output) && existsSync(stamp) && readFileSync(stamp, 'utf8') === fingerprint) return;
    say(`Building ${part.name} …`);
    if ((await part.build()) !== 0) throw new Stop(`Building ${part.name} failed: see above.`);
    mkdirSync(home, { recursive: true });
    writeFileSync(stamp, fingerprint);
  };
  await Promise.all(PARTS.filter(({ name }) => !only || name === only).map(build));
}

/** Names, sizes and times of all files below: enough to see a change, quicker than reading them. */
function describe(paths: string[]): string {
  return paths
    .filter((path) => existsSync(path))
    .flatMap((path) => {
      if (!statSync(path).isDirectory()) return [path];
      return readdirSync(path, { recursive: true, encoding: 'utf8' }).map((name) => join(path, name));
    })
    .sort()
    .map((file) => {
      const { size, mtimeMs, isDirectory } = { ...statSync(file), isDirectory: statSync(file).isDirectory() };
      return isDirectory ? '' : `${file} ${size} ${mtimeMs}`;
    })
    .join('\n');
}
