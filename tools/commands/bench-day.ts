import { dayWorld, DAY_KINDS, type DayWorld } from '../bench/dayWorlds';
import { KEEPERS, playDay, requestOf, type PlayedDay } from '../bench/keepers';
import { judgeDay } from '../../core/src/index';
import { say } from '../lib/say';

const USUAL_DAYS = 300;
/** A step of so many seconds is to be answered. */
const STEP_SECONDS = 4;
const QUIET_PUCK = 0.05;

/** `npm run bench:day [-- days seed]`: simulated days, kept by Olvet, by two textbook charts, by nobody, and by one who knows the drift. */
export function run([days = String(USUAL_DAYS), seed = 'bench']: string[]): Promise<void> {
  const worlds = Array.from({ length: Number(days) }, (_, i) => dayWorld(`${seed} ${i}`));
  const all = Object.entries(KEEPERS).map(([name, keeper]) => ({
    name,
    played: worlds.map((world) => ({ world, day: playDay(world, keeper) })),
  }));
  say(
    '| keeper | within ±3 s | moves a day | false a day | wrong way a day | steps in 4, pucks ≤ 5 % | median shots to a step, above |',
  );
  say('| --- | ---: | ---: | ---: | ---: | ---: | ---: |');
  for (const { name, played } of all) say(`| ${name} | ${figures(played).join(' | ')} |`);
  for (const kind of DAY_KINDS) {
    const shares = all.map(({ name, played }) => {
      const own = played.filter(({ world }) => world.kind === kind);
      return `${name} ${percent(mean(own.map(({ day }) => day.within)))} (${mean(own.map(({ day }) => day.moves.filter(({ isFalse }) => isFalse).length)).toFixed(2)})`;
    });
    say(`${kind}: ${shares.join(', ')}`);
  }
  say(`answers for a whole day: ${timeOf(worlds)}`);
  return Promise.resolve();
}

interface Played {
  world: DayWorld;
  day: PlayedDay;
}

function figures(played: readonly Played[]): string[] {
  const each = (count: (day: PlayedDay) => number): string => mean(played.map(({ day }) => count(day))).toFixed(2);
  const steps = played.filter(
    ({ world }) => world.step && Math.abs(world.cardSeconds * Math.expm1(world.step.by)) >= STEP_SECONDS,
  );
  const [quiet, loud] = [true, false].map((is) => steps.filter(({ world }) => world.puckSd <= QUIET_PUCK === is));
  const inFour = quiet!.filter((one) => answeredAfter(one) <= 4).length / Math.max(1, quiet!.length);
  const delays = loud!.map(answeredAfter).sort((a, b) => a - b);
  return [
    percent(mean(played.map(({ day }) => day.within))),
    each(({ moves }) => moves.length),
    each(({ moves }) => moves.filter(({ isFalse }) => isFalse).length),
    each(({ moves }) => moves.filter(({ isWrongWay }) => isWrongWay).length),
    percent(inFour),
    `${delays[Math.floor(delays.length / 2)]} / ${mean(delays.map((delay) => Math.min(delay, 40))).toFixed(1)}`,
  ];
}

/** Shots from the first one after the step to the first turn against it. */
function answeredAfter({ world, day }: Played): number {
  const { shot, by } = world.step!;
  const answer = day.moves.find((move) => move.shot >= shot && move.units * by < 0);
  return answer ? answer.shot - shot + 1 : Infinity;
}

function timeOf(worlds: readonly DayWorld[]): string {
  const took = worlds.slice(0, 60).map((world) => {
    const { shots } = playDay(world, () => 0);
    const request = requestOf(world, shots);
    const began = performance.now();
    judgeDay(request);
    return (performance.now() - began) * (200 / shots.length);
  });
  const sorted = took.sort((a, b) => a - b);
  return `p50 ${sorted[Math.floor(sorted.length / 2)]!.toFixed(1)} ms, p95 ${sorted[Math.floor(0.95 * sorted.length)]!.toFixed(1)} ms (scaled to 200 shots)`;
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)} %`;
}
