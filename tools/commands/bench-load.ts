import { setTimeout as sleep } from 'node:timers/promises';
import { v7 } from 'uuid';
import { everydayRequest, everydayShot } from '../../core/src/advice/advice.fixture';
import { withDemoServer } from '../lib/demoServer';
import { orStop, say } from '../lib/say';

const PEOPLE = 50;
const SECONDS = 30;
const PAUSE_MS = 200;

interface Place {
  what: string;
  ask: (url: string) => Promise<Response>;
  /** Where many may be asked to come again. */
  mayBeBusy?: boolean;
}

interface Seen {
  times: number[];
  busy: number;
  failed: string[];
}

/** `npm run bench:load`: fifty people at once for half a minute, each looking, writing and asking in turn. */
export function run(): Promise<void> {
  return orStop(async () => {
    await withDemoServer('load', async ({ url }) => {
      const places = await placesOf(url);
      const seen = new Map<string, Seen>(places.map(({ what }) => [what, { times: [], busy: 0, failed: [] }]));
      say(`${PEOPLE} people for ${SECONDS} s …`);
      const end = Date.now() + SECONDS * 1000;
      const person = async (number: number): Promise<void> => {
        for (let turn = number; Date.now() < end; turn += 1) {
          const place = places[turn % places.length]!;
          await visit(url, place, seen.get(place.what)!);
          await sleep(PAUSE_MS);
        }
      };
      await Promise.all(Array.from({ length: PEOPLE }, (_, number) => person(number)));
      for (const [what, { times, busy, failed }] of seen) {
        times.sort((a, b) => a - b);
        const p95 = Math.round(times[Math.floor(0.95 * times.length)] ?? 0);
        process.stdout.write(
          `${what.padEnd(12)} ${times.length} answers, p95 ${p95} ms, ${busy} asked to come again, ${failed.length} failed ${failed[0] ?? ''}\n`,
        );
        if (failed.length > 0) process.exitCode = 1;
      }
    });
  });
}

async function visit(url: string, { ask, mayBeBusy }: Place, seen: Seen): Promise<void> {
  const began = performance.now();
  try {
    const answer = await ask(url);
    const text = await answer.text();
    if (answer.ok) seen.times.push(performance.now() - began);
    else if (mayBeBusy && answer.status === 503) seen.busy += 1;
    else seen.failed.push(`${answer.status} ${text.slice(0, 200)}`);
  } catch (error) {
    seen.failed.push(String(error));
  }
}

/** What stands in the demo shop, as questions and writes. */
async function placesOf(url: string): Promise<Place[]> {
  const read = async <T>(path: string): Promise<T> => (await (await fetch(`${url}/api/${path}`)).json()) as T;
  const runs = await read<{ items: { id: string }[] }>('runs?pageSize=20');
  const { stations } = await read<{ stations: { station: { id: string } }[] }>('board');
  const send = (method: string, path: string, body: object) => (at: string) =>
    fetch(`${at}/api/${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  const pick = <T>(items: T[]): T => items[Math.floor(Math.random() * items.length)]!;
  const shot = () => ({
    ...{
      stationId: pick(stations).station.id,
      pulledAt: new Date().toISOString(),
      timer: 'pump-on',
      seen: [],
      purged: true,
    },
    ...{ doseGrams: 18, yieldGrams: 36, timeSeconds: 28 },
  });
  const question = everydayRequest({ shots: [everydayShot({ timeSeconds: 22 }), everydayShot({ timeSeconds: 26 })] });
  return [
    { what: 'board', ask: (at) => fetch(`${at}/api/board`) },
    { what: 'sheet', ask: (at) => fetch(`${at}/api/runs/${pick(runs.items).id}/sheet`) },
    { what: 'shots', ask: (at) => fetch(`${at}/api/shots?pageSize=50`) },
    { what: 'cards', ask: (at) => fetch(`${at}/api/cards?pageSize=20`) },
    { what: 'saved shot', ask: (at) => send('PUT', `shots/${v7()}`, shot())(at) },
    { what: 'advice', ask: send('POST', 'advice', question), mayBeBusy: true },
  ];
}
