import { once } from 'node:events';
import { createInterface } from 'node:readline';
import { answerLine } from '../../core/src/advice/advise';

/** One JSON request a line in, one JSON answer a line out, in order, until end of input. */
export async function run(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    if (!process.stdout.write(`${answerLine(line)}\n`)) await once(process.stdout, 'drain');
  }
}
