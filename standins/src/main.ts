import { createRandom, type DeviceKind } from '@olvet/core';
import { createHash } from 'node:crypto';
import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { Bench, TICK_SECONDS } from './bench';
import type { FromStandIn, ToStandIn } from './device';
import { STAND_INS } from './lineup';

/** The bench and its devices: `main.js ADDRESS SECRET`. Ends with whoever started it. */
function main([address, secret]: string[]): void {
  if (!address || !secret) throw new TypeError('usage: main.js ws://host:port/api/devices/socket SECRET');
  const bench = new Bench(createRandom(secret));
  const devices = new Map<DeviceKind, ChildProcess>();
  const tell = (kind: DeviceKind, message: ToStandIn): void => void devices.get(kind)?.send(message);
  for (const { kind } of STAND_INS) {
    const key = createHash('sha256').update(`${secret} ${kind}`).digest('hex');
    const child = fork(join(__dirname, 'device.js'), [kind, address, key]);
    devices.set(kind, child);
    child.on('message', ({ id, command, value }: FromStandIn) => {
      const why = bench.act(command, value);
      tell(kind, { is: 'acted', id, why });
      // What changed shows at once, however seldom it is read.
      if (why === null) tell(kind, { is: 'reading', values: bench.read(kind) });
    });
  }
  let at = performance.now();
  let ticks = 0;
  setInterval(() => {
    for (; performance.now() - at >= TICK_SECONDS * 1000; at += TICK_SECONDS * 1000) {
      bench.tick();
      ticks += 1;
      for (const event of bench.takeEvents()) tell(event.kind, { is: 'event', event });
      for (const { kind, everyTicks } of STAND_INS) {
        const isSilent = kind === 'scale' && bench.batteryPercent <= 0;
        if (everyTicks > 0 && ticks % everyTicks === 0 && !isSilent)
          tell(kind, { is: 'reading', values: bench.read(kind) });
      }
    }
  }, 10);
  process.on('SIGTERM', () => process.exit(0));
  process.stdin.on('end', () => process.exit(0)).resume();
}

main(process.argv.slice(2));
