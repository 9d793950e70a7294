import { answer, findMethod, METHOD_IDS, type Advice, type Method, type Roast } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

type Cup = [balance: number, body: number];
const ROASTS: Roast[] = ['light', 'dark'];
const TIMES = [1, 3];

type Poured = [grind: number, seconds: number, cup: Cup];

/** The answer to these shots, poured with a method's own recipe. */
function afterAll(method: Method, roast: Roast, poured: Poured[]): Advice {
  const { doseGrams, ratio } = method.start;
  const yieldGrams = Math.round(doseGrams * ratio);
  const temperatureC = method.temperatureC[roast];
  const recipe = { doseGrams, yieldGrams, temperatureC };
  const advice = answer(
    everydayRequest({
      method: method.id,
      coffee: { roast },
      basket: { nominalGrams: doseGrams, minGrams: doseGrams - 2, maxGrams: doseGrams + 2 },
      target: { ...recipe, timeSeconds: method.windowSeconds, timer: method.timer, balance: 0, body: 0 },
      shots: poured.map(([grind, timeSeconds, [balance, body]]) =>
        everydayShot({
          ...recipe,
          grind,
          planned: { doseGrams, yieldGrams },
          timeSeconds,
          timer: method.timer,
          taste: { balance, body },
        }),
      ),
    }),
  );
  if (advice.schema !== 'olvet.advice/1') throw new Error(JSON.stringify(advice));
  return advice;
}

/** The answer to the same shot poured so many times. */
function after(method: Method, roast: Roast, seconds: number, cup: Cup, times: number): Advice {
  return afterAll(
    method,
    roast,
    Array.from({ length: times }, () => [14, seconds, cup]),
  );
}

/** In a barista's words, whichever way the grinder counts (here lower is finer). */
function saidBy({ action, changed }: Advice): string {
  const words: Record<string, [more: string, less: string]> = {
    grind: ['coarser', 'finer'],
    doseGrams: ['more dose', 'less dose'],
    yieldGrams: ['longer', 'shorter'],
    temperatureC: ['hotter', 'cooler'],
  };
  if (action !== 'change') return action;
  return changed.map(({ variable, from, to }) => words[variable]![to > from ? 0 : 1]).join(' ');
}

/** Everything said over the roasts and repetitions, each once. */
function allSaid(method: Method, seconds: number, cup: Cup): string[] {
  const said = ROASTS.flatMap((roast) => TIMES.map((count) => saidBy(after(method, roast, seconds, cup, count))));
  return [...new Set(said)].sort();
}

const expectOnly = (said: string[], allowed: string[]): void => {
  expect(allowed).toEqual(expect.arrayContaining(said));
};

describe.each(METHOD_IDS.map((id) => findMethod(id)!))('the direction of a move: $name', (method) => {
  const { min, max } = method.windowSeconds;
  const middle = (min + max) / 2;
  const isFree = !method.locks.includes('yield');

  if (method.timeIs === 'target') {
    it('brings time back by grind, whatever the tongue says', () => {
      for (const cup of [
        [0, 0],
        [-1, -2],
        [2, -1],
      ] as Cup[]) {
        expect(allSaid(method, min - 5, cup)).toEqual(['finer']);
        expect(allSaid(method, max + 5, cup)).toEqual(['coarser']);
      }
    });
  }

  it('leaves what is right alone', () => {
    expectOnly(allSaid(method, middle, [0, 0]), ['repeat', 'dialled']);
  });

  it('pulls again what came into the window and tastes as wanted within half a point', () => {
    const cups: Cup[] = [
      [-0.5, 0],
      [0, -0.5],
      [0.5, 0.5],
    ];
    for (const cup of cups) {
      for (const seconds of [min + 0.3 * (max - min), middle, max - 0.3 * (max - min)]) {
        const shots: Poured[] = [
          [14, 0.75 * min, [-1, -1]],
          [12, seconds, cup],
        ];
        expectOnly(
          ROASTS.map((roast) => saidBy(afterAll(method, roast, shots))),
          ['repeat', 'dialled'],
        );
      }
    }
  });

  if (method.timeIs === 'target') {
    it('fixes a plainly wrong cup by taste once the clock read in the window, however doubtful that is', () => {
      const atTheEdge = (cup: Cup, [before, now]: [before: number, now: number]): string[] =>
        ROASTS.map((roast) =>
          saidBy(
            afterAll(method, roast, [
              [14, before, [0, 0]],
              [before < now ? 13.5 : 14.5, now, cup],
            ]),
          ),
        );
      const edges: [number, number][] = [
        [0.8 * min, min + 0.2],
        [1.25 * max, max - 0.2],
      ];
      for (const edge of edges) {
        expectOnly(atTheEdge([1.5, 0], edge), ['coarser', 'shorter', 'cooler']);
        expectOnly(atTheEdge([-1.5, 0], edge), ['finer', 'longer', 'hotter']);
      }
      // A cup only a little off is not led further off by running after a clock that said "in the window".
      expect(atTheEdge([1, 0], edges[0]!)).not.toContain('finer');
      expect(atTheEdge([-1, 0], edges[1]!)).not.toContain('coarser');
    });
  }

  if (method.timeIs === 'target') {
    it('answers a cup the time’s way would spoil, a second beside the window, by grind or not at all', () => {
      const cups: Cup[] = [
        [1, 0],
        [2, 0],
        [0, -1.5],
      ];
      for (const beside of [0.6, 1, 1.7]) {
        for (const [balance, body] of cups) {
          const opposite: Cup = [-balance, -body];
          // One that may be noise may be pulled again; one plainly wrong is not.
          const stay = Math.abs(balance) === 1 ? ['repeat'] : [];
          for (const before of [[], [[16, 0.7 * min, [-1.5, 0]]] as Poured[]]) {
            const fast = afterAll(method, 'medium', [...before, [14, min - beside, [balance, body]]]);
            expectOnly([saidBy(fast)], ['finer', ...stay]);
          }
          const slow = afterAll(method, 'medium', [[14, max + beside, opposite]]);
          expectOnly([saidBy(slow)], ['coarser', ...stay]);
          // Off by no more than noise either way: one shot does not tell.
          if (beside < 1 && stay.length > 0) expect(saidBy(slow)).toBe('repeat');
        }
      }
    });
  }

  it('never pulls a cup again that is wrong on two scales, and never claims it', () => {
    for (const cup of [
      [-1, 2],
      [1, -2],
    ] as Cup[]) {
      expect(allSaid(method, middle, cup)).not.toContain('repeat');
      expect(allSaid(method, middle, cup)).not.toContain('dialled');
    }
  });

  it('fixes sour with more extraction and bitter with less', () => {
    expectOnly(allSaid(method, middle, [-2, 0]), ['finer', 'longer', 'hotter']);
    expectOnly(allSaid(method, middle, [2, 0]), ['coarser', 'shorter', 'cooler']);
  });

  it('fixes a heavy cup by thinning it and a thin one by strengthening it', () => {
    expectOnly(allSaid(method, middle, [0, 2]), isFree ? ['longer', 'less dose'] : ['coarser']);
    expectOnly(allSaid(method, middle, [0, -2]), isFree ? ['shorter', 'more dose'] : ['finer']);
  });

  if (isFree) {
    it('answers sour with heavy, and bitter with thin, by the lever that fixes both', () => {
      expectOnly(allSaid(method, middle, [-2, 2]), ['longer', 'hotter']);
      expectOnly(allSaid(method, middle, [2, -2]), ['shorter', 'cooler']);
    });
  }

  it('answers sour with thin by finer, bitter with heavy by coarser, or by temperature where that comes first', () => {
    const isHeatFirst = method.balanceOrder[0] === 'temperature';
    expectOnly(allSaid(method, middle, [-2, -2]), isHeatFirst ? ['hotter', 'finer'] : ['finer']);
    expectOnly(allSaid(method, middle, [2, 2]), isHeatFirst ? ['cooler', 'coarser'] : ['coarser']);
  });
});

it.each([20, 22, 24, 36, 38, 42, 48])(
  'aims from %d s well inside the window and not at its edge, whatever the cup would like',
  (timeSeconds) => {
    const grinder = { ...everydayRequest().grinder, step: 0.25, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const target = { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } };
    const cups: Cup[] = [
      [0, 0],
      [-1.5, -1],
      [1.5, 1],
      [0, 1.5],
      [0, -1.5],
    ];
    for (const [balance, body] of cups) {
      const shot = everydayShot({ timeSeconds, taste: { balance, body } });
      const advice = answer(everydayRequest({ grinder, target, shots: [shot, shot] })) as Advice;
      expect(advice.changed.map(({ variable }) => variable)).toEqual(['grind']);
      expect(Math.abs(advice.expect.timeSeconds.mean - 30)).toBeLessThan(2.1);
    }
  },
);
