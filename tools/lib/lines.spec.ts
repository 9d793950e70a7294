import { linesOf, LONGEST_LINE_MB } from './lines';

async function read(...chunks: (string | Buffer)[]): Promise<(string | null)[]> {
  async function* input(): AsyncGenerator<Buffer> {
    for (const chunk of chunks) yield Buffer.from(chunk);
  }
  const lines: (string | null)[] = [];
  for await (const line of linesOf(input())) lines.push(line);
  return lines;
}

describe('lines of a stream', () => {
  it('come whole however they were cut, a letter of several bytes included', async () => {
    const bytes = Buffer.from('one ä\ntwo\r\n\nthree');
    for (let at = 1; at < bytes.length; at += 1) {
      expect(await read(bytes.subarray(0, at), bytes.subarray(at))).toEqual(expect.arrayContaining(['one ä', 'three']));
    }
    expect(await read(bytes)).toEqual(['one ä', 'two', '', 'three']);
  });

  it('begin after a byte order mark', async () => {
    expect(await read('\uFEFF{}\n{}')).toEqual(['{}', '{}']);
  });

  it('that are too long come as null, and the ones after them as they are', async () => {
    const megabyte = 'x'.repeat(1024 * 1024);
    expect(await read('a\n', ...Array<string>(5 * LONGEST_LINE_MB).fill(megabyte), '\nb\n')).toEqual(['a', null, 'b']);
  });
});
