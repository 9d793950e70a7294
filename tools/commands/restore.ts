import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { backUp, backupsFolder, backupsIn, restoreFrom } from '../lib/backups';
import { HOME, withOwnDatabase } from '../lib/ownDatabase';
import { orStop, say, Stop } from '../lib/say';
import { runningStart } from '../lib/startState';

/** `npm run restore [-- FILE]`: the newest backup, or the one named, in place of what stands; that is backed up first. */
export function run([asked]: string[]): Promise<void> {
  return orStop(async () => {
    const known = backupsIn(HOME);
    if (!asked && known.length === 0) throw new Stop('There is no backup yet: npm run backup makes one.');
    const path = asked && existsSync(asked) ? asked : join(backupsFolder(HOME), asked ?? known[0]!);
    if (!existsSync(path)) throw new Stop(`There is no ${asked}. There are: ${known.join(', ') || 'none'}.`);
    const address = runningStart(HOME);
    if (address) throw new Stop(`Olvet runs at ${address}. Stop it there with Ctrl-C first.`);
    const ask = createInterface({ input: process.stdin, output: process.stderr });
    const answer = await ask.question(`This puts ${path} in place of what is kept here. Type “yes” to go on: `);
    ask.close();
    if (answer.trim().toLowerCase() !== 'yes') throw new Stop('Nothing was changed.');
    await withOwnDatabase(async (databaseUrl) => {
      say(`What was there is kept: ${await backUp(HOME, databaseUrl, new Date())}`);
      await restoreFrom(path, databaseUrl);
      say('Restored.');
    });
  });
}
