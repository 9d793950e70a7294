import { learnStop, readTrace } from '../../core/src/index';
import { BARS, pullByTrace, type Pulled } from '../bench/pours';
import { say } from '../lib/say';

const SHOTS_A_BAR = 125;
/** So many shots teach a bar's drip before they count. */
const TEACHING = 6;
const TARGET_GRAMS = 36;

/** `npm run bench:pull`: how near the cup ends to its target when it is stopped at the cue, over bars of 2 to 20 readings a second. */
export function run(): Promise<void> {
  say('| readings a second | within ±1 g | first drip near | landing held |');
  say('| ---: | ---: | ---: | ---: |');
  const all: { pulled: Pulled; near: number }[] = [];
  for (const bar of BARS) {
    const pulls: Pulled[] = [];
    for (let i = 0; i < SHOTS_A_BAR + TEACHING; i += 1) {
      pulls.push(
        pullByTrace(readTrace, `pull ${bar.hertz} ${i}`, bar, learnStop(pulls.map(({ traced }) => traced)).drip),
      );
    }
    const near = bar.hertz >= 5 ? 0.5 : 1;
    const counted = pulls.slice(TEACHING).map((pulled) => ({ pulled, near }));
    all.push(...counted);
    print(String(bar.hertz), counted);
  }
  print('all', all);
  return Promise.resolve();
}

function print(name: string, counted: readonly { pulled: Pulled; near: number }[]): void {
  const share = (is: (each: (typeof counted)[number]) => boolean, of = counted): string =>
    `${((100 * of.filter(is).length) / Math.max(1, of.length)).toFixed(1)} %`;
  const within = share(({ pulled }) => Math.abs(pulled.finalGrams - TARGET_GRAMS) <= 1);
  const drip = share(({ pulled, near }) => pulled.firstDripError !== null && Math.abs(pulled.firstDripError) <= near);
  const foreseen = counted.filter(({ pulled }) => pulled.landingHeld !== null);
  say(`| ${name} | ${within} | ${drip} | ${share(({ pulled }) => pulled.landingHeld === true, foreseen)} |`);
}
