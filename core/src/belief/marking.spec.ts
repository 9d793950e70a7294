import { answer, type Advice } from '..';
import { everydayRequest, everydayShot } from '../advice/advice.fixture';
import { asMostWouldMark, fitMarking, markingFor, ownMark, strangersMarking, type MarkedCup } from './marking';
import { readProblem } from './problem';
import { adviceRequestSchema, type AdviceRequest, type LearnedMarks } from '../contract/request';

const even = (mark: number): MarkedCup => ({ off: 0, thick: 0, mark });
const stranger = strangersMarking('overall');
const learned = (best: number, loss = 1.5, cups = 60): LearnedMarks => ({
  best: { mean: best, sd: 0.2 },
  loss: { mean: loss, sd: 0.15 },
  cups,
});
const MARKS = [3, 4.5, 6, 7, 8, 9.5];

describe('how a person marks', () => {
  it('is as most people do, and more open, before the first mark', () => {
    expect(stranger.best.mean).toBe(8.3);
    expect(markingFor('overall', null, 0)).toEqual(stranger);
    expect(markingFor('overall', null, 0.7).best.mean).toBeCloseTo(7.6, 9);
    const vague = { ...learned(5), best: { mean: 5, sd: 3 }, loss: { mean: 1, sd: 2 } };
    expect(markingFor('overall', vague, 0)).toEqual(stranger);
    expect(markingFor('overall', learned(6), 0).best).toEqual({ mean: 6, sd: Math.hypot(0.2, 0.35) });
  });

  it('follows from cups of one distance by precision-weighted means, where the loss is known', () => {
    // With the loss known, mark + loss · away is a plain reading of the best mark: precisions add.
    const prior = { best: { mean: 8.3, sd: 1.2 }, loss: { mean: 1.5, sd: 1e-6 } };
    const one = fitMarking('overall', [even(6)], prior);
    const precision = one.best.sd ** -2 - 1.2 ** -2;
    const read = (one.best.mean * one.best.sd ** -2 - 8.3 * 1.2 ** -2) / precision;
    const nine = fitMarking(
      'overall',
      Array.from({ length: 9 }, () => even(6)),
      prior,
    );
    expect(nine.best.sd ** -2).toBeCloseTo(1.2 ** -2 + 9 * precision, 6);
    expect(nine.best.mean).toBeCloseTo((8.3 * 1.2 ** -2 + 9 * precision * read) / nine.best.sd ** -2, 6);
    expect(read).toBeGreaterThan(6);
  });
});

describe('a mark read as most people would give it', () => {
  const read = (mark: number, others: MarkedCup[] = [], before = stranger): number =>
    asMostWouldMark('overall', before, others, mark);

  it('is the mark itself for a stranger, and beside a single other cup', () => {
    expect(MARKS.map((mark) => read(mark))).toEqual(MARKS);
    expect(MARKS.map((mark) => read(mark, [even(4)]))).toEqual(MARKS);
  });

  it('is more where even cups were marked low, the more of them there are, but no delight', () => {
    const after = (count: number): number =>
      read(
        6,
        Array.from({ length: count }, () => even(6)),
      );
    expect(after(2)).toBeGreaterThan(6);
    expect(after(6)).toBeGreaterThan(after(2));
    expect(after(20)).toBeLessThanOrEqual(8.5);
    const low = [even(3), even(3), even(3)];
    expect([8, 9, 10].map((mark) => read(mark, low))).toEqual([8.5, 9, 10]);
  });

  it('is not less where cups called off were marked high: they may be better than they were called', () => {
    const kind = [{ off: -1, thick: 0, mark: 8.5 }];
    expect(read(8.5, [...kind, ...kind, ...kind])).toBe(8.5);
  });

  it('is more of somebody known to be strict, and less of somebody known to be kind', () => {
    expect(read(6, [], markingFor('overall', learned(6.3), 0))).toBe(8);
    expect(read(8.5, [], markingFor('overall', learned(10), 0))).toBeLessThanOrEqual(7);
    // A point away costs this person half of what it costs others: half a mark says twice as much.
    expect(read(8, [], markingFor('overall', learned(9, 0.75), 0))).toBeLessThanOrEqual(6.5);
  });

  it('leads back to what that person writes', () => {
    expect(MARKS.map((mark) => ownMark('overall', null, mark))).toEqual(MARKS);
    expect([6.3, 9.8].map((best) => ownMark('overall', learned(best), 8))).toEqual([6, 9.5]);
    for (const best of [5.5, 6.3, 7.2, 9.1, 9.8]) {
      const own = ownMark('overall', learned(best), 8);
      expect(Math.abs(read(own, [], markingFor('overall', learned(best), 0)) - 8)).toBeLessThanOrEqual(0.5);
    }
    // Whoever leaves no room above a five writes no eight for it, and nothing under zero.
    expect(ownMark('overall', learned(5), 0)).toBe(0);
  });

  it('stays in halves and on the scale of ten', () => {
    for (const best of [0, 4, 8.3, 12]) {
      for (const mark of [0, 3, 7.25, 10]) {
        const said = read(mark, [even(2), even(9)], markingFor('overall', learned(best, 0.3), 0));
        expect(said).toBeGreaterThanOrEqual(0);
        expect(said).toBeLessThanOrEqual(10);
        expect((2 * (said - mark)) % 1 === 0 || said === 0 || said === 10).toBe(true);
      }
    }
  });
});

describe('the advice to a strict tongue', () => {
  type Taste = NonNullable<AdviceRequest['shots'][number]['taste']>;
  const cup = (balance: number, body: number, overall: number): Taste => ({ balance, body, dryness: 0, overall });
  const known = { logTimePerUnit: { mean: 0.09, sd: 0.02, shots: 30 } };
  const request = (shots: [grind: number, seconds: number, taste: Taste][], extra: object = {}) => {
    const { grinder } = everydayRequest();
    return everydayRequest({
      grinder: { ...grinder, ...known },
      shots: shots.map(([grind, timeSeconds, taste]) => everydayShot({ grind, timeSeconds, taste })),
      ...extra,
    });
  };
  const strictRun: [number, number, Taste][] = [
    [16, 22, cup(-1.5, -1, 3)],
    [14, 28.5, cup(0, 0, 6)],
    [14, 29, cup(0, 0, 6)],
    [14, 28.7, cup(0.5, 0, 6)],
  ];

  it('reads every mark by the other cups', () => {
    const { pours } = readProblem(adviceRequestSchema.parse(request(strictRun)));
    expect(pours.map(({ marks }) => marks.overall! >= 6.5)).toEqual([false, true, true, true]);
    expect(pours.map(({ marks }) => marks.sweetness)).toEqual([null, null, null, null]);
  });

  it('writes the card once the cups are as wanted, whatever the marks', () => {
    const advice = answer(request(strictRun)) as Advice;
    expect(advice.action).toBe('dialled');
  });

  it('says that a mark is high for this tongue where that weighs against a word', () => {
    const oneCup = request([[14, 31.5, cup(1, 0.5, 8)]], {
      target: { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } },
      taster: { overall: learned(6.3) },
    });
    const advice = answer(oneCup) as Advice;
    expect(advice.action).toBe('repeat');
    expect(advice.why.map(({ text }) => text).join(' ')).toContain(
      'Marked 8 of 10, high for this tongue, and yet called off by a little: the two disagree',
    );
  });

  it('knows a cup to serve by how this person marked before', () => {
    const asked = (taster: object | null): string =>
      (
        answer(
          request(
            [
              [16, 22, cup(-1.5, -1, 3)],
              [14, 28.5, cup(0, 0, 6)],
            ],
            { taster },
          ),
        ) as Advice
      ).action;
    expect(asked({ overall: learned(6.2) })).toBe('dialled');
    expect(asked(null)).not.toBe('dialled');
  });
});

describe('the advice to one who likes a cup off the middle', () => {
  const said = (balance: number, likes: number | null, body = 0) =>
    everydayShot({
      timeSeconds: 28.5,
      taste: { balance, body, dryness: 0, ...(likes === null ? {} : { likes: { balance: likes, body: 0 } }) },
    });
  const ask = (shot: ReturnType<typeof said>) => {
    const request = everydayRequest({ shots: [shot] });
    const { text } = (answer(request) as Advice).why.find(({ text }) => text.startsWith('It tasted'))!;
    return { text, pour: readProblem(adviceRequestSchema.parse(request)).pours[0]! };
  };

  it('counts what was said from there, and stays on the scale', () => {
    expect(ask(said(0.5, 0.5)).pour).toMatchObject({ taste: { balance: 0 }, said: { balance: 0.5 } });
    expect(ask(said(-3, 0.6)).pour.taste!.balance).toBe(-3);
    expect(ask(said(0.5, null)).pour.taste!.balance).toBe(0.5);
  });

  it('tells the word that was said, and what it is to this taste where that is another', () => {
    expect(ask(said(-0.5, 0.6)).text).toMatch(/^It tasted a bit sour, sour to this taste/);
    expect(ask(said(0.5, 0.5)).text).toBe('It tasted a bit bitter, balanced to this taste.');
    expect(ask(said(-1.5, 0.2)).text).toMatch(/^It tasted sour: /);
  });
});
