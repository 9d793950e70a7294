import { parseArgs } from 'node:util';
import { createRandom, findMethod, marksOf, METHOD_IDS, ORDERS } from '../../core/src/index';
import { earlierCups, STRICT_BY, TASTERS } from '../bench/earlierCups';
import { LOST, oracle, ours, play, type Played, type Policy } from '../bench/play';
import { rule, stepper } from '../bench/rules';
import { COMFORTABLE, findRight, PHYSICS, scenarios, type Game } from '../bench/worlds';
import { oneOf, wholeNumber } from '../lib/options';
import { orStop, say } from '../lib/say';

const POLICIES: readonly Policy[] = [
  stepper,
  rule(false),
  rule(true),
  ...ORDERS.map(ours),
  oracle((game) => findRight(game, COMFORTABLE) ?? findRight(game)!),
];

const COLUMNS = [
  'policy',
  'median',
  'mean',
  'p90',
  'first good',
  'false %',
  'far %',
  'never %',
  'grams',
  'needless',
  'coverage %',
  'ms p95',
];

/** `npm run bench:advice -- --worlds 100 --seed tune [--physics tuning] [--method one-lever] [--tasters known] [--only "unknown grinder"] [--policy fewest-shots]`. */
export function run(args: string[]): Promise<void> {
  return orStop(() => bench(args));
}

async function bench(args: string[]): Promise<void> {
  const { values } = parseArgs({
    args,
    options: {
      worlds: { type: 'string', default: '60' },
      seed: { type: 'string', default: 'held out' },
      physics: { type: 'string', default: 'held-out' },
      only: { type: 'string' },
      method: { type: 'string', default: 'balance-walk' },
      tasters: { type: 'string', default: 'strangers' },
      policy: { type: 'string', multiple: true },
    },
  });
  const worlds = wholeNumber('--worlds', values.worlds, { min: 1, max: 10_000 });
  const physics = oneOf('--physics', values.physics, PHYSICS);
  const usual = findMethod(oneOf('--method', values.method, METHOD_IDS))!;
  const tasters = oneOf('--tasters', values.tasters, TASTERS);
  const asked = values.policy?.map((name) => oneOf('--policy', name, namesOf(POLICIES)));
  const policies = POLICIES.filter(({ name }) => asked === undefined || asked.includes(name));
  const all = new Map<Policy, Played[]>(policies.map((policy) => [policy, []]));
  const every = scenarios(physics, usual);
  const only = values.only === undefined ? null : oneOf('--only', values.only, namesOf(every));
  process.stdout.write(
    `Seed “${values.seed}”, ${worlds} worlds a scenario, ${physics} physics, ${usual.name}${tasters === 'strangers' ? '' : `, tasters ${tasters}`}.\n`,
  );
  for (const { name, draw } of every) {
    if (only !== null && name !== only) continue;
    const games: Game[] = [];
    for (let i = 0; games.length < worlds && i < 40 * worlds; i += 1) {
      const game = draw(createRandom(`${values.seed}/${name}/${i}`));
      if (!game) continue;
      if (tasters === 'known') {
        game.taster = marksOf(earlierCups(createRandom(`${values.seed}/${name}/${i}/earlier`), game));
      }
      if (tasters === 'strict') game.strictness = STRICT_BY;
      games.push(game);
    }
    const rows = policies.map((policy) => {
      const played = games.map((game, i) => play(game, policy, createRandom(`${values.seed}/${name}/${i}/hand`)));
      all.get(policy)!.push(...played);
      return rowOf(policy.name, played);
    });
    say(`${name}: ${games.length} worlds`);
    print(name, rows);
    await Promise.resolve();
  }
  print(
    'all scenarios',
    policies.map((policy) => rowOf(policy.name, all.get(policy)!)),
  );
}

function namesOf(named: readonly { name: string }[]): string[] {
  return named.map(({ name }) => name);
}

function rowOf(name: string, played: Played[]): string[] {
  const n = played.length;
  const sorted = (values: number[]): number[] => [...values].sort((a, b) => a - b);
  const at = (values: number[], share: number): number =>
    sorted(values)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? 0;
  const mean = (values: number[]): number => values.reduce((a, b) => a + b, 0) / Math.max(1, values.length);
  const percent = (is: (one: Played) => boolean): string => ((100 * played.filter(is).length) / n).toFixed(1);
  const scores = played.map(({ score }) => score);
  const predicted = played.reduce((sum, { predicted: f }) => sum + f, 0);
  const covered = played.reduce((sum, { covered: c }) => sum + c, 0);
  return [
    name,
    at(scores, 0.5).toFixed(0),
    mean(scores).toFixed(2),
    at(scores, 0.9).toFixed(0),
    mean(played.map(({ firstGood }) => firstGood ?? LOST)).toFixed(2),
    percent(({ falseClaim }) => falseClaim),
    percent(({ farClaim }) => farClaim),
    percent(({ claimed }) => !claimed),
    mean(played.map(({ grams }) => grams)).toFixed(0),
    mean(played.map(({ needlessMoves }) => needlessMoves)).toFixed(2),
    predicted === 0 ? '' : ((100 * covered) / predicted).toFixed(0),
    at(
      played.flatMap(({ answerMs }) => answerMs),
      0.95,
    ).toFixed(1),
  ];
}

function print(title: string, rows: string[][]): void {
  process.stdout.write(
    `\n**${title}**\n\n| ${COLUMNS.join(' | ')} |\n| --- |${' ---: |'.repeat(COLUMNS.length - 1)}\n`,
  );
  for (const row of rows) process.stdout.write(`| ${row.join(' | ')} |\n`);
}
