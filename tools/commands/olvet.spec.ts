import { run, VERBS } from './olvet';

describe('the command line', () => {
  const said = async (...args: string[]): Promise<{ out: string; err: string; code: unknown }> => {
    const written = { out: '', err: '' };
    const listen = (stream: NodeJS.WriteStream, to: 'out' | 'err') =>
      jest.spyOn(stream, 'write').mockImplementation((text) => {
        written[to] += String(text);
        return true;
      });
    const spies = [listen(process.stdout, 'out'), listen(process.stderr, 'err')];
    process.exitCode = undefined;
    await run(args);
    const code = process.exitCode;
    process.exitCode = undefined;
    for (const spy of spies) spy.mockRestore();
    return { ...written, code };
  };

  it.each(Object.keys(VERBS))('explains %s with an example that is answered', async (name) => {
    const { out } = await said(name, '--help');
    const example = out.trim().split('\n').at(-1)!;
    expect(JSON.parse(VERBS[name]!.answer(example))).not.toHaveProperty('errors');
  });

  it('names its verbs where it is asked for another', async () => {
    const { out, err, code } = await said('brew');
    expect([out, code]).toEqual(['', 2]);
    expect(err).toMatch(/advise .*\n {2}trace /);
    expect((await said('--help')).out).toMatch(/olvet -- VERB/);
  });
});
