import { Global, Inject, Module, type OnApplicationShutdown } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { CONFIG, type Config } from '../config';
import { signRows } from '../people/whoIsThere';
import { MODELS } from './models';

const CONNECTIONS = 10;
/** Nobody waits longer than this for a connection: the answer is 503, and a page asks again by itself. */
const ACQUIRE_MS = 4000;
/** What any question may take; migrations are exempt. */
const STATEMENT_MS = 10_000;
const LOCK_MS = 5000;
const IDLE_TRANSACTION_MS = 20_000;

/** Opens nothing by itself: the first query does. So the API can be described without a database. */
export function createSequelize(databaseUrl: string): Sequelize {
  const sequelize = new Sequelize(databaseUrl, {
    dialect: 'postgres',
    logging: false,
    pool: { max: CONNECTIONS, idle: 30_000, acquire: ACQUIRE_MS },
    dialectOptions: {
      connectionTimeoutMillis: ACQUIRE_MS,
      statement_timeout: STATEMENT_MS,
      lock_timeout: LOCK_MS,
      idle_in_transaction_session_timeout: IDLE_TRANSACTION_MS,
    },
    models: MODELS,
    define: { timestamps: true },
  });
  signRows(sequelize);
  return sequelize;
}

@Global()
@Module({
  providers: [
    {
      provide: Sequelize,
      inject: [CONFIG],
      useFactory: (config: Config) => createSequelize(config.databaseUrl),
    },
  ],
  exports: [Sequelize],
})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(@Inject(Sequelize) private readonly sequelize: Sequelize) {}

  async onApplicationShutdown(): Promise<void> {
    await this.sequelize.close();
  }
}
