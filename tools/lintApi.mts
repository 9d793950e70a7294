import { createConfig, lint } from '@redocly/openapi-core';
import { resolve } from 'node:path';

/** The API's description by a linter's recommended rules, warnings included, no exceptions. */
async function main(): Promise<void> {
  const config = await createConfig({ extends: ['recommended'] });
  const problems = await lint({ ref: resolve('docs', 'openapi.json'), config });
  for (const { ruleId, message, location } of problems) {
    process.stderr.write(`docs/openapi.json ${location[0]?.pointer ?? ''}: ${message} (${ruleId})\n`);
  }
  if (problems.length > 0) process.exitCode = 1;
}

await main();
