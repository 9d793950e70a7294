import { answer, moveLine, type Advice } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

const ask = (change: Parameters<typeof everydayRequest>[0]): Advice => answer(everydayRequest(change)) as Advice;

describe('the move line', () => {
  it('is short and says what to turn, what to purge and what to expect', () => {
    const { lead, rest } = moveLine(ask({ shots: [everydayShot({ timeSeconds: 19 })] }), 'lower');
    expect(lead).toMatch(/^Finer, 14 → [\d.]+\.$/);
    expect(rest).toMatch(/^Purge 12 g\. Expect \d+ s \(\d+–\d+\)\.$/);
  });

  it('is proud of changing nothing', () => {
    const even = everydayShot({ timeSeconds: 28, taste: { balance: 0, body: 0, overall: 8 } });
    expect(moveLine(ask({ shots: [even] }), 'lower').lead).toBe('Pull again, change nothing.');
  });

  it('sends whoever did not taste to the cup', () => {
    const { lead, rest } = moveLine(ask({ shots: [everydayShot({ timeSeconds: 28, taste: null })] }), 'lower');
    expect([lead, rest]).toEqual([
      'Taste it first.',
      expect.stringMatching(/^Or pull the same again\. Expect \d+ s \(\d+–\d+\)\.$/),
    ]);
  });

  it('starts with the whole recipe, without a temperature where none can be set', () => {
    expect(moveLine(ask({}), 'lower').rest).toMatch(/^18 g in, 36 g out at 93 °C\./);
    expect(moveLine(ask({ machine: null }), 'lower').rest).toMatch(/^18 g in, 36 g out\./);
  });
});
