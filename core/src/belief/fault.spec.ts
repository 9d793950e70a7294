import { answer, type Advice, type AdviceRequest } from '..';
import { everydayRequest, everydayShot, problemOf } from '../advice/advice.fixture';
import { frameOf, beliefOf } from './model';
import { priorFor } from './prior';
import { readingsOf } from './readings';
import { walk } from '../advice/situations/situations.fixture';

type Shot = AdviceRequest['shots'][number];

const cup = { balance: -1, body: -0.5, dryness: 0 };
const poured = (more: Shot = {}): Shot => everydayShot({ timeSeconds: 26, taste: cup, ...more });
/** What the same settings are expected to give next. */
const after = (...shots: Shot[]): { seconds: number; balance: number; body: number } => {
  const { settings, changed, expect: next } = answer(everydayRequest({ ...walk, shots })) as Advice;
  expect([settings.grind, changed]).toEqual([14, []]);
  return { seconds: next.timeSeconds.mean, balance: next.balance.mean, body: next.body.mean };
};

describe('a shot that a channel spoilt', () => {
  const spurted = after(poured({ seen: ['spurts'] }));

  it('was faster, more sour and thinner than its settings are, as one that is off in its dose was not', () => {
    const even = { timeSeconds: 30, taste: { balance: 0, body: 0, dryness: 0 } };
    const channelled = after(poured({ ...even, seen: ['spurts'] }));
    const misdosed = after(poured({ ...even, cause: 'dose-off' }));
    expect(channelled.seconds).toBeGreaterThan(31);
    expect(channelled.seconds - misdosed.seconds).toBeGreaterThan(1);
    expect(channelled.balance - misdosed.balance).toBeGreaterThan(0.2);
    expect(channelled.body - misdosed.body).toBeGreaterThan(0.1);
  });

  it('was so, too, where somebody said it channelled or found a crater', () => {
    expect(after(poured({ cause: 'channelled' }))).toEqual(spurted);
    expect(after(poured({ seen: ['puck-crater'] }))).toEqual(spurted);
  });

  it('lost more where the puck gave way, and next to nothing that anybody knows where it was only uneven', () => {
    const gaveWay = after(poured({ seen: ['spurts', 'late-rush'] }));
    const uneven = after(poured({ seen: ['dead-spots'] }));
    expect(gaveWay.seconds).toBeGreaterThan(spurted.seconds);
    expect(gaveWay.balance).toBeGreaterThan(spurted.balance);
    // What is said of an uneven one moves the belief by so little that the settings are taken as before.
    const before = answer(everydayRequest({ ...walk, shots: [] })) as Advice;
    expect(Math.abs(uneven.seconds - before.expect.timeSeconds.mean)).toBeLessThan(1.5);
  });

  it('says little beside a sound one at the same settings', () => {
    const sound = { timeSeconds: 30, taste: { balance: 0, body: 0, dryness: 0, overall: 8 } };
    const [alone, beside] = [after(poured(sound)), after(poured(sound), poured({ seen: ['spurts'] }))];
    expect(Math.abs(beside.seconds - alone.seconds)).toBeLessThan(0.7);
    expect(Math.abs(beside.balance - alone.balance)).toBeLessThan(0.15);
  });

  it('is read with the derivatives of what is predicted of it', () => {
    const shots = [poured({ seen: ['spurts', 'late-rush'] })];
    const problem = problemOf({ shots });
    const frame = frameOf(problem);
    const theta = priorFor(problem).mean;
    const [reading] = readingsOf(problem, frame, problem.pours);
    const { at, slopes } = reading!.linearise(beliefOf(theta, frame));
    const predicted = Float64Array.from(at);
    const byHand = slopes.map((slope) => Float64Array.from(slope));
    theta.forEach((value, i) => {
      const nudged = Float64Array.from(theta);
      nudged[i] = value + 1e-5;
      const next = reading!.predict(beliefOf(nudged, frame));
      byHand.forEach((slope, n) => expect((next[n]! - predicted[n]!) / 1e-5).toBeCloseTo(slope[i]!, 2));
    });
  });
});

describe('a shot whose dose was off or whose group was cold', () => {
  it('says hardly anything, and in no direction', () => {
    const before = answer(everydayRequest({ ...walk, shots: [] })) as Advice;
    for (const cause of ['dose-off', 'cold-group'] as const) {
      const { seconds, balance } = after(poured({ cause }));
      // Between what was poured and what was believed before, and nearer to the latter.
      const { timeSeconds: time, balance: believed } = before.expect;
      for (const share of [(time.mean - seconds) / (time.mean - 26), (believed.mean - balance) / (believed.mean + 1)]) {
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThan(0.5);
      }
    }
  });
});
