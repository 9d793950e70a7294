import { Logger, makeWorkerUtils } from 'graphile-worker';
import type { PoolConfig } from 'pg';
import type { Transaction } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { Umzug, type UmzugStorage } from 'umzug';
import { heardPool } from './heardPool';
import type { Migration } from './migration';
import * as first from '../../migrations/0001-first';
import * as lessons from '../../migrations/0002-lessons';
import * as preparation from '../../migrations/0003-preparation';
import * as confirmShots from '../../migrations/0004-confirm-shots';
import * as suggestedStart from '../../migrations/0005-suggested-start';
import * as startSd from '../../migrations/0006-start-sd';
import * as quickAndTraced from '../../migrations/0007-quick-and-traced';
import * as tablets from '../../migrations/0008-tablets';
import * as shopDay from '../../migrations/0009-shop-day';
import * as possible from '../../migrations/0010-possible';
import * as runningTotals from '../../migrations/0011-running-totals';
import * as trueRecords from '../../migrations/0012-true-records';
import * as thePull from '../../migrations/0013-the-pull';
import * as cardShot from '../../migrations/0014-card-shot';
import * as theDay from '../../migrations/0015-the-day';
import * as theAir from '../../migrations/0016-the-air';
import * as keeping from '../../migrations/0017-keeping';
import * as forecast from '../../migrations/0019-forecast';
import * as toldSheets from '../../migrations/0020-told-sheets';
import * as drinks from '../../migrations/0021-drinks';
import * as printed from '../../migrations/0022-printed';
import * as handOver from '../../migrations/0018-hand-over';
import * as transfer from '../../migrations/0023-transfer';
import * as care from '../../migrations/0024-care';
import * as basketRows from '../../migrations/0025-basket-rows';
import * as cardProposals from '../../migrations/0026-card-proposals';
import * as preparations from '../../migrations/0027-preparations';

/** In order. A new migration is one new file and a line here. */
export const MIGRATIONS: Record<string, Migration> = {
  '0001-first': first,
  '0002-lessons': lessons,
  '0003-preparation': preparation,
  '0004-confirm-shots': confirmShots,
  '0005-suggested-start': suggestedStart,
  '0006-start-sd': startSd,
  '0007-quick-and-traced': quickAndTraced,
  '0008-tablets': tablets,
  '0009-shop-day': shopDay,
  '0010-possible': possible,
  '0011-running-totals': runningTotals,
  '0012-true-records': trueRecords,
  '0013-the-pull': thePull,
  '0014-card-shot': cardShot,
  '0015-the-day': theDay,
  '0016-the-air': theAir,
  '0017-keeping': keeping,
  '0018-hand-over': handOver,
  '0019-forecast': forecast,
  '0020-told-sheets': toldSheets,
  '0021-drinks': drinks,
  '0022-printed': printed,
  '0023-transfer': transfer,
  '0024-care': care,
  '0025-basket-rows': basketRows,
  '0026-card-proposals': cardProposals,
  '0027-preparations': preparations,
};

/** Any number of server processes may start at once; one migrates, the others wait for this lock. */
const LOCK_KEY = 47905;

/** The schema was made by a newer Olvet than this one. */
export class NewerSchema extends Error {
  constructor(names: string[]) {
    super(
      `This database was last used by a newer Olvet (it knows ${names.join(', ')}). Nothing was changed: start the newer ` +
        'version again, or use another database.',
    );
  }
}

/**
 * Brings the schema up to date, all of it or nothing: a migration and its entry in the book are one transaction.
 * Returns the names that were run.
 * @throws NewerSchema where the book names migrations this code does not know
 */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const names = await sequelize.transaction(async (transaction) => {
    const run = async (sql: string): Promise<void> => void (await sequelize.query(sql, { transaction }));
    // A migration may take as long as it needs, and as long as the one before it at the lock.
    await run('SET LOCAL statement_timeout = 0');
    await run('SET LOCAL lock_timeout = 0');
    await run(`SELECT pg_advisory_xact_lock(${LOCK_KEY})`);
    const book = new Book(sequelize, transaction);
    await book.open();
    const unknown = (await book.executed()).filter((name) => !(name in MIGRATIONS));
    if (unknown.length > 0) throw new NewerSchema(unknown);
    const umzug = new Umzug({
      migrations: Object.entries(MIGRATIONS).map(([name, { up, down }]) => ({
        name,
        up: () => up({ run }),
        down: () => down({ run }),
      })),
      storage: book,
      logger: undefined,
    });
    return (await umzug.up()).map(({ name }) => name);
  });
  await migrateJobs(sequelize);
  return names;
}

/** Which migrations were run, kept in the transaction that runs them. */
class Book implements UmzugStorage {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly transaction: Transaction,
  ) {}

  async open(): Promise<void> {
    await this.query('CREATE TABLE IF NOT EXISTS migrations ("name" varchar(255) PRIMARY KEY)');
  }

  async executed(): Promise<string[]> {
    const rows = (await this.query('SELECT "name" FROM migrations ORDER BY "name"')) as { name: string }[];
    return rows.map(({ name }) => name);
  }

  async logMigration({ name }: { name: string }): Promise<void> {
    await this.query('INSERT INTO migrations ("name") VALUES (:name)', { name });
  }

  async unlogMigration({ name }: { name: string }): Promise<void> {
    await this.query('DELETE FROM migrations WHERE "name" = :name', { name });
  }

  private async query(sql: string, replacements: Record<string, string> = {}): Promise<unknown[]> {
    return (await this.sequelize.query(sql, { replacements, transaction: this.transaction }))[0];
  }
}

/** The queue keeps its own tables, in a schema of its own; it waits for whoever else does the same. */
async function migrateJobs(sequelize: Sequelize): Promise<void> {
  const pgPool = heardPool({ ...connectionOf(sequelize), max: 2 }, () => undefined);
  try {
    const utils = await makeWorkerUtils({ pgPool, logger: new Logger(() => () => undefined) });
    await utils.migrate();
    await utils.release();
  } finally {
    await pgPool.end();
  }
}

function connectionOf(sequelize: Sequelize): PoolConfig {
  const { host, port, username, password, database } = sequelize.config;
  return { host, port: Number(port), user: username, password: password ?? undefined, database };
}
