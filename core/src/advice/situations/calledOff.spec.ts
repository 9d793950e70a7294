import { answer, findMethod, METHOD_IDS, type Advice } from '../..';
import { everydayRequest, everydayShot, problemOf } from '../advice.fixture';
import { isToFix } from '../shots/cups';
import type { AdviceRequest } from '../../contract/request';
import { coarser, cooler, finer, grinder, hotter, longer, shorter, variables, type Check } from './situations.fixture';

type Taste = NonNullable<AdviceRequest['shots'][number]['taste']>;

const known = { ...grinder, logTimePerUnit: { mean: 0.09, sd: 0.02, shots: 30 } };
const GRINDERS = [grinder, known];

/** The answer to cups from the middle of a method's window: the last at 14, one more before it at a coarser 16, fast and sour. */
function afterCups(method: string, cups: Taste[], gear = grinder, isMoved = false): Advice {
  const { start, windowSeconds, temperatureC, timer } = findMethod(method)!;
  const { doseGrams } = start;
  const yieldGrams = Math.round(doseGrams * start.ratio);
  const recipe = { doseGrams, yieldGrams, temperatureC: temperatureC.medium };
  const middle = (windowSeconds.min + windowSeconds.max) / 2;
  const pour = (grind: number, timeSeconds: number, taste: Taste) =>
    everydayShot({ ...recipe, grind, planned: { doseGrams, yieldGrams }, timeSeconds, timer, taste });
  const fast = pour(16, 0.75 * middle, { balance: -1.5, body: -1, dryness: 0, overall: 5 });
  return answer(
    everydayRequest({
      method,
      grinder: gear,
      basket: { nominalGrams: doseGrams, minGrams: doseGrams - 2, maxGrams: doseGrams + 2 },
      target: { ...recipe, timeSeconds: windowSeconds, timer, balance: 0, body: 0 },
      shots: [...(isMoved ? [fast] : []), ...cups.map((taste) => pour(14, middle, taste))],
    }),
  ) as Advice;
}

const cup = (balance: number, body: number, overall?: number): Taste => ({ balance, body, dryness: 0, overall });

const dosed =
  (way: 1 | -1): Check =>
  (a) =>
    variables(a) === 'doseGrams' && Math.sign(a.settings.doseGrams - a.changed[0]!.from) === way;

/** What a practised hand may answer to one word, where the whole lever order is open to it. */
const WORDS: { said: string; of: [balance: number, body: number]; turned: Check[] }[] = [
  { said: 'sour', of: [-1, 0], turned: [finer, longer, hotter] },
  { said: 'bitter', of: [1, 0], turned: [coarser, shorter, dosed(1)] },
  { said: 'thin', of: [0, -1], turned: [shorter, dosed(1)] },
  { said: 'heavy', of: [0, 1], turned: [longer, dosed(-1)] },
];

describe.each(METHOD_IDS)('one word from the middle of the window: %s', (method) => {
  const isGrindAlone = findMethod(method)!.locks.includes('yield');

  it.each(WORDS)('a cup called $said that nobody would serve is fixed, not pulled again', ({ of, turned }) => {
    const grindOnly = of[0] + of[1] < 0 ? finer : coarser;
    const isFixing: Check = (a) => (isGrindAlone ? grindOnly(a) : turned.some((check) => check(a)));
    for (const gear of GRINDERS) {
      expect(afterCups(method, [cup(...of), cup(...of), cup(...of)], gear, true).action).not.toBe('dialled');
      for (const overall of [undefined, 5, 6]) {
        for (const isMoved of [false, true]) {
          const advice = afterCups(method, [cup(...of, overall)], gear, isMoved);
          const asked = `marked ${overall ?? 'by nobody'}${isMoved ? ', after a move' : ''}`;
          expect([asked, isFixing(advice) ? 'fixed' : advice.changed]).toEqual([asked, 'fixed']);
        }
      }
    }
  });
});

describe('a cup to fix', () => {
  const isFixed = (...cups: Taste[]): boolean => {
    const shots = cups.map((taste) => everydayShot({ timeSeconds: 29, taste }));
    const problem = problemOf({ shots });
    return isToFix(problem, problem.pours);
  };

  it('is one called off and not marked as one to serve', () => {
    expect([undefined, 6.5, 7].map((mark) => isFixed(cup(-1, 0, mark)))).toEqual([true, true, false]);
    expect([0.5, -0.5, 1, -1].map((balance) => isFixed(cup(balance, 0, 6)))).toEqual([false, false, true, true]);
    expect([0.5, -0.5, 1, -1].map((body) => isFixed(cup(0, body, 6)))).toEqual([false, false, true, true]);
  });

  it('is none where the cups before take the word back, or two say the opposite', () => {
    expect(isFixed(cup(0, 0, 6), cup(-1, 0, 6))).toBe(false);
    expect(isFixed(cup(-1, 0, 6), cup(0, 0, 6))).toBe(false);
    expect(isFixed(cup(-1, 0, 6), cup(-1, 0, 6))).toBe(true);
    expect(isFixed(cup(2, 0, 6), cup(-2, 0, 6))).toBe(false);
  });
});

describe('cups that are off by a hair more than tolerance on the mean', () => {
  const lines = [
    [-0.5, 0, -1.5],
    [-0.5, -0.5, -1],
    [0, -1, -1],
  ];
  const inRange = [27, 28, 30, 32, 33];
  const machines = [everydayRequest().machine, { temperatureC: null }];
  const asks = lines.flatMap((line) =>
    inRange.flatMap((timeSeconds) => machines.map((machine) => ({ line, timeSeconds, machine }))),
  );
  const wrongWay: Record<'sour' | 'bitter', Check[]> = {
    sour: [coarser, shorter, cooler],
    bitter: [finer, longer, hotter],
  };

  it.each(['sour', 'bitter'] as const)('are, where %s, never answered by what makes them more so', (said) => {
    const side = said === 'sour' ? 1 : -1;
    for (const { line, timeSeconds, machine } of asks) {
      const first = everydayShot({ grind: 15, timeSeconds: timeSeconds - 3, taste: cup(-side, 0, 5.5) });
      const here = line.map((miss) => everydayShot({ timeSeconds, taste: cup(side * miss, 0, 6) }));
      const target = { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } };
      const advice = answer(everydayRequest({ machine, target, shots: [first, ...here] })) as Advice;
      const isWrong = wrongWay[said].some((check) => check(advice));
      expect([line, timeSeconds, isWrong ? advice.changed : 'well']).toEqual([line, timeSeconds, 'well']);
    }
  });
});

describe('a low mark', () => {
  const single = (overall: number): string => afterCups('balance-walk', [cup(0, 0, overall)], known, true).action;

  it('keeps a single cup from being a card, though every word is right', () => {
    expect([5, 6].map(single)).toEqual(['repeat', 'repeat']);
    expect([7.5, 9].map(single)).toEqual(['dialled', 'dialled']);
  });

  it('does not keep three such cups from it: so somebody marks', () => {
    const cups = [6, 6, 6].map((overall) => cup(0, 0, overall));
    expect(afterCups('balance-walk', cups, known, true).action).toBe('dialled');
  });
});
