import { parseArgs } from 'node:util';
import { oneOf, wholeNumber } from './options';
import { orStop, Stop } from './say';

describe('a whole number that a person gave', () => {
  const port = (given: string): number => wholeNumber('PORT', given, { min: 0, max: 65535 });

  it('is taken inside its range', () => {
    expect(port('8080')).toBe(8080);
    expect(port('0')).toBe(0);
    expect(port('65535')).toBe(65535);
  });

  it.each(['abc', '', '-1', '80.5', '65536', '1e3', ' 80'])('“%s” is refused by name', (given) => {
    expect(() => port(given)).toThrow(new Stop(`PORT is “${given}”: give a whole number from 0 to 65535.`));
  });
});

describe('one of a list', () => {
  it('is found, or the list is said', () => {
    expect(oneOf('--physics', 'curves', ['tuning', 'curves'])).toBe('curves');
    expect(() => oneOf('--physics', 'curve', ['tuning', 'curves'])).toThrow(
      new Stop('--physics is “curve”: give one of “tuning”, “curves”.'),
    );
  });
});

describe('a command that stops', () => {
  const told = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  afterEach(() => {
    process.exitCode = undefined;
    told.mockClear();
  });
  afterAll(() => told.mockRestore());

  it('says what a person can act on, without a stack, and ends badly', async () => {
    await orStop(() => Promise.reject(new Stop('Nothing was deleted.')));
    expect(told).toHaveBeenCalledWith('Nothing was deleted.\n');
    expect(process.exitCode).toBe(1);
  });

  it('says so of an option nobody knows', async () => {
    await orStop(() => {
      parseArgs({ args: ['--dmeo'], options: { demo: { type: 'boolean' } } });
      return Promise.resolve();
    });
    expect(told).toHaveBeenCalledTimes(1);
    expect(told).toHaveBeenCalledWith(expect.stringMatching(/^Unknown option '--dmeo'[^\n]*\n$/));
    expect(process.exitCode).toBe(1);
  });

  it('hides no fault of its own', async () => {
    await expect(orStop(() => Promise.reject(new TypeError('undefined is not a function')))).rejects.toThrow(TypeError);
  });
});
