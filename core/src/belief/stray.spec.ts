import { everydayShot, problemOf } from '../advice/advice.fixture';
import { slopesOf } from './gradients';
import { infer } from './infer';
import { beliefOf, FLOW_SHARE, frameOf, geometryOf, predict } from './model';
import { P } from './parameters';
import { priorFor } from './prior';
import { addStray, addStraySlopes } from './stray';

const problem = problemOf();
const frame = frameOf(problem);
const theta = priorFor(problem).mean;
const geometry = geometryOf(frame, problem.start);
const predicted = (at: Float64Array = theta) => predict(beliefOf(at, frame), frame, geometry);
const strayed = (timeSeconds: number, at: Float64Array = theta) => {
  const shot = predicted(at);
  addStray(shot, beliefOf(at, frame), timeSeconds);
  return shot;
};

describe('a shot that strayed from its time', () => {
  it('gave more where it held the water back and less where it ran, and is untouched in between', () => {
    const plain = predicted();
    expect(strayed(plain.timeSeconds)).toEqual(plain);
    for (const scale of ['balance', 'body'] as const) {
      expect(strayed(plain.timeSeconds + 2)[scale]).toBeGreaterThan(plain[scale]);
      expect(strayed(plain.timeSeconds - 2)[scale]).toBeLessThan(plain[scale]);
    }
  });

  it('moves the cup by half of what a finer grind would for the same time, less the clock’s tenth', () => {
    const plain = predicted();
    const seconds = 0.5;
    const byGrind = (beliefOf(theta, frame).balanceGrind * seconds) / plain.puckSeconds;
    const moved = strayed(plain.timeSeconds + seconds).balance - plain.balance;
    expect(moved / byGrind).toBeCloseTo(0.9 * FLOW_SHARE, 2);
  });

  it('saturates: a minute too long is some other fault', () => {
    const plain = predicted();
    const most = beliefOf(theta, frame).balanceGrind * FLOW_SHARE * 0.15;
    expect(strayed(plain.timeSeconds + 60).balance - plain.balance).toBeLessThanOrEqual(most + 1e-9);
  });

  it('has the derivatives of its own formula, but for the puck’s seconds', () => {
    const timeSeconds = predicted().timeSeconds + 0.4;
    const shot = strayed(timeSeconds);
    const belief = beliefOf(theta, frame);
    const plain = predicted();
    const slopes = slopesOf(belief, frame, geometry, frame.clock, plain);
    addStraySlopes(slopes, plain, belief, timeSeconds);
    for (const i of [P.balanceAtCentre, P.logBalanceGrind, P.bodyGrind, P.lead]) {
      const nudged = Float64Array.from(theta);
      nudged[i]! += 1e-5;
      const next = strayed(timeSeconds, nudged);
      expect((next.balance - shot.balance) / 1e-5).toBeCloseTo(slopes.balance[i]!, 2);
      expect((next.body - shot.body) / 1e-5).toBeCloseTo(slopes.body[i]!, 2);
    }
  });

  it('is not held against its settings: sour because it ran is less sour than sour in time', () => {
    const times = [29, 28, 29, 28];
    const centre = (last: number) => {
      const steady = times.map((timeSeconds) => everydayShot({ timeSeconds, taste: { balance: 0, body: 0 } }));
      return infer(
        problemOf({ shots: [...steady, everydayShot({ timeSeconds: last, taste: { balance: -1.5, body: 0 } })] }),
      ).mean[P.balanceAtCentre]!;
    };
    expect(centre(26)).toBeGreaterThan(centre(28.5));
  });
});

describe('more coffee', () => {
  const cupAt = (doseGrams: number, yieldGrams: number) =>
    predict(beliefOf(theta, frame), frame, geometryOf(frame, { ...problem.start, doseGrams, yieldGrams }));

  it('in the same yield is longer, a little less extracted and stronger', () => {
    const [plain, more] = [cupAt(18, 36), cupAt(18.5, 36)];
    expect(more.timeSeconds).toBeGreaterThan(plain.timeSeconds);
    expect(more.balance).toBeLessThan(plain.balance);
    expect(more.balance).toBeGreaterThan(plain.balance - 0.15);
    expect(more.body).toBeGreaterThan(plain.body);
  });

  it('with yield in ratio is longer and about the same cup', () => {
    const [plain, more] = [cupAt(18, 36), cupAt(18.5, 37)];
    expect(more.timeSeconds).toBeGreaterThan(plain.timeSeconds);
    expect(Math.abs(more.balance - plain.balance)).toBeLessThan(0.15);
    expect(Math.abs(more.body - plain.body)).toBeLessThan(0.15);
  });
});
