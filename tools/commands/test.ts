import type { ChildProcess } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { buildStale } from '../lib/build';
import { createDatabase, withDatabase } from '../lib/cluster';
import { findChromium, installDebian } from '../lib/debian';
import { endChild, freePort, runShown } from '../lib/processes';
import { orStop, say } from '../lib/say';
import { startServer } from '../lib/server';
import { withTestDatabase } from '../lib/testDatabase';
import { runChecks } from './lint';

const HOME = resolve('.olvet');
const RESULTS = resolve(HOME, 'results');

interface Tally {
  passed: number;
  failed: number;
}

/** What keeps both cores of a small machine busy by itself; one after the other, so that none waits for another. */
const PHASES: Record<string, (address: string) => Promise<Tally>> = {
  checks,
  build: () => buildStale(HOME).then(() => ({ passed: 0, failed: 0 })),
  unit,
  e2e: browser,
};

/** `npm test`: checks, Jest, Playwright; everything on a database of its own; one line of sums at the end. */
export function run(args: string[]): Promise<void> {
  return orStop(async () => {
    const isAsked = (phase: string): boolean =>
      args.length === 0 || args.includes(phase) || (phase === 'build' && args.includes('e2e'));
    if (isAsked('e2e') && !findChromium()) installDebian('chromium', 'Chromium');
    rmSync(RESULTS, { recursive: true, force: true });
    mkdirSync(RESULTS, { recursive: true });
    const total: Tally = { passed: 0, failed: 0 };
    const seconds: string[] = [];
    const began = Date.now();
    await withTestDatabase(HOME, async (address) => {
      for (const [phase, work] of Object.entries(PHASES)) {
        if (!isAsked(phase)) continue;
        const phaseBegan = Date.now();
        const { passed, failed } = await work(address);
        total.passed += passed;
        total.failed += failed;
        seconds.push(`${phase} ${secondsSince(phaseBegan)} s`);
      }
    });
    process.stdout.write(`\n${seconds.join(' · ')} · all ${secondsSince(began)} s\n`);
    process.stdout.write(`${total.passed} passed, ${total.failed} failed\n`);
    process.exitCode = total.failed === 0 ? 0 : 1;
  });
}

const secondsSince = (began: number): number => Math.round((Date.now() - began) / 1000);

async function checks(): Promise<Tally> {
  say('Checking style, dependencies and types …');
  const { passed, failed } = await runChecks();
  if (failed.length > 0) say(`Not clean: ${failed.join(', ')}`);
  return { passed: passed.length, failed: failed.length };
}

async function unit(address: string): Promise<Tally> {
  say('Running Jest …');
  const report = resolve(RESULTS, 'jest.json');
  // Two processes: Jest's own choice on two cores is one, which loads every package in the process that schedules.
  const code = await runShown('npx', ['--no-install', 'jest', '-w', '2', '--json', `--outputFile=${report}`], {
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

/** As `e2e/browser.ts` resolves it. */
const NETWORK_NAME = 'bar.local';

/** Two servers: one with the demo shop, one empty and open to a network of one name, each on its own database. */
async function browser(address: string): Promise<Tally> {
  say('Running Playwright …');
  const start = async (name: string, demo: boolean) => {
    await createDatabase(address, name);
    const port = await freePort();
    const networkNames = demo ? [] : [NETWORK_NAME];
    const options = { databaseUrl: withDatabase(address, name), port, demo, networkNames, logLevel: 'error' };
    // Ended by surprise, too: a server has a process group of its own, which no signal to this one reaches.
    const onSpawn = (child: ChildProcess): void => void process.once('exit', () => child.kill());
    const server = await startServer({ ...options, host: '127.0.0.1', onSpawn });
    return { server, url: `http://127.0.0.1:${port}` };
  };
  const demo = await start('e2e_demo', true);
  const empty = await start('e2e_empty', false);
  const report = resolve(RESULTS, 'playwright.json');
  try {
    const code = await runShown('npx', ['--no-install', 'playwright', 'test', '--reporter=list,json'], {
      env: {
        ...process.env,
        TEST_DATABASE_URL: address,
        DEMO_URL: demo.url,
        EMPTY_URL: empty.url,
        PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      },
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
