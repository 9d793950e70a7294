import { answerOrSaySo } from './converse';

describe('a line that makes the advice fall over', () => {
  it('is answered by its id and told on standard error, so that the stream goes on', () => {
    const told = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
    const fails = (): string => {
      throw new Error('no root of this');
    };
    expect(JSON.parse(answerOrSaySo('{"id":"q7"}', fails))).toMatchObject({ schema: 'olvet.error/1', id: 'q7' });
    expect(told).toHaveBeenCalledWith(expect.stringContaining('no root of this'));
    told.mockRestore();
  });

  it('leaves every other line as it is answered', () => {
    expect(answerOrSaySo('{"id":"q7"}', (line) => line)).toBe('{"id":"q7"}');
  });
});
