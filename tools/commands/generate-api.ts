import { readFileSync, writeFileSync } from 'node:fs';
import { generateEndpoints } from '@rtk-query/codegen-openapi';
import { resolve } from 'node:path';
import { buildStale } from '../lib/build';
import { runQuietly } from '../lib/processes';
import { orStop, Stop } from '../lib/say';

const CLIENT = resolve('web/src/app/api.generated.ts');

/** DTO classes → docs/openapi.json → web/src/app/api.generated.ts. */
export function run(): Promise<void> {
  return orStop(async () => {
    // The page may not build before its client is made again; the server is what is needed here.
    await buildStale(resolve('.olvet'), 'core and server');
    const described = runQuietly(process.execPath, ['server/dist/src/describe.js']);
    if (!described.ok) throw new Stop(described.output);
    writeFileSync('docs/openapi.json', described.output);
    await generateEndpoints({
      schemaFile: resolve('docs/openapi.json'),
      apiFile: resolve('web/src/app/emptyApi.ts'),
      apiImport: 'emptyApi',
      outputFile: CLIENT,
      exportName: 'generatedApi',
      hooks: true,
      tag: true,
    });
    // The generator writes the path of this machine.
    const client = readFileSync(CLIENT, 'utf8').replace(/from "[^"]*emptyApi"/, 'from "./emptyApi"');
    writeFileSync(CLIENT, client);
  });
}
