import { createRandom, PLAIN_WORLD, type PuckWorld } from '@olvet/core';
import { createHash } from 'node:crypto';
import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { Bench, TICK_SECONDS } from './bench';
import type { FromStandIn, ToStandIn } from './device';
import { STAND_INS, type BenchName, type StandIn } from './lineup';

/** Of the small bench: a decaf on a grinder whose higher numbers are finer. */
const SMALL_WORLD: PuckWorld = {
  ...PLAIN_WORLD,
  grinder: { ...PLAIN_WORLD.grinder, micronsAtZero: 450, micronsPerUnit: 6, coarserSign: -1 },
  basket: { nominalGrams: 16 },
};

/** One bench and its devices, each a process of its own. */
class Stand {
  private readonly devices = new Map<StandIn, ChildProcess>();
  private ticks = 0;

  constructor(
    private readonly bench: Bench,
    private readonly lineup: readonly StandIn[],
    connect: { address: string; secret: string; onAllThere: () => void },
  ) {
    const there = new Set<StandIn>();
    for (const standIn of lineup) {
      const key = createHash('sha256').update(`${connect.secret} ${standIn.name}`).digest('hex');
      const child = fork(join(__dirname, 'device.js'), [standIn.name, connect.address, key]);
      this.devices.set(standIn, child);
      child.on('message', (said: FromStandIn) => {
        if (said.is === 'act') return this.act(standIn, said);
        if (there.add(standIn).size === lineup.length) connect.onAllThere();
      });
    }
  }

  tick(): void {
    this.bench.tick();
    this.ticks += 1;
    const happened = this.bench.takeEvents();
    for (const standIn of this.lineup) {
      const { kind, everyTicks } = standIn;
      for (const event of happened) if (event.kind === kind) this.tell(standIn, { is: 'event', event, ms: this.ms });
      const isSilent = kind === 'scale' && this.bench.batteryPercent <= 0;
      if (everyTicks > 0 && this.ticks % everyTicks === 0 && !isSilent) this.read(standIn);
    }
  }

  private act(standIn: StandIn, { id, command, value }: Extract<FromStandIn, { is: 'act' }>): void {
    const why = this.bench.act(command, value);
    this.tell(standIn, { is: 'acted', id, why });
    // What changed shows at once, however seldom it is read.
    if (why === null) this.read(standIn);
  }

  private read(standIn: StandIn): void {
    this.tell(standIn, { is: 'reading', values: this.bench.read(standIn.kind), ms: this.ms });
  }

  private get ms(): number {
    return 1000 * this.bench.seconds;
  }

  private tell(standIn: StandIn, message: ToStandIn): void {
    this.devices.get(standIn)?.send(message);
  }
}

/** `main.js ADDRESS SECRET [SMALL]`: the benches; the small one where a grind for it is given. Ends with whoever started it. */
function main([address, secret, small]: string[]): void {
  if (!address || !secret) throw new TypeError('usage: main.js ws://host:port/api/devices/socket SECRET [SMALL GRIND]');
  const random = createRandom(secret);
  const stands: Stand[] = [];
  const of = (name: BenchName): StandIn[] => STAND_INS.filter(({ bench }) => bench === name);
  // The small bench comes second, so that a demo shop knows which is which.
  const addSmall = (): void => {
    if (small === undefined || stands.length > 1) return;
    const bench = new Bench(random, SMALL_WORLD, Number(small));
    stands.push(new Stand(bench, of('small'), { address, secret, onAllThere: () => {} }));
  };
  stands.push(new Stand(new Bench(random), of('whole'), { address, secret, onAllThere: addSmall }));
  let at = performance.now();
  setInterval(() => {
    for (; performance.now() - at >= TICK_SECONDS * 1000; at += TICK_SECONDS * 1000) {
      for (const stand of stands) stand.tick();
    }
  }, 10);
  process.on('SIGTERM', () => process.exit(0));
  process.stdin.on('end', () => process.exit(0)).resume();
}

main(process.argv.slice(2));
