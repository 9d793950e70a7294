import { answerLine } from '../../core/src/advice/advise';
import { dayLine, traceLine } from '../../core/src/index';
import { resolve } from 'node:path';
import { buildStale } from '../lib/build';
import { converse } from '../lib/converse';
import { withOwnDatabase } from '../lib/ownDatabase';
import { runShown } from '../lib/processes';
import { orStop } from '../lib/say';

interface Verb {
  what: string;
  /** One request, as `--help` shows it. */
  example: object;
  answer: (line: string) => string;
}

/** What scripts may ask of the core, each one JSON request a line in and one JSON answer a line out. */
export const VERBS: Record<string, Verb> = {
  advise: {
    what: 'what the next shot should be (docs/advice.md)',
    example: {
      schema: 'olvet.advice-request/1',
      method: 'balance-walk',
      grinder: { min: 0, max: 40, step: 0.5, finer: 'lower' },
      basket: { nominalGrams: 18, minGrams: 16, maxGrams: 20 },
      machine: { temperatureC: null },
      coffee: { roast: 'medium' },
      target: { doseGrams: 18, yieldGrams: 36, timeSeconds: { min: 27, max: 33 }, timer: 'pump-on' },
      shots: [{ grind: 14, doseGrams: 18, yieldGrams: 36, timeSeconds: 22 }],
    },
    answer: answerLine,
  },
  trace: {
    what: 'what a weight trace says, while it runs and afterwards (docs/trace.md)',
    example: {
      schema: 'olvet.trace-request/1',
      target: { yieldGrams: 36, timeSeconds: { min: 27, max: 33 }, timer: 'pump-on' },
      columns: ['seconds', 'grams'],
      rows: [
        [0, 0],
        [6, 0],
        [7, 0.8],
        [8, 2],
        [9, 3.3],
      ],
      events: [{ seconds: 0, kind: 'pump-on' }],
    },
    answer: traceLine,
  },
  day: {
    what: 'how a station stands against its found time, and the small move that brings it back (docs/day.md)',
    example: {
      schema: 'olvet.day-request/1',
      now: '2026-03-02T13:05:00Z',
      card: { grind: 12, doseGrams: 18, yieldGrams: 36, timeSeconds: { mean: 29.6, sd: 1.2, shots: 14 } },
      toleranceSeconds: 3,
      grinder: {
        ...{ min: 0, max: 40, step: 0.5, finer: 'lower', dosing: 'timed', purgeGrams: 12 },
        logTimePerUnit: { mean: 0.07, sd: 0.02, shots: 60 },
      },
      limits: { unitsPerMove: 1, unitsPerDay: 3 },
      shots: [
        {
          at: '2026-03-02T12:10:00Z',
          grind: 12,
          doseGrams: 18.1,
          yieldGrams: 36.4,
          timeSeconds: 33.6,
          grindSeconds: 4.7,
        },
        { at: '2026-03-02T12:31:00Z', grind: 12, doseGrams: 18, yieldGrams: 36, timeSeconds: 34.2, grindSeconds: 4.7 },
        { at: '2026-03-02T12:58:00Z', grind: 12, doseGrams: 18, yieldGrams: 35.8, timeSeconds: 34, grindSeconds: 4.7 },
      ],
      room: [
        { at: '2026-03-02T08:00:00Z', celsius: 22, humidityPercent: 44 },
        { at: '2026-03-02T12:00:00Z', celsius: 22.5, humidityPercent: 61 },
      ],
      events: [{ at: '2026-03-02T07:50:00Z', kind: 'bag-opened' }],
    },
    answer: dayLine,
  },
};

/** Verbs that work on the shop's database, each with what stands behind it. */
export const SHOP_VERBS: Record<string, string> = {
  export: 'the whole shop as one ZIP of open files: export --out shop.zip',
  import: 'a ZIP, or CSV and JSON files, into the shop: import shop.zip [--dry-run] [--partly]',
};

/** In the server's own process, which knows the tables; Olvet may run or not. */
function onTheShop(args: string[]): Promise<void> {
  return orStop(async () => {
    await buildStale(resolve('.olvet'), 'core and server');
    await withOwnDatabase(async (DATABASE_URL) => {
      const env = { ...process.env, DATABASE_URL };
      process.exitCode = await runShown(process.execPath, [resolve('server/dist/src/transfer/cli.js'), ...args], {
        env,
      });
    });
  });
}

/** `npm run --silent olvet -- VERB < requests > answers`, or `-- VERB --help`. */
export async function run([name, ...options]: string[]): Promise<void> {
  if (name !== undefined && name in SHOP_VERBS) {
    if (options[0] !== '--help') return onTheShop([name, ...options]);
    process.stdout.write(`${name}: ${SHOP_VERBS[name]}\nSee docs/formats.md.\n`);
    return;
  }
  const verb = name === undefined ? undefined : VERBS[name];
  if (!verb || (options.length > 0 && options[0] !== '--help')) {
    const known = [
      ...Object.entries(VERBS).map(([each, { what }]) => `  ${each}  ${what}`),
      ...Object.entries(SHOP_VERBS).map(([each, what]) => `  ${each}  ${what}`),
    ];
    const isHelp = name === '--help';
    const text = `npm run --silent olvet -- VERB < requests > answers\n${known.join('\n')}\n  VERB --help  an example\n`;
    (isHelp ? process.stdout : process.stderr).write(text);
    process.exitCode = isHelp ? 0 : 2;
    return;
  }
  if (options[0] === '--help') {
    process.stdout.write(
      `${name}: ${verb.what}\nOne JSON request a line, answered by one line each:\n${JSON.stringify(verb.example)}\n`,
    );
    return;
  }
  await converse(verb.answer);
}
