import { answer, findMethod, type Advice } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';
import { coarser, cooler, finer, grinder, hotter, longer, shorter } from './situations.fixture';

const known = { ...grinder, logTimePerUnit: { mean: 0.08, sd: 0.02, shots: 30 } };

/** The answer to a cup that leans by half a point, after one at another grind that was very sour or very bitter. */
function answerTo(method: string, seconds: number, balance: number, overall: number): Advice {
  const { start, windowSeconds, temperatureC, timer } = findMethod(method)!;
  const yieldGrams = Math.round(start.doseGrams * start.ratio);
  const recipe = { doseGrams: start.doseGrams, yieldGrams, temperatureC: temperatureC.light };
  const pour = (grind: number, timeSeconds: number, taste: object) =>
    everydayShot({ ...recipe, grind, planned: { doseGrams: start.doseGrams, yieldGrams }, timeSeconds, timer, taste });
  const far =
    balance > 0
      ? pour(16, 0.85 * windowSeconds.min, { balance: -2, body: -1, overall: 5 })
      : pour(12, 1.2 * windowSeconds.max, { balance: 2, body: 1, overall: 4 });
  return answer(
    everydayRequest({
      method,
      grinder: known,
      coffee: { roast: 'light' },
      target: { ...recipe, timeSeconds: windowSeconds, timer, balance: 0, body: 0 },
      shots: [far, pour(14, seconds, { balance, body: 0, overall })],
    }),
  ) as Advice;
}

describe.each(['balance-walk', 'one-lever', 'open-light'])('a cup that read right and leans, in %s', (method) => {
  const { min, max } = findMethod(method)!.windowSeconds;
  const MARKS = [5, 5.5, 6, 6.5];

  it.each([
    ['bitter', 0.5, min, [finer, longer, hotter]],
    ['sour', -0.5, max, [coarser, shorter, cooler]],
  ] as const)('a bit %s is not led further there on the word of the shot before', (_word, balance, edge, against) => {
    const inside = balance > 0 ? [0, 0.5, 1, 2] : [0, -0.5, -1, -2];
    const turned = inside.flatMap((by) =>
      MARKS.map((overall) => answerTo(method, edge + by, balance, overall)).filter((advice) =>
        against.some((way) => way(advice)),
      ),
    );
    expect(turned.map(({ changed, why }) => [changed, why.map(({ text }) => text)])).toEqual([]);
  });
});
