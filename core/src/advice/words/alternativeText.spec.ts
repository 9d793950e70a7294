import { answer, type Advice } from '../..';
import { everydayShot, everydayRequest } from '../advice.fixture';
import { tasting, walk } from '../situations/situations.fixture';

describe('the line of an alternative', () => {
  it('says two changes that go together in one breath', () => {
    const grinder = { ...walk.grinder, step: 1, logTimePerUnit: { mean: 0.2, sd: 0.02, shots: 30 } };
    const at = (grind: number, timeSeconds: number, balance: number) =>
      everydayShot({ grind, timeSeconds, taste: tasting(balance, 0, { overall: 7.5 }) });
    const shots = [at(8, 28.6, -1.5), at(8, 30, -1), at(7, 37, 1.5)];
    const { alternatives } = answer(everydayRequest({ ...walk, grinder, shots })) as Advice;
    const lines = alternatives.map(({ text }) => text);
    expect(lines).toContainEqual(expect.stringMatching(/^Less coffee, 18 → 17\.5 g and shorter, 36 → 35 g: about /));
    expect(lines).toContainEqual(expect.stringMatching(/^Shorter, 36 → \d+ g: about .*, no purge; /));
  });
});
