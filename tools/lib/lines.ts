import { StringDecoder } from 'node:string_decoder';

export const LONGEST_LINE_MB = 1;
const LONGEST_LINE = LONGEST_LINE_MB * 1024 * 1024;
const BYTE_ORDER_MARK = /^\uFEFF/;

/**
 * The lines of a stream as they come, without a byte order mark. A line longer than a megabyte comes as null once it is
 * over, and is never held: Node's own reader would keep all of it.
 */
export async function* linesOf(input: AsyncIterable<Buffer>): AsyncGenerator<string | null> {
  const decoder = new StringDecoder('utf8');
  let open = '';
  let isTooLong = false;
  let isFirst = true;
  const take = (part: string): void => {
    if (isFirst && part !== '') {
      part = part.replace(BYTE_ORDER_MARK, '');
      isFirst = false;
    }
    isTooLong ||= open.length + part.length > LONGEST_LINE;
    open = isTooLong ? '' : open + part;
  };
  const finish = (): string | null => {
    const line = isTooLong ? null : open;
    open = '';
    isTooLong = false;
    return line;
  };
  for await (const chunk of input) {
    const [first = '', ...others] = decoder.write(chunk).split(/\r?\n/);
    take(first);
    for (const part of others) {
      yield finish();
      take(part);
    }
  }
  take(decoder.end());
  if (open !== '' || isTooLong) yield finish();
}
