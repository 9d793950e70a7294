import { chromium } from '@playwright/test';
import pg from 'pg';
import { gzipSync } from 'node:zlib';
import { browserOptions } from '../../e2e/browser';
import { everydayRequest, everydayShot } from '../../core/src/advice/advice.fixture';
import { answer } from '../../core/src/index';
import { withDemoServer } from '../lib/demoServer';
import { orStop, say } from '../lib/say';

const SHOTS = 100_000;
const ROUNDS = 300;

interface Measured {
  what: string;
  median: number;
  p95: number;
  limit: number;
  unit: string;
}

/** `npm run bench:api`: the screens' questions at 100,000 shots, the advice, and the weight of the first page. */
export function run(): Promise<void> {
  return orStop(async () => {
    await withDemoServer('bench', async ({ url, databaseUrl }) => {
      say(`Filling the shop up to ${SHOTS} shots …`);
      const { runId } = await fill(databaseUrl);
      const stationId = await fillToday(databaseUrl);
      const rows: Measured[] = [];
      const measure = async (what: string, path: string, limit: number): Promise<void> => {
        rows.push({ what, ...(await timeRequests(url + path)), limit, unit: 'ms' });
      };
      await measure('station board', '/api/board', 30);
      await measure('station day, 200 shots', `/api/stations/${stationId}/day`, 60);
      await measure('run sheet', `/api/runs/${runId}/sheet`, 30);
      await measure('card list', '/api/cards?pageSize=20', 30);
      await measure('dial-in list', '/api/runs?pageSize=20', 30);
      await measure('stock', '/api/stock', 100);
      await measure('wear of the burrs', '/api/wear', 100);
      await measure('first setting', `/api/start?${await startQuestion(databaseUrl)}`, 30);
      await measure('shots, newest first', '/api/shots?pageSize=50', 30);
      rows.push({ what: 'advice over 12 shots', ...timeAdvice(), limit: 20, unit: 'ms' });
      const kilobytes = await weighFirstPage(url);
      rows.push({ what: 'script of the first page', median: kilobytes, p95: kilobytes, limit: 350, unit: 'kB gzip' });
      print(rows);
      if (rows.some(({ p95, limit }) => p95 > limit)) process.exitCode = 1;
    });
  });
}

/** A busy day at every station of the demo: 200 shots of service since it began. */
async function fillToday(databaseUrl: string): Promise<string> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    await client.query(
      `INSERT INTO shots ("shopId","id","kind","stationId","coffeeId","cardVersionId","pulledAt","grind","doseGrams","yieldGrams","planned","timeSeconds","timer")
       SELECT s."shopId", gen_random_uuid(), 'service', s."id", s."coffeeId",
              (SELECT v."id" FROM cards c JOIN card_versions v ON v."cardId" = c."id"
               WHERE c."stationId" = s."id" ORDER BY v."createdAt" DESC LIMIT 1),
              now() - (n || ' seconds')::interval, s."grind", 18, 36, '{"doseGrams":18,"yieldGrams":36}', 25 + random() * 8, 'pump-on'
       FROM stations s, generate_series(1, 200) n`,
    );
    await client.query('ANALYZE shots');
    const { rows } = await client.query<{ id: string }>('SELECT "id" FROM stations ORDER BY "position" LIMIT 1');
    return rows[0]!.id;
  } finally {
    await client.end();
  }
}

/** Asked as a new dial-in of the filled grinder would ask. */
async function startQuestion(databaseUrl: string): Promise<string> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    const { rows } = await client.query<Record<string, string>>(
      `SELECT "grinderId", "coffeeId", "basketId", 18 AS "doseGrams", 36 AS "yieldGrams", 30 AS "middleSeconds"
       FROM runs GROUP BY 1, 2, 3 ORDER BY count(*) DESC LIMIT 1`,
    );
    return String(new URLSearchParams(rows[0]));
  } finally {
    await client.end();
  }
}

/** More history on the demo's first station, in the shape the server itself writes. */
async function fill(databaseUrl: string): Promise<{ runId: string }> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    const first = await client.query<{ id: string }>(
      `SELECT "id" FROM runs WHERE "status" = 'kept' ORDER BY "startedAt" LIMIT 1`,
    );
    const source = first.rows[0]!.id;
    await client.query(
      `INSERT INTO runs ("shopId","id","stationId","grinderId","machineId","basketId","coffeeId","methodId","target","status","startedAt")
       SELECT "shopId", gen_random_uuid(), "stationId","grinderId","machineId","basketId","coffeeId","methodId","target",'kept',
              now() - (n || ' hours')::interval FROM runs, generate_series(100, 10099) n WHERE "id" = $1`,
      [source],
    );
    await client.query(
      `INSERT INTO shots ("shopId","id","runId","stationId","pulledAt","grind","doseGrams","yieldGrams","planned","timeSeconds","timer")
       SELECT r."shopId", gen_random_uuid(), r."id", r."stationId", r."startedAt" + (n || ' minutes')::interval, 12, 18, 36,
              '{"grind":12,"doseGrams":18,"yieldGrams":36}', 25 + random() * 8, 'pump-on'
       FROM runs r, generate_series(1, 10) n WHERE r."status" = 'kept' AND r."endedAt" IS NULL`,
    );
    await client.query(
      `INSERT INTO tastings ("shopId","id","shotId","balance","body")
       SELECT "shopId", gen_random_uuid(), "id", 0, 0 FROM shots WHERE "planned" ->> 'temperatureC' IS NULL AND random() < 0.6`,
    );
    await client.query(
      `INSERT INTO cards ("shopId","id","name","coffeeId","stationId")
       SELECT c."shopId", gen_random_uuid(), 'Card ' || n, c."coffeeId", c."stationId" FROM (SELECT * FROM cards LIMIT 1) c, generate_series(1, 2000) n`,
    );
    await client.query(
      `INSERT INTO card_versions ("shopId","id","cardId","version","recipe")
       SELECT c."shopId", gen_random_uuid(), c."id", n, (SELECT "recipe" FROM card_versions LIMIT 1)
       FROM cards c, generate_series(1, 8) n WHERE c."name" LIKE 'Card %'`,
    );
    await client.query('ANALYZE');
    const { rows } = await client.query<{ id: string }>(
      `SELECT "runId" AS "id" FROM shots WHERE "runId" IS NOT NULL LIMIT 1 OFFSET 5000`,
    );
    return { runId: rows[0]!.id };
  } finally {
    await client.end();
  }
}

async function timeRequests(address: string): Promise<{ median: number; p95: number }> {
  const times: number[] = [];
  for (let i = -30; i < ROUNDS; i += 1) {
    const began = performance.now();
    const response = await fetch(address);
    await response.arrayBuffer();
    if (!response.ok) throw new Error(`${address}: ${response.status}`);
    if (i >= 0) times.push(performance.now() - began);
  }
  return quantiles(times);
}

function timeAdvice(): { median: number; p95: number } {
  const times: number[] = [];
  for (let i = -30; i < ROUNDS; i += 1) {
    const shots = Array.from({ length: 12 }, (_, n) =>
      everydayShot({
        grind: 14 - 0.5 * (n % 4),
        timeSeconds: 22 + ((n * 7 + i) % 9),
        taste: { balance: -1.5 + 0.5 * (n % 3), body: -0.5 },
      }),
    );
    const began = performance.now();
    answer(everydayRequest({ shots }));
    if (i >= 0) times.push(performance.now() - began);
  }
  return quantiles(times);
}

/** Script the browser really asks for on the Bar page, gzipped, kB. */
async function weighFirstPage(url: string): Promise<number> {
  const browser = await chromium.launch(browserOptions.launchOptions);
  try {
    const page = await browser.newPage();
    let bytes = 0;
    const weighing: Promise<void>[] = [];
    page.on('response', (response) => {
      if (!/\.js$/.test(new URL(response.url()).pathname)) return;
      weighing.push(response.body().then((body) => void (bytes += gzipSync(body).length)));
    });
    await page.goto(url);
    await page.waitForLoadState('networkidle');
    await Promise.all(weighing);
    return bytes / 1000;
  } finally {
    await browser.close();
  }
}

function quantiles(values: number[]): { median: number; p95: number } {
  const sorted = [...values].sort((a, b) => a - b);
  return { median: sorted[Math.floor(0.5 * sorted.length)]!, p95: sorted[Math.floor(0.95 * sorted.length)]! };
}

function print(rows: Measured[]): void {
  process.stdout.write('| what | median | p95 | limit |\n| --- | ---: | ---: | ---: |\n');
  for (const { what, median, p95, limit, unit } of rows) {
    process.stdout.write(`| ${what} | ${median.toFixed(1)} | ${p95.toFixed(1)} ${unit} | ${limit} |\n`);
  }
}
