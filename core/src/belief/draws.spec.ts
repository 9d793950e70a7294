import { Matrix } from 'ml-matrix';
import { createRandom } from '../puck/random';
import { everydayShot, problemOf } from '../advice/advice.fixture';
import { drawFrom, temper, voicesOf } from './draws';
import { infer, type Posterior } from './infer';
import { P, PARAMETERS } from './parameters';

const COUNT = 4000;
const moments = (values: number[]): { mean: number; sd: number } => {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return { mean, sd: Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length) };
};

/** A posterior known in closed form, of which the Gaussian proposed is only a guess. */
function known(guess: { mean: number; sd: number }, logDensity: (first: number) => number): Posterior {
  const mean = new Float64Array(PARAMETERS);
  mean[0] = guess.mean;
  const covariance = Matrix.eye(PARAMETERS);
  covariance.set(0, 0, guess.sd ** 2);
  const rest = (theta: Float64Array): number => theta.slice(1).reduce((sum, value) => sum - (value * value) / 2, 0);
  return { mean, covariance, logDensity: (theta: Float64Array) => logDensity(theta[0]!) + rest(theta) } as Posterior;
}
const firsts = (posterior: Posterior, seed: string): number[] =>
  drawFrom(posterior, COUNT, createRandom(seed)).map((theta) => theta[0]!);

describe('draws from a posterior', () => {
  it('follow the density where the Gaussian has the wrong mean and spread', () => {
    const posterior = known({ mean: 0.4, sd: 1.3 }, (x) => -(x * x) / 2);
    const { mean, sd } = moments(firsts(posterior, 'shifted'));
    expect(Math.abs(mean)).toBeLessThan(0.12);
    expect(Math.abs(sd - 1)).toBeLessThan(0.12);
  });

  it('follow a density that is not Gaussian at all: Laplace of scale 1/2 has a spread of 1/√2', () => {
    const { mean, sd } = moments(
      firsts(
        known({ mean: 0, sd: 1 }, (x) => -2 * Math.abs(x)),
        'pointed',
      ),
    );
    expect(Math.abs(mean)).toBeLessThan(0.1);
    expect(Math.abs(sd - Math.SQRT1_2)).toBeLessThan(0.1);
  });

  it('are reproducible, as many as asked for, and none for none', () => {
    const posterior = known({ mean: 0, sd: 1 }, (x) => -(x * x) / 2);
    expect(firsts(posterior, 'same')).toEqual(firsts(posterior, 'same'));
    expect(drawFrom(posterior, 7, createRandom('seven'))).toHaveLength(7);
    expect(drawFrom(posterior, 0, createRandom('none'))).toEqual([]);
  });

  it('learn from a liked cup what its gradient hides: it cannot lie far from the wanted one', () => {
    // Overall alone, as good as a cup gets: at its peak the gradient is zero, so the Gaussian keeps most of the prior's width.
    const shots = [0, 1, 2].map(() => everydayShot({ timeSeconds: 28, taste: { overall: 8.5, sweetness: 7.5 } }));
    const problem = problemOf({ shots });
    const posterior = infer(problem);
    const drawn = drawFrom(posterior, COUNT, createRandom('liked'));
    const spread = moments(drawn.map((theta) => theta[P.balanceAtCentre]!)).sd;
    expect(spread).toBeLessThan(0.8 * Math.sqrt(posterior.covariance.get(P.balanceAtCentre, P.balanceAtCentre)));
  });
});

describe('weights', () => {
  const even = new Float64Array(1000);
  it('count every voice where all are equal, and one where one drowns the rest', () => {
    expect(voicesOf(temper(even))).toBeCloseTo(1000, 9);
    expect(voicesOf(Float64Array.from([1, 0, 0]))).toBe(1);
  });

  it('are left alone where there are voices enough', () => {
    const logs = even.map((_, i) => (i % 2 === 0 ? 0 : -2));
    expect([...temper(logs)]).toEqual([...logs].map((log) => Math.exp(log)));
  });

  it('are flattened where a few would speak for all, without changing who is likelier', () => {
    const logs = even.map((_, i) => -0.5 * i);
    const weights = temper(logs);
    expect(voicesOf(weights)).toBeGreaterThan(29);
    expect(voicesOf(weights)).toBeLessThan(40);
    for (let i = 1; i < weights.length; i += 1) expect(weights[i]!).toBeLessThanOrEqual(weights[i - 1]!);
  });
});
