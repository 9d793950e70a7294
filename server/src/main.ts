import 'reflect-metadata';
import { Sequelize } from 'sequelize-typescript';
import { loadDemo } from '../demo/load';
import { createApp } from './app';
import { readConfig } from './config';
import { migrate } from './database/migrate';

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const app = await createApp(config);
  const sequelize = app.get(Sequelize);
  if (config.demo) await loadDemo(sequelize, new Date());
  else await migrate(sequelize);
  await app.listen(config.port, config.host);
  // The start command waits for this line.
  process.stdout.write(`listening on ${await app.getUrl()}\n`);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
