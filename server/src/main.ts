import 'reflect-metadata';
import { Sequelize } from 'sequelize-typescript';
import { createApp } from './app';
import { readConfig } from './config';
import { migrate } from './database/migrate';

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const app = await createApp(config);
  await migrate(app.get(Sequelize));
  await app.listen(config.port, config.host);
  // The start command waits for this line.
  process.stdout.write(`listening on ${await app.getUrl()}\n`);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
