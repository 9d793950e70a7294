import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { createApp, describeApi } from './app';

it('is described by docs/openapi.json, from which the page’s client is generated', async () => {
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
  const now = JSON.parse(JSON.stringify(describeApi(app))) as unknown;
  await app.close();
  // On a difference: npm run api:generate
  expect(JSON.parse(readFileSync(resolve(__dirname, '../../docs/openapi.json'), 'utf8'))).toEqual(now);
});
