import { answer, findMethod, METHOD_IDS, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';
import { grinder, variables } from './situations.fixture';

type Shot = AdviceRequest['shots'][number];

const known = { ...grinder, logTimePerUnit: { mean: 0.08, sd: 0.02, shots: 30 } };

describe.each(METHOD_IDS)('a shot nobody tasted, in %s', (method) => {
  const { start, windowSeconds, temperatureC, timer } = findMethod(method)!;
  const { min, max } = windowSeconds;
  const middle = (min + max) / 2;
  const { doseGrams } = start;
  const yieldGrams = Math.round(doseGrams * start.ratio);
  const recipe = { doseGrams, yieldGrams, temperatureC: temperatureC.light };
  const pour = (timeSeconds: number, taste: Shot['taste'], more: Shot = {}): Shot =>
    everydayShot({ ...recipe, planned: { doseGrams, yieldGrams }, timeSeconds, timer, taste, ...more });
  const ask = (roast: 'light' | 'dark', gear: AdviceRequest['grinder'], ...shots: Shot[]): Advice =>
    answer(
      everydayRequest({
        method,
        grinder: gear,
        coffee: { roast },
        basket: { nominalGrams: doseGrams, minGrams: doseGrams - 2, maxGrams: doseGrams + 2 },
        target: { ...recipe, timeSeconds: windowSeconds, timer, balance: 0, body: 0 },
        shots,
      }),
    ) as Advice;
  const gears = (['light', 'dark'] as const).flatMap((roast) => [grinder, known].map((gear) => [roast, gear] as const));

  it('is tasted, or pulled again for that, where it ran in time: nothing is turned for a taste that is only believed', () => {
    const sour = pour(0.85 * min, { balance: -2, body: -1, overall: 4 }, { grind: 16 });
    for (const [roast, gear] of gears) {
      for (const seconds of [0.7 * min + 0.3 * max, middle, 0.3 * min + 0.7 * max]) {
        const untasted = pour(seconds, null);
        for (const before of [[], [untasted]]) {
          const { action, why } = ask(roast, gear, ...before, untasted);
          expect([action, why[0]!.text]).toEqual(['repeat', expect.stringMatching(/^Not tasted yet\. .* taste it/)]);
        }
        expect(ask(roast, gear, sour, untasted).action).toBe('repeat');
      }
    }
  });

  it('teaches the time all the same, which is brought back by the grind', () => {
    for (const [roast, gear] of gears) {
      expect(variables(ask(roast, gear, pour(0.6 * min, null)))).toBe('grind');
      expect(variables(ask(roast, gear, pour(1.5 * max, null)))).toBe('grind');
    }
  });

  it('is left to what was tasted of the same settings before', () => {
    const sour = { balance: -2, body: -1, overall: 4 };
    expect(ask('light', known, pour(middle, sour), pour(middle, null)).action).toBe('change');
  });
});
