import type { Sequelize } from 'sequelize-typescript';
import { SequelizeStorage, Umzug } from 'umzug';
import * as first from '../../migrations/0001-first';
import * as lessons from '../../migrations/0002-lessons';
import * as preparation from '../../migrations/0003-preparation';
import * as confirmShots from '../../migrations/0004-confirm-shots';
import * as suggestedStart from '../../migrations/0005-suggested-start';
import * as startSd from '../../migrations/0006-start-sd';

export interface MigrationContext {
  run(sql: string): Promise<void>;
}

export interface Migration {
  up(context: MigrationContext): Promise<void>;
  down(context: MigrationContext): Promise<void>;
}

/** In order. A new migration is one new file and a line here. */
export const MIGRATIONS: Record<string, Migration> = {
  '0001-first': first,
  '0002-lessons': lessons,
  '0003-preparation': preparation,
  '0004-confirm-shots': confirmShots,
  '0005-suggested-start': suggestedStart,
  '0006-start-sd': startSd,
};

/** Any number of server processes may start at once; one migrates, the others wait for this lock. */
const LOCK_KEY = 47905;

/** Brings the schema up to date, each migration in a transaction of its own. Returns the names that were run. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  return sequelize.transaction(async (lock) => {
    await sequelize.query(`SELECT pg_advisory_xact_lock(${LOCK_KEY})`, { transaction: lock });
    const umzug = new Umzug({
      migrations: Object.entries(MIGRATIONS).map(([name, migration]) => ({
        name,
        up: () => inTransaction(sequelize, migration.up),
        down: () => inTransaction(sequelize, migration.down),
      })),
      storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
      logger: undefined,
    });
    return (await umzug.up()).map(({ name }) => name);
  });
}

async function inTransaction(sequelize: Sequelize, change: Migration['up']): Promise<void> {
  await sequelize.transaction(async (transaction) => {
    await change({
      run: async (sql) => {
        await sequelize.query(sql, { transaction });
      },
    });
  });
}
