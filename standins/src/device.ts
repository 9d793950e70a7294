import type { DeviceCommand, DeviceValues } from '@olvet/core';
import type { BenchEvent } from './bench';
import { STAND_INS } from './lineup';
import { DeviceLink } from './link';

/** Between the bench and the process of one device. */
export type ToStandIn =
  /** `ms` by the clock of the bench: one that stood still for a moment on a busy machine was not silent. */
  | { is: 'reading'; values: DeviceValues; ms: number }
  | { is: 'event'; event: BenchEvent; ms: number }
  | { is: 'acted'; id: number; why: string | null };
export type FromStandIn = { is: 'there' } | { is: 'act'; id: number; command: DeviceCommand; value?: number };

/** One simulated device, a process of its own: `device.js NAME ADDRESS KEY`, started by the bench. */
function main([name, address, key]: string[]): void {
  const standIn = STAND_INS.find((each) => each.name === name);
  if (!standIn || !address || !key || !process.send) throw new TypeError('is started by the bench');
  const { kind, unit, capabilities } = standIn;
  const asked = new Map<number, (why: string | null) => void>();
  let count = 0;
  const link = new DeviceLink({
    ...{ kind, name: standIn.name, unit, capabilities, address, key, simulated: true },
    onCommand: (command, value) => {
      count += 1;
      process.send!({ is: 'act', id: count, command, value } satisfies FromStandIn);
      return new Promise((answer) => asked.set(count, answer));
    },
    onWord: (word) => {
      if (word.type === 'welcome') process.send!({ is: 'there' } satisfies FromStandIn);
      if (word.type === 'refused') process.stderr.write(`${name}: ${word.message}\n`);
    },
  });
  process.on('message', (message: ToStandIn) => {
    if (message.is === 'reading') link.report(message.values, message.ms);
    if (message.is === 'event') link.happen(message.event.event, message.event.values, message.ms);
    if (message.is === 'acted') {
      asked.get(message.id)?.(message.why);
      asked.delete(message.id);
    }
  });
  process.on('disconnect', () => process.exit(0));
  process.on('SIGINT', () => {});
}

main(process.argv.slice(2));
