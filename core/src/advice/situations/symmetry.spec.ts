import fc from 'fast-check';
import { answer, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

type Scale = { min: number; max: number; step: number };

/** Runs a barista may have had: settings a few steps around the start, times and cups around the wanted ones. */
const run: fc.Arbitrary<AdviceRequest['shots']> = fc.array(
  fc
    .record({
      grind: fc.integer({ min: -6, max: 6 }),
      timeSeconds: fc.integer({ min: 160, max: 440 }),
      yieldGrams: fc.constantFrom(34, 36, 38),
      balance: fc.integer({ min: -4, max: 4 }),
      body: fc.integer({ min: -3, max: 3 }),
    })
    .map(({ grind, timeSeconds, yieldGrams, balance, body }) =>
      everydayShot({
        grind: 14 + 0.5 * grind,
        timeSeconds: timeSeconds / 10,
        yieldGrams,
        planned: { doseGrams: 18, yieldGrams },
        taste: { balance: balance / 2, body: body / 2, dryness: 0 },
      }),
    ),
  { minLength: 1, maxLength: 5 },
);

const slope = fc.option(fc.constantFrom(0.05, 0.09, 0.15), { nil: null });

/** The same grinder with other numbers printed on its collar. */
function renumbered(request: AdviceRequest, number: (grind: number) => number, unit: number): AdviceRequest {
  const { min, max, step } = request.grinder as Scale;
  const [one, other] = [number(min), number(max)];
  const learned = request.grinder.logTimePerUnit;
  return {
    ...request,
    grinder: {
      ...request.grinder,
      min: Math.min(one, other),
      max: Math.max(one, other),
      step: step * Math.abs(unit),
      finer: unit < 0 ? 'higher' : 'lower',
      logTimePerUnit: learned && {
        ...learned,
        mean: learned.mean / Math.abs(unit),
        sd: learned.sd / Math.abs(unit),
      },
    },
    start: { grind: number(request.start!.grind!) },
    shots: request.shots.map((shot) => ({ ...shot, grind: number(shot.grind!) })),
  };
}

function ask(request: AdviceRequest): Advice {
  const advice = answer(request) as Advice;
  if (advice.schema !== 'olvet.advice/1') throw new Error(JSON.stringify(advice));
  return advice;
}

describe('what is printed on a collar', () => {
  it.each([
    ['turned round: higher is finer', (grind: number) => 40 - grind, -1],
    ['begun at another number', (grind: number) => grind + 7, 1],
    ['in tenths', (grind: number) => 10 * grind, 10],
  ])('changes nothing in the next shot: %s', (_, number, unit) => {
    fc.assert(
      fc.property(run, slope, (shots, mean) => {
        const learned = mean === null ? null : { mean, sd: 0.2 * mean, shots: 20 };
        const request = everydayRequest({ grinder: { ...everydayRequest().grinder, logTimePerUnit: learned }, shots });
        const plain = ask(request);
        const other = ask(renumbered(request, number, unit));
        const { grind, ...rest } = plain.settings;
        expect(other.action).toBe(plain.action);
        expect(other.settings).toEqual({ ...rest, grind: expect.closeTo(number(grind), 6) });
        expect(other.expect.timeSeconds.mean).toBeCloseTo(plain.expect.timeSeconds.mean, 1);
      }),
      { numRuns: 25 },
    );
  });
});

describe('what a request leaves out', () => {
  it('is read as nothing at all or as what it would be, and answered alike', () => {
    fc.assert(
      fc.property(run, (shots) => {
        const told = ask(everydayRequest({ shots }));
        const spare = shots.map(({ planned: _, seen: __, ...shot }) => ({ ...shot, firstDripSeconds: null }));
        const asked = ask(everydayRequest({ shots: spare }));
        expect([asked.action, asked.settings]).toEqual([told.action, told.settings]);
        expect(asked.expect).toEqual(told.expect);
      }),
      { numRuns: 25 },
    );
  });
});
