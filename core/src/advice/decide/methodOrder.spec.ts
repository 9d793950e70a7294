import type { Lever } from '../../method/Method';
import { answer, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot, problemOf } from '../advice.fixture';
import { wasTriedForTaste } from './tried';
import { inMethodOrder } from './methodOrder';
import { oddsInWords } from '../words/words';

const WALK: Lever[] = ['grind', 'yield', 'temperature'];
type Told = [lever: Lever, distance: number, windowShare?: number];

/** Which of these moves are left of a cup two tolerances off, by how far from the wanted cup each of them would be. */
function left(moves: Told[], levers = WALK, shots: AdviceRequest['shots'] = [everydayShot()]): string[] {
  const problem = problemOf({ shots });
  const choices = moves.map(([lever, distance, windowShare = 0.8]) => ({
    move: { lever },
    outlook: { distance, windowShare },
  }));
  return inMethodOrder(shots.length, (lever) => wasTriedForTaste(problem, lever), 2, choices, levers).map(
    ({ move, outlook }) => `${move.lever} ${outlook.distance}`,
  );
}

describe('the order of a method', () => {
  it('is kept where the first lever does nearly as much as any other, more so after the second cup, and no longer after the third', () => {
    const others: Told[] = [
      ['yield', 0.4],
      ['temperature', 0.5],
    ];
    const leftAfter = (shots: number, distance: number): string[] =>
      left([['grind', distance], ...others], WALK, Array<ReturnType<typeof everydayShot>>(shots).fill(everydayShot()));
    expect(leftAfter(1, 1.1)).toEqual(['grind 1.1']);
    expect(leftAfter(1, 1.3)).toEqual(['grind 1.3', 'yield 0.4']);
    expect(leftAfter(2, 0.7)).toEqual(['grind 0.7']);
    expect(leftAfter(2, 0.8)).toEqual(['grind 0.8', 'yield 0.4']);
    expect(leftAfter(3, 0.4)).toEqual(['grind 0.4', 'yield 0.4']);
  });

  it('lets heat in only where no lever before it does three quarters as much, whether it was tried or not', () => {
    const third = Array<ReturnType<typeof everydayShot>>(3).fill(everydayShot());
    const turned = [everydayShot({ grind: 15 }), ...third];
    const heat: Told = ['temperature', 0.2];
    const yielded: Told = ['yield', 1.2];
    for (const shots of [third, turned]) {
      expect(left([['grind', 0.6], yielded, heat], WALK, shots)).toEqual(['grind 0.6', 'yield 1.2']);
      expect(left([['grind', 0.7], yielded, heat], WALK, shots)).toEqual(['grind 0.7', 'yield 1.2', 'temperature 0.2']);
    }
    expect(left([heat, ['grind', 0.4]], ['temperature', 'grind'], third)).toEqual(['temperature 0.2', 'grind 0.4']);
  });

  it('is not measured, at the first cup, by heat that comes last: nobody would turn it yet', () => {
    const heat: Told = ['temperature', 0];
    expect(left([['grind', 1.1], ['yield', 0.4], heat])).toEqual(['grind 1.1']);
    // Where heat comes first it counts like any other.
    expect(left([['grind', 1.1], heat], ['temperature', 'grind'])).toEqual(['temperature 0']);
    // Where nothing but heat leads nearer, it is the only measure there is.
    expect(left([['grind', 2.1], heat])).toEqual(['grind 2.1', 'temperature 0']);
  });

  it('leaves out the timid moves of that lever', () => {
    const grinds: Told[] = [1, 1.2, 1.3, 1.9].map((distance) => ['grind', distance]);
    expect(left([...grinds, ['yield', 0.9]])).toEqual(['grind 1', 'grind 1.2']);
    expect(left([...grinds, ['yield', 0.9]], WALK, [everydayShot({ grind: 15 }), everydayShot()])).toHaveLength(5);
  });

  it('turns the grind for the taste only as far as the window lets it', () => {
    expect(
      left([
        ['grind', 0.5, 0.5],
        ['yield', 0.5],
        ['temperature', 0.4],
      ]),
    ).toEqual(['grind 0.5', 'yield 0.5']);
  });

  it('opens the next lever once one was tried for the taste, not merely for the time', () => {
    const turned = (timeSeconds: number): AdviceRequest['shots'] => [
      everydayShot({ grind: 15, timeSeconds }),
      everydayShot(),
    ];
    const moves: Told[] = [
      ['grind', 0.5],
      ['yield', 0.5],
      ['temperature', 0.4],
    ];
    expect(left(moves, WALK, turned(29))).toEqual(['grind 0.5', 'yield 0.5']);
    expect(left(moves, WALK, turned(20))).toEqual(['grind 0.5']);
  });

  it('asks of dose only that it leads nearer, the first time: it is not moved by more than half a gram', () => {
    const moves: Told[] = [
      ['dose', 1.9],
      ['yield', 0.2],
    ];
    expect(left(moves, ['dose', 'yield'])).toEqual(['dose 1.9']);
    expect(left([['dose', 2.1], ...moves.slice(1)], ['dose', 'yield'])).toEqual(['dose 2.1', 'yield 0.2']);
    // Heat waits for it, but only until it was tried.
    const heated: Told[] = [
      ['dose', 1.9],
      ['temperature', 0.2],
    ];
    const dosed = [everydayShot({ doseGrams: 17.5, planned: { doseGrams: 17.5, yieldGrams: 36 } }), everydayShot()];
    expect(left(heated, ['dose', 'temperature'])).toEqual(['dose 1.9']);
    expect(left(heated, ['dose', 'temperature'], dosed)).toEqual(['dose 1.9', 'temperature 0.2']);
  });

  it('says nothing where no move leads nearer', () => {
    expect(
      left([
        ['temperature', 2.2],
        ['grind', 2.5],
      ]),
    ).toEqual(['temperature 2.2', 'grind 2.5']);
    expect(left([])).toEqual([]);
  });
});

describe('a cup off in its balance, from the middle of the window', () => {
  const GRINDERS = [null, { mean: 0.09, sd: 0.02, shots: 30 }];
  const saidOf = (method: string, balance: number, change: Partial<AdviceRequest>): string[] =>
    GRINDERS.map((logTimePerUnit) => {
      const request = everydayRequest({ method, ...change });
      const asked = { ...request, grinder: { ...request.grinder, logTimePerUnit } };
      const { doseGrams, yieldGrams, temperatureC, timeSeconds } = asked.target;
      const shot = everydayShot({
        doseGrams,
        yieldGrams,
        temperatureC,
        planned: { doseGrams, yieldGrams },
        timer: asked.target.timer,
        timeSeconds: (timeSeconds.min + timeSeconds.max) / 2,
        taste: { balance, body: 0, dryness: 0 },
      });
      const advice = answer({ ...asked, shots: [shot] }) as Advice;
      return advice.changed.map(({ variable, from, to }) => `${variable} ${to > from ? '+' : '-'}`).join();
    });
  const { target } = everydayRequest();

  it('is fixed by grind in the balance walk', () => {
    const walk = { target: { ...target, timeSeconds: { min: 27, max: 33 } } };
    expect(saidOf('balance-walk', -1.5, walk)).toEqual(['grind -', 'grind -']);
    expect(saidOf('balance-walk', 1.5, walk)).toEqual(['grind +', 'grind +']);
    // A narrow window leaves the grind nothing to do.
    const narrow = { target: { ...target, timeSeconds: { min: 29, max: 31 } } };
    expect(saidOf('balance-walk', -2, narrow)).toEqual(['yieldGrams +', 'yieldGrams +']);
  });

  it('is fixed by grind in the slow soak, too, which has yield for the body', () => {
    const soak = {
      target: {
        ...target,
        doseGrams: 19,
        yieldGrams: 38,
        timeSeconds: { min: 45, max: 55 },
        timer: 'total-contact' as const,
      },
    };
    expect(saidOf('slow-soak', -1, soak)).toEqual(['grind -', 'grind -']);
    expect(saidOf('slow-soak', 1.5, soak)).toEqual(['grind +', 'grind +']);
  });

  it('is fixed by grind though hotter would bring more, where the grind has led into the window and done no more', () => {
    const shots = [
      everydayShot({ timeSeconds: 21, taste: { balance: -1.5, body: -1, dryness: 0, overall: 4 } }),
      everydayShot({ grind: 11, timeSeconds: 30, taste: { balance: -1, body: 0, dryness: 0, overall: 6 } }),
    ];
    const walk = { ...target, timeSeconds: { min: 27, max: 33 } };
    const { changed } = answer(everydayRequest({ target: walk, shots })) as Advice;
    expect(changed).toEqual([{ variable: 'grind', from: 11, to: 10.5 }]);
  });

  it('is fixed by heat in the open, where it is sour, and by the grind, where it is bitter', () => {
    const open: Partial<AdviceRequest> = {
      coffee: { roast: 'light' },
      target: { ...target, yieldGrams: 45, temperatureC: 94, timeSeconds: { min: 20, max: 38 } },
    };
    expect(saidOf('open-light', -1.5, open)).toEqual(['temperatureC +', 'temperatureC +']);
    expect(saidOf('open-light', 1.5, open)).toEqual(['grind +', 'grind +']);
  });

  it('is told whose turn it is where another lever promises more, and that one is offered beside it', () => {
    const walk = { target: { ...target, timeSeconds: { min: 27, max: 33 } } };
    const ask = (taste: { balance: number; body: number }): Advice =>
      answer(everydayRequest({ ...walk, shots: [everydayShot({ timeSeconds: 31, taste })] })) as Advice;
    const whyOf = ({ why }: Advice): string | undefined => why.find(({ code }) => code === 'method-order')?.text;
    const bitter = ask({ balance: 1.5, body: 0 });
    expect(bitter.changed.map(({ variable }) => variable)).toEqual(['grind']);
    const shorter = bitter.alternatives.find(({ changed }) => changed[0]?.variable === 'yieldGrams')!;
    const odds = oddsInWords(shorter.expect.asWanted);
    const here = oddsInWords(bitter.expect.asWanted);
    expect(whyOf(bitter)).toBe(
      `The yield promises more, as wanted ${odds} instead of ${here}, but Balance walk turns the grind first.`,
    );
    expect(shorter.expect.asWanted).toBeGreaterThan(bitter.expect.asWanted);
    expect(odds).not.toBe(oddsInWords(bitter.expect.asWanted));
    // Where both read the same beside each other it would only puzzle.
    const sour = ask({ balance: -1.5, body: 0 });
    const longer = sour.alternatives.find(({ changed }) => changed[0]?.variable === 'yieldGrams')!;
    expect(oddsInWords(longer.expect.asWanted)).toBe(oddsInWords(sour.expect.asWanted));
    expect(whyOf(sour)).toBeUndefined();
    // A thin cup is the yield's business from the first: nothing is passed over.
    expect(whyOf(ask({ balance: 0, body: -1.5 }))).toBeUndefined();
  });
});
