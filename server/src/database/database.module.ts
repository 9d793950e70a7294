import { Global, Inject, Module, type OnApplicationShutdown } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { CONFIG, type Config } from '../config';
import { MODELS } from './models';

/** Opens nothing by itself: the first query does. So the API can be described without a database. */
export function createSequelize(databaseUrl: string): Sequelize {
  return new Sequelize(databaseUrl, {
    dialect: 'postgres',
    logging: false,
    pool: { max: 10, idle: 30_000, acquire: 15_000 },
    models: MODELS,
    define: { timestamps: true },
  });
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
