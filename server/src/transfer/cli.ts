import 'reflect-metadata';
import { createWriteStream, existsSync, renameSync, rmSync } from 'node:fs';
import { basename } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { parseArgs } from 'node:util';
import type { Client } from 'pg';
import { v7 } from 'uuid';
import { createSequelize } from '../database/database.module';
import { migrate } from '../database/migrate';
import { ShopService } from '../shop/shop.service';
import { exportShop, type Told } from './exportShop';
import { countOutcomes, type TableCount } from './outcomes';
import { readImport } from './readImport';
import { takeImport } from './takeImport';
import { withClient } from './transferWorker';

const MOST_ERRORS_SHOWN = 20;
const TOLD_EVERY_MS = 1000;

const say = (line: string): void => void process.stderr.write(`${line}\n`);

/** Ends the command with a reason a person can act on. */
class Stop extends Error {}

/** A line now and then, however fast the rows come. */
function progress(): Told {
  let last = 0;
  return (file, rows) => {
    if (Date.now() - last < TOLD_EVERY_MS) return;
    last = Date.now();
    say(`${file}: ${rows} rows`);
  };
}

type Verb = (databaseUrl: string, shopId: string, args: string[]) => Promise<void>;

const VERBS: Readonly<Record<string, Verb>> = {
  async export(databaseUrl, shopId, args) {
    const { out } = parseArgs({ args, options: { out: { type: 'string' } } }).values;
    if (!out) throw new Stop('Say where to: export --out shop.zip');
    if (existsSync(out)) throw new Stop(`${out} exists already: give another name.`);
    const unfinished = `${out}.part`;
    try {
      await withClient(databaseUrl, async (client) => {
        const { stream, done } = exportShop(client, shopId, new Date(), progress());
        await Promise.all([pipeline(stream, createWriteStream(unfinished)), done]);
      });
      renameSync(unfinished, out);
    } catch (error) {
      rmSync(unfinished, { force: true });
      throw error;
    }
    say(`${out} holds the whole shop.`);
  },

  async import(databaseUrl, shopId, args) {
    const options = {
      'dry-run': { type: 'boolean', default: false },
      partly: { type: 'boolean', default: false },
    } as const;
    const { values, positionals: paths } = parseArgs({ args, options, allowPositionals: true });
    const missing = paths.find((path) => !existsSync(path));
    if (paths.length === 0) throw new Stop('Say what: import shop.zip [--dry-run] [--partly]');
    if (missing) throw new Stop(`There is no ${missing}.`);
    await withClient(databaseUrl, async (client) => {
      const importId = v7();
      await client.query(`INSERT INTO imports ("shopId", "id", "fileName", "state") VALUES ($1, $2, $3, 'reading')`, [
        ...[shopId, importId],
        paths
          .map((path) => basename(path))
          .join(', ')
          .slice(0, 200),
      ]);
      const files = paths.map((path) => ({ path, name: basename(path), match: null }));
      await readImport({ client, shopId, importId, now: new Date() }, files, progress());
      const refused = await report(client, shopId, importId);
      if (values['dry-run']) return say('Nothing was changed.');
      if (refused > 0 && !values.partly)
        throw new Stop('Nothing was changed. Correct the rows, or leave them out with --partly.');
      await takeImport(client, shopId, importId, '');
      say('Taken. Workshop, In and out, takes it back within a day.');
    });
  },
};

/** Says what would become of the rows; gives how many cannot come in. */
async function report(client: Client, shopId: string, importId: string): Promise<number> {
  const of = [shopId, importId];
  const { rows } = await client.query<{ state: string; problem: string | null }>(
    'SELECT "state", "problem" FROM imports WHERE "shopId" = $1 AND "id" = $2',
    of,
  );
  if (rows[0]!.state !== 'read') throw new Stop(rows[0]!.problem ?? 'It could not be read.');
  const tables = await countOutcomes(client, shopId, importId);
  for (const { table, outcomes } of tables) say(`${table}: ${inWords(outcomes)}`);
  const errors = await client.query<{ file: string; line: number; errors: { path: string; message: string }[] }>(
    `SELECT "file", "line", "errors" FROM import_rows WHERE "shopId" = $1 AND "importId" = $2 AND "outcome" = 'refused'
     ORDER BY "seq" LIMIT ${MOST_ERRORS_SHOWN}`,
    of,
  );
  for (const row of errors.rows) {
    say(
      `${row.file}, line ${row.line}: ${row.errors.map(({ path, message }) => `${path} ${message}`.trim()).join('; ')}`,
    );
  }
  return tables.reduce((sum, { outcomes }) => sum + (outcomes.refused ?? 0), 0);
}

const OUTCOME_WORDS: readonly [keyof TableCount['outcomes'], string][] = [
  ['new', 'new'],
  ['same', 'here already'],
  ['alike', 'here under another id'],
  ['differs', 'here in another form, which stays'],
  ['refused', 'cannot come in'],
];

const inWords = (outcomes: TableCount['outcomes']): string =>
  OUTCOME_WORDS.flatMap(([outcome, words]) => (outcomes[outcome] ? [`${outcomes[outcome]} ${words}`] : [])).join(', ');

/** `export --out FILE` and `import FILE …`, on the database at DATABASE_URL, whether or not a server runs on it. */
async function main([name = '', ...args]: string[]): Promise<void> {
  const verb = VERBS[name];
  const databaseUrl = process.env.DATABASE_URL;
  if (!verb || !databaseUrl) throw new Stop(`DATABASE_URL and one of ${Object.keys(VERBS).join(', ')} are needed.`);
  const sequelize = createSequelize(databaseUrl);
  try {
    await migrate(sequelize);
    await verb(databaseUrl, await new ShopService(sequelize).currentId(), args);
  } finally {
    await sequelize.close();
  }
}

main(process.argv.slice(2)).catch((error: unknown) => {
  const isSaid = error instanceof Stop || String((error as { code?: unknown }).code).startsWith('ERR_PARSE_ARGS_');
  say(isSaid ? (error as Error).message : ((error as Error).stack ?? String(error)));
  process.exitCode = 1;
});
