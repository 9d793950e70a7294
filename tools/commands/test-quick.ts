import { resolve } from 'node:path';
import { runQuietly, runShown } from '../lib/processes';
import { orStop, say } from '../lib/say';
import { withTestDatabase } from '../lib/testDatabase';
import { runChecks, TYPES } from './lint';

/** `npm run test:quick`: types, and the unit tests of what changed since origin/main, uncommitted files included. */
export function run(): Promise<void> {
  return orStop(async () => {
    const known = runQuietly('git', ['rev-parse', '--verify', '--quiet', 'origin/main']);
    const since = known.ok ? 'origin/main' : 'HEAD';
    say(`Types, and the unit tests of what changed since ${since} …`);
    const failures = await withTestDatabase(resolve('.olvet'), (address) =>
      Promise.all([
        runChecks([TYPES]).then(({ failed }) => failed.length),
        runShown('npx', ['--no-install', 'jest', '-w', '2', `--changedSince=${since}`, '--passWithNoTests'], {
          env: { ...process.env, TEST_DATABASE_URL: address },
        }),
      ]),
    );
    process.exitCode = failures.every((count) => count === 0) ? 0 : 1;
  });
}
