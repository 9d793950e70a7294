import { everydayShot, problemOf } from '../advice/advice.fixture';
import { TASTE_SD } from './readings';
import { believe } from './mixture';
import { P } from './parameters';
import { drawParticles, expectationOf, lookAt, PARTICLES } from './particles';

const run = [16, 14, 13].map((grind, i) =>
  everydayShot({ grind, timeSeconds: 22 + 4 * i, taste: { balance: -1 + i } }),
);

describe('particles', () => {
  const problem = problemOf({ shots: run });
  const mixture = believe(problem);

  it('are the same for the same seed, and others for another', () => {
    expect(drawParticles(mixture, 'a')).toEqual(drawParticles(mixture, 'a'));
    expect(drawParticles(mixture, 'a').beliefs[0]).not.toEqual(drawParticles(mixture, 'b').beliefs[0]);
  });

  it('have noise that comes in mirror pairs', () => {
    const { noise } = drawParticles(mixture, 'noise');
    expect(noise.reduce((sum, z) => sum + z, 0)).toBeCloseTo(0, 9);
  });

  it.each([0, 0.25, 0.5, 1])('come from the second story in its share: %d', (keptShare) => {
    // Two stories that cannot be taken for one another.
    const apart = (logPuck: number) => {
      const mean = Float64Array.from(mixture.anywhere.mean);
      mean[P.logPuck] = logPuck;
      return { ...mixture.anywhere, mean, logDensity: () => 0 };
    };
    const { beliefs } = drawParticles({ ...mixture, anywhere: apart(-50), kept: apart(50), keptShare }, 'shares');
    const fromKept = beliefs.map(({ logPuck }) => logPuck > 0);
    expect(fromKept.filter(Boolean).length / PARTICLES).toBeCloseTo(keptShare, 2);
    // Spread over the whole row, not in a block.
    expect(fromKept.slice(0, PARTICLES / 2).filter(Boolean).length / PARTICLES).toBeCloseTo(keptShare / 2, 1);
  });
});

describe('the outlook of a setting', () => {
  const problem = problemOf({ shots: run });
  const mixture = believe(problem);
  const particles = drawParticles(mixture, 'outlook');
  const at = (grind: number) => lookAt(problem, mixture.main, particles, { ...problem.start, grind });

  it('never calls more cups good than are in the window or taste right', () => {
    for (const grind of [10, 12, 13, 14, 16]) {
      const { windowShare, tasteShare, goodShare } = at(grind);
      expect(goodShare).toBeLessThanOrEqual(Math.min(windowShare, tasteShare) + 1e-12);
      expect(goodShare).toBeGreaterThanOrEqual(windowShare + tasteShare - 1 - 1e-12);
    }
  });

  it('runs slower the finer it is set, and further from the window the further it is moved', () => {
    const times = [18, 16, 14, 12, 10].map((grind) => at(grind).medianTimeSeconds);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(at(25).distance).toBeGreaterThan(at(13).distance);
  });

  it('predicts the next shot with its own noise: wider than the setting itself is known', () => {
    const outlook = at(13);
    const { timeSeconds, inWindow, asWanted, balance } = expectationOf(problem, particles, outlook, TASTE_SD);
    const sorted = Float64Array.from(outlook.timeSeconds).sort();
    const known = sorted[Math.floor(0.9 * PARTICLES)]! - sorted[Math.floor(0.1 * PARTICLES)]!;
    expect(timeSeconds.p90 - timeSeconds.p10).toBeGreaterThan(known);
    expect(timeSeconds.mean).toBeGreaterThan(timeSeconds.p10);
    expect(timeSeconds.mean).toBeLessThan(timeSeconds.p90);
    expect(asWanted).toBeLessThanOrEqual(inWindow);
    expect(balance.p90 - balance.p10).toBeGreaterThan(2 * 1.28 * TASTE_SD * 0.8);
  });

  it('gives the odds of the clock in closed form, one shot in twelve hurried by a channel', () => {
    const outlook = at(13);
    const known = {
      ...outlook,
      timeSeconds: outlook.timeSeconds.map(() => 30),
      timeSdSeconds: outlook.timeSdSeconds.map(() => 2),
      balance: outlook.balance.map((_, k) => (k % 4 === 0 ? 2 : 0)),
      body: outlook.body.map(() => 0),
    };
    // Window 25–32 s: Φ(1) − Φ(−2.5) = 0.8351, and hurried to 25.5 s Φ(3.25) − Φ(−0.25) = 0.5981.
    const { inWindow, asWanted } = expectationOf(problem, particles, known, TASTE_SD);
    expect(inWindow).toBe(0.82);
    // A quarter of the beliefs call it bitter.
    expect(asWanted).toBe(0.61);
  });
});
