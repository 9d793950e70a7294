import { once } from 'node:events';
import { createInterface } from 'node:readline';
import { answerLine, idOf } from '../../core/src/advice/advise';

/** One JSON request a line in, one JSON answer a line out, in order, until end of input. */
export async function run(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    if (!process.stdout.write(`${answerOrSaySo(line, answerLine)}\n`)) await once(process.stdout, 'drain');
  }
}

/** A mistake of ours in one line must not end the conversation: it is told where mistakes are told, and the stream goes on. */
export function answerOrSaySo(line: string, answer: (line: string) => string): string {
  try {
    return answer(line);
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
    const errors = [{ path: '', message: 'could not be worked out: the mistake is Olvet’s, not the request’s' }];
    return JSON.stringify({ schema: 'olvet.error/1', id: idOf(JSON.parse(line)), errors });
  }
}
