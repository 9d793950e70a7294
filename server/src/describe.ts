import 'reflect-metadata';
import { createApp } from './app';
import { describeApi } from './description/document';

/** Prints the OpenAPI document. Needs no database: nothing is queried before a request comes in. */
async function main(): Promise<void> {
  const app = await createApp({
    databaseUrl: 'postgres://nobody@127.0.0.1:1/none',
    host: '127.0.0.1',
    port: 0,
    webFolder: null,
    demo: false,
    logLevel: 'silent',
    dataFolder: null,
    lessonPatienceMs: 0,
    networkNames: [],
    now: Date.now,
  });
  process.stdout.write(`${JSON.stringify(describeApi(app), null, 2)}\n`);
  await app.close();
}

main().catch((error: unknown) => {
  process.stderr.write(`${String(error)}\n`);
  process.exit(1);
});
