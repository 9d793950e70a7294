import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import pg from 'pg';
import { wholeNumber } from '../lib/options';
import { createDatabase, withDatabase } from '../lib/cluster';
import { withDemoServer } from '../lib/demoServer';
import { orStop, say, Stop } from '../lib/say';

const SHOTS = 1_000_000;
/** What each may take. */
const LIMITS = { export: { seconds: 60, megabytes: 300 }, import: { seconds: 300, megabytes: 500 } };

/** `npm run bench:transfer [-- --shots N]`: a shop with a million shots out as one ZIP, and in again into an empty one. */
export function run(args: string[]): Promise<void> {
  return orStop(() => {
    const { values } = parseArgs({ args, options: { shots: { type: 'string', default: String(SHOTS) } } });
    const shots = wholeNumber('--shots', values.shots, { min: 1, max: SHOTS });
    return withDemoServer('transfer', async ({ databaseUrl }) => {
      say(`Filling the shop up to ${shots} shots …`);
      await fill(databaseUrl, shots);
      const folder = mkdtempSync(join(tmpdir(), 'olvet-bench-'));
      try {
        const zip = join(folder, 'shop.zip');
        const empty = withDatabase(databaseUrl, 'transfer_empty');
        await createDatabase(withDatabase(databaseUrl, 'postgres'), 'transfer_empty');
        const out = await measured('export', databaseUrl, ['export', '--out', zip]);
        say(`The ZIP has ${Math.round(statSync(zip).size / 1e6)} MB.`);
        const back = await measured('import', empty, ['import', zip]);
        process.stdout.write(`${JSON.stringify({ shots, export: out, import: back })}\n`);
        if (!out.isGood || !back.isGood) process.exitCode = 1;
      } finally {
        rmSync(folder, { recursive: true, force: true });
      }
    });
  });
}

interface Measured {
  seconds: number;
  megabytes: number;
  isGood: boolean;
}

/** Seconds, and the most memory the process held. */
async function measured(what: keyof typeof LIMITS, databaseUrl: string, args: string[]): Promise<Measured> {
  const began = Date.now();
  const child = spawn(process.execPath, [resolve('server/dist/src/transfer/cli.js'), ...args], {
    env: { ...process.env, DATABASE_URL: databaseUrl },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  let kilobytes = 0;
  const look = setInterval(() => (kilobytes = Math.max(kilobytes, peakOf(child.pid!))), 200);
  const code = await new Promise((ended) => child.once('close', ended));
  clearInterval(look);
  if (code !== 0) throw new Stop(`${what} ended with ${String(code)}.`);
  const [seconds, megabytes] = [(Date.now() - began) / 1000, Math.round(kilobytes / 1024)];
  const isGood = seconds < LIMITS[what].seconds && megabytes < LIMITS[what].megabytes;
  say(`${what}: ${seconds.toFixed(1)} s, ${megabytes} MB ${isGood ? '' : '(too much)'}`);
  return { seconds, megabytes, isGood };
}

/** 0 once it has ended. */
function peakOf(pid: number): number {
  try {
    return Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0);
  } catch {
    return 0;
  }
}

/** Shots of service over ten years, spread over the demo's stations. */
async function fill(databaseUrl: string, shots: number): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    await client.query(`SET olvet.quiet = 'on'`);
    await client.query(
      `INSERT INTO shots ("shopId","id","kind","stationId","coffeeId","pulledAt","pulledBy","grind","doseGrams","yieldGrams",
         "temperatureC","planned","timeSeconds","timer","firstDripSeconds","seen","note")
       SELECT s."shopId", gen_random_uuid(), 'service', s."id", s."coffeeId", now() - (n * 5 || ' minutes')::interval, 'Ines',
         s."grind", round((18 + random())::numeric, 1), round((36 + random() * 2)::numeric, 1), 93,
         '{"grind":12,"doseGrams":18,"yieldGrams":36,"temperatureC":93}', round((25 + random() * 8)::numeric, 1), 'pump-on',
         round((5 + random() * 3)::numeric, 1), CASE WHEN n % 9 = 0 THEN '[{"sign":"spurts","clock":2}]'::jsonb ELSE '[]' END,
         CASE WHEN n % 50 = 0 THEN '=a note, with "quotes"' ELSE '' END
       FROM generate_series(1, $1) n JOIN LATERAL (SELECT * FROM stations ORDER BY "position" OFFSET n % 3 LIMIT 1) s ON true`,
      [shots],
    );
  } finally {
    await client.end();
  }
}
