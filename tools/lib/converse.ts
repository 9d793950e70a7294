import { once } from 'node:events';
import { idOf } from '../../core/src/advice/advise';
import { linesOf, LONGEST_LINE_MB } from './lines';

/** One JSON request a line in, one JSON answer a line out, in order, until end of input or until nobody reads on. */
export async function converse(answerLine: (line: string) => string): Promise<void> {
  // `| head -1` closes the pipe once it has its line: that is an end, not a mistake.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EPIPE') process.exit(0);
    throw error;
  });
  for await (const line of linesOf(process.stdin)) {
    if (line?.trim() === '') continue;
    const answer = line === null ? TOO_LONG : answerOrSaySo(line, answerLine);
    if (!process.stdout.write(`${answer}\n`)) await once(process.stdout, 'drain');
  }
}

const TOO_LONG = JSON.stringify({
  schema: 'olvet.error/1',
  id: null,
  errors: [{ path: '', message: `is longer than ${LONGEST_LINE_MB} MB: a request is one line of a few kilobytes` }],
});

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
