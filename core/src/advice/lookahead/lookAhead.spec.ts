import { shotsToGo, type LookAheadInput } from './lookAhead';
import type { Outlook, Particles } from '../../belief/particles';

const COUNT = 40;
const settings = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };

/** A setting of which every particle says when and how it pours, and whether that is right. */
function outlook(
  at: Partial<typeof settings>,
  says: (k: number) => { time?: number; balance?: number; good: boolean },
): Outlook {
  const all = Array.from({ length: COUNT }, (_, k) => says(k));
  const column = (pick: (one: ReturnType<typeof says>) => number) => Float64Array.from(all, pick);
  return {
    settings: { ...settings, ...at },
    timeSeconds: column(({ time }) => time ?? 28),
    timeSdSeconds: column(() => 1),
    balance: column(({ balance }) => balance ?? 0),
    body: column(() => 0),
    inWindow: column(({ good }) => Number(good)),
    good: column(({ good }) => Number(good)),
    medianTimeSeconds: 28,
    windowShare: 0,
    tasteShare: 0,
    goodShare: 0,
    distance: 0,
  };
}
const particles: Particles = {
  beliefs: Array.from({ length: COUNT }) as Particles['beliefs'],
  // Every outcome is what its particle says: the noise is left out to have closed forms.
  noise: new Float64Array(COUNT),
};
const costs = (next: Outlook[], goals: Outlook[], change: Partial<LookAheadInput> = {}) =>
  shotsToGo({ particles, next, goals, tasteSd: 0.4, ...change });

describe('shots to go', () => {
  const sure = outlook({}, () => ({ good: true }));
  const wrong = outlook({}, () => ({ good: false }));

  it('are one, the shot itself, where it is surely right', () => {
    expect(costs([sure], [sure])).toEqual([1]);
  });

  it('add one move to a goal that is surely right, and its whole price where none is', () => {
    const oneMoveAway = outlook({ yieldGrams: 40 }, () => ({ good: true }));
    expect(costs([wrong], [wrong, oneMoveAway])).toEqual([2]);
    // One shot, one more at the same settings, ten to fix what is surely wrong.
    expect(costs([wrong], [wrong])).toEqual([12]);
  });

  it('count the variables between here and a goal, dose and yield in ratio as one', () => {
    const two = outlook({ grind: 12, yieldGrams: 40 }, () => ({ good: true }));
    const inRatio = outlook({ doseGrams: 19, yieldGrams: 38 }, () => ({ good: true }));
    expect(costs([wrong], [two])).toEqual([3]);
    expect(costs([wrong], [inRatio])).toEqual([2]);
  });

  it('value what a shot teaches: an outcome that tells right from wrong saves the fixing', () => {
    // Outcomes are imagined from every fourth particle: halves must not follow that beat.
    const half = (k: number) => k % 8 < 4;
    // Both are right for half the beliefs; only the first one's time says which half.
    const telling = outlook({ grind: 12 }, (k) => ({ time: half(k) ? 28 : 40, good: half(k) }));
    const mute = outlook({ grind: 13 }, (k) => ({ time: 28, good: half(k) }));
    const otherHalf = outlook({ grind: 14 }, (k) => ({ good: !half(k) }));
    const [tells, says] = costs([telling, mute], [telling, mute, otherHalf]);
    expect(tells!).toBeLessThan(says!);
    // Told: half the time done, half the time one move to what is then surely right.
    expect(tells!).toBeCloseTo(1 + 0.5 * 1, 6);
    expect(says!).toBeCloseTo(1 + 1 + 10 * 0.5, 6);
  });

  it('end with a claim where the doubt is cheaper than another shot, and go on where it is not', () => {
    // Outcomes come from every third or fourth particle, and all alike: the weights are equal.
    const wrongInTen = (doubtful: number) => outlook({}, (k) => ({ good: k % 10 >= doubtful }));
    const costOf = (doubtful: number) => costs([wrongInTen(doubtful)], [wrongInTen(doubtful)])[0]!;
    // A wrong claim costs thirteen shots, a wrong goal ten and the move to it.
    expect([1, 2, 4, 5].map(costOf)).toEqual([1 + 1.3, 1 + 2.6, 1 + 1 + 4, 1 + 1 + 5].map((n) => expect.closeTo(n, 6)));
  });
});
