import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { buildStale } from '../lib/build';
import { Cluster, createDatabase, withDatabase } from '../lib/cluster';
import { findChromium, installDebian } from '../lib/debian';
import { endChild, freePort, runShown } from '../lib/processes';
import { orStop, say } from '../lib/say';
import { startServer } from '../lib/server';
import { runChecks } from './lint';

const HOME = resolve('.olvet');
const RESULTS = resolve(HOME, 'results');

interface Tally {
  passed: number;
  failed: number;
}

/** `npm test`: checks, Jest, Playwright; everything on a database of its own; one line of sums at the end. */
export function run(args: string[]): Promise<void> {
  return orStop(async () => {
    const only = args[0];
    if (!findChromium()) installDebian('chromium', 'Chromium');
    const cluster = new Cluster(HOME, 'test-database', { safe: false });
    cluster.remove();
    const stop = (): void => {
      cluster.remove();
      process.exit(130);
    };
    process.once('SIGINT', stop);
    process.once('SIGTERM', stop);
    rmSync(RESULTS, { recursive: true, force: true });
    mkdirSync(RESULTS, { recursive: true });
    const sums: Tally[] = [];
    try {
      if (!only || only === 'checks') sums.push(await checks());
      const address = await cluster.start();
      if (!only || only === 'unit') sums.push(await unit(address));
      if (!only || only === 'e2e') sums.push(await browser(address));
    } finally {
      cluster.remove();
    }
    const total = sums.reduce((a, b) => ({ passed: a.passed + b.passed, failed: a.failed + b.failed }));
    process.stdout.write(`\n${total.passed} passed, ${total.failed} failed\n`);
    process.exitCode = total.failed === 0 ? 0 : 1;
  });
}

async function checks(): Promise<Tally> {
  say('Checking style, dependencies and types …');
  const { passed, failed } = await runChecks();
  if (failed.length > 0) say(`Not clean: ${failed.join(', ')}`);
  return { passed: passed.length, failed: failed.length };
}

async function unit(address: string): Promise<Tally> {
  say('Running Jest …');
  const report = resolve(RESULTS, 'jest.json');
  const code = await runShown('npx', ['--no-install', 'jest', '--json', `--outputFile=${report}`], {
    env: { ...process.env, TEST_DATABASE_URL: address },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const { numPassedTests, numFailedTests, numFailedTestSuites } = read<JestReport>(report);
  const failed = Math.max(numFailedTests, numFailedTestSuites, code === 0 ? 0 : 1);
  return { passed: numPassedTests, failed };
}

interface JestReport {
  numPassedTests: number;
  numFailedTests: number;
  numFailedTestSuites: number;
}

/** Two servers: one with the demo shop, one empty, each on its own database. */
async function browser(address: string): Promise<Tally> {
  await buildStale(HOME);
  say('Running Playwright …');
  const start = async (name: string, demo: boolean) => {
    await createDatabase(address, name);
    const port = await freePort();
    const server = await startServer({ databaseUrl: withDatabase(address, name), port, demo, logLevel: 'error' });
    return { server, url: `http://127.0.0.1:${port}` };
  };
  const demo = await start('e2e_demo', true);
  const empty = await start('e2e_empty', false);
  const report = resolve(RESULTS, 'playwright.json');
  try {
    const code = await runShown('npx', ['--no-install', 'playwright', 'test', '--reporter=list,json'], {
      env: { ...process.env, DEMO_URL: demo.url, EMPTY_URL: empty.url, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
    });
    const { stats } = read<{ stats: { expected: number; unexpected: number; flaky: number } }>(report);
    const failed = stats.unexpected + stats.flaky;
    return { passed: stats.expected, failed: Math.max(failed, code === 0 ? 0 : 1) };
  } finally {
    await Promise.all([endChild(demo.server), endChild(empty.server)]);
  }
}

function read<T>(file: string): T {
  return JSON.parse(readFileSync(file, 'utf8')) as T;
}
