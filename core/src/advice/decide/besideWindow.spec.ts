import { answer, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

type Poured = [grind: number, timeSeconds: number, balance: number, more?: Partial<AdviceRequest['shots'][number]>];

/** Window 27–33 s. */
function after(poured: Poured[], change: Partial<AdviceRequest> = {}): Advice {
  const shots = poured.map(([grind, timeSeconds, balance, more]) =>
    everydayShot({ grind, timeSeconds, taste: { balance, body: 0, overall: 5.5 }, ...more }),
  );
  const target = { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } };
  return answer(everydayRequest({ target, shots, ...change })) as Advice;
}

const turned = ({ action, changed }: Advice): string =>
  action === 'change'
    ? changed.map(({ variable, from, to }) => `${variable} ${to > from ? 'up' : 'down'}`).join()
    : action;

const codes = ({ why }: Advice): string[] => why.map(({ code }) => code);

describe('a cup off the same way a second or two beside the window as it was in it', () => {
  it.each<[string, Poured[], string]>([
    [
      'sour, after finer',
      [
        [14, 30, -1.5],
        [13, 34, -1],
      ],
      'temperatureC up',
    ],
    [
      'sour, after finer twice',
      [
        [14, 30, -1.5],
        [13.5, 32, -1],
        [13, 34, -1],
      ],
      'temperatureC up',
    ],
    [
      'bitter, after coarser',
      [
        [14, 30, 1.5],
        [15, 26, 1],
      ],
      'temperatureC down',
    ],
  ])('is fixed by temperature, not led back there: %s', (_, poured, expected) => {
    const advice = after(poured);
    expect(turned(advice)).toBe(expected);
    expect(codes(advice)).toContain('beside-window');
  });

  it('is fixed so after more water, too', () => {
    const longer = { yieldGrams: 40, planned: { doseGrams: 18, yieldGrams: 40 } };
    expect(
      turned(
        after([
          [14, 31, -1.5],
          [14, 34.5, -1, longer],
        ]),
      ),
    ).toBe('temperatureC up');
  });

  it('is offered the way back among the alternatives, and only that way of the grind', () => {
    const { alternatives } = after([
      [14, 30, -1.5],
      [13.5, 32, -1],
      [13, 34, -1],
    ]);
    const grinds = alternatives.flatMap(({ changed }) => changed).filter(({ variable }) => variable === 'grind');
    expect(grinds.length).toBeGreaterThan(0);
    expect(grinds.every(({ from, to }) => to > from)).toBe(true);
  });
});

describe('the time comes first all the same', () => {
  it.each<[string, Poured[]]>([
    [
      'further out than shots of the same settings differ',
      [
        [14, 30, -1.5],
        [12.5, 37, -1],
      ],
    ],
    ['where the window was not tried yet', [[14, 34.8, -1.5]]],
    [
      'where the cup in the window was as wanted',
      [
        [14, 30, 0],
        [13, 35, -1.5],
      ],
    ],
    [
      'where the shot in the window was spoilt',
      [
        [14, 30, -1.5, { seen: ['spurts'] }],
        [13, 35, -1.5],
      ],
    ],
  ])('%s', (_, poured) => {
    expect(turned(after(poured))).not.toMatch(/temperature/);
  });

  it('where grind fixes both', () => {
    expect(
      turned(
        after([
          [14, 30, 1.5],
          [13, 35, 1.5],
        ]),
      ),
    ).toBe('grind up');
  });

  it('where the cup beside the window is as wanted', () => {
    expect(
      codes(
        after([
          [14, 30, -1.5],
          [13, 34.8, 0],
        ]),
      ),
    ).not.toContain('beside-window');
  });

  it.each<[string, Partial<AdviceRequest>]>([
    ['is held by the method', { method: 'one-lever' }],
    ['cannot be set', { machine: { temperatureC: null } }],
    ['is at its end', { machine: { temperatureC: { min: 88, max: 93, step: 0.5 } } }],
  ])('where the temperature %s', (_, change) => {
    const isSet = change.machine?.temperatureC !== null;
    const at: Partial<AdviceRequest['shots'][number]> = isSet ? {} : { temperatureC: null };
    expect(
      turned(
        after(
          [
            [14, 30, -1.5, at],
            [13, 34.8, -1, at],
          ],
          change,
        ),
      ),
    ).toBe('grind up');
  });
});
