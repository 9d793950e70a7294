import { backUp } from '../lib/backups';
import { HOME, withOwnDatabase } from '../lib/ownDatabase';
import { orStop, say } from '../lib/say';

/** `npm run backup`: the whole database as one dated file, whether Olvet runs or not. */
export function run(): Promise<void> {
  return orStop(() =>
    withOwnDatabase(async (databaseUrl) => say(`Backed up: ${await backUp(HOME, databaseUrl, new Date())}`)),
  );
}
