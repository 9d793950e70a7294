import fc from 'fast-check';
import { slopesOf } from './gradients';
import { everydayShot, problemOf } from '../advice/advice.fixture';
import { infer, slopeOf } from './infer';
import { OVERALL, SWEETNESS } from './likingScale';
import { beliefOf, frameOf, geometryOf, liking, likingSlopes, predict } from './model';
import { P, PARAMETERS } from './parameters';
import { priorFor } from './prior';
import { TASTE_SD } from './readings';
import type { AdviceRequest } from '../contract/request';

describe('gradients', () => {
  const problem = problemOf({});
  const frame = frameOf(problem);
  const prior = priorFor(problem);
  const nearby = fc
    .array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: PARAMETERS, maxLength: PARAMETERS })
    .map((z) => Float64Array.from(prior.mean, (mean, i) => mean + z[i]! * prior.sd[i]!));
  const settings = fc.record({
    grind: fc.double({ min: 11, max: 17, noNaN: true }),
    doseGrams: fc.double({ min: 17, max: 19, noNaN: true }),
    yieldGrams: fc.double({ min: 28, max: 46, noNaN: true }),
    temperatureC: fc.double({ min: 90, max: 96, noNaN: true }),
  });

  it('agree with finite differences of the forward model', () => {
    fc.assert(
      fc.property(nearby, settings, (theta, at) => {
        const geometry = geometryOf(frame, at);
        const foresee = (t: Float64Array) => predict(beliefOf(t, frame), frame, geometry);
        const shot = foresee(theta);
        const slopes = slopesOf(beliefOf(theta, frame), frame, geometry, frame.clock, shot);
        for (let i = 0; i < PARAMETERS; i += 1) {
          const nudged = Float64Array.from(theta);
          nudged[i]! += 1e-6;
          const there = foresee(nudged);
          for (const name of ['timeSeconds', 'firstDripSeconds', 'balance', 'body'] as const) {
            const numeric = (there[name] - shot[name]) / 1e-6;
            expect(Math.abs(slopes[name][i]! - numeric)).toBeLessThan(1e-3 * (1 + Math.abs(numeric)));
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('agree for overall and sweetness too', () => {
    const cup = { balance: -1.2, body: 0.7 };
    const wanted = { balance: 0, body: 0 };
    for (const scale of [OVERALL, SWEETNESS]) {
      const belief = beliefOf(prior.mean, frame);
      const at = liking(scale, belief, cup, wanted);
      const { byBalance, byBody } = likingSlopes(scale, belief, cup, wanted);
      const sour = liking(scale, belief, { ...cup, balance: cup.balance + 1e-6 }, wanted);
      const thick = liking(scale, belief, { ...cup, body: cup.body + 1e-6 }, wanted);
      expect((sour - at) / 1e-6).toBeCloseTo(byBalance, 4);
      expect((thick - at) / 1e-6).toBeCloseTo(byBody, 4);
    }
  });
});

describe('infer', () => {
  it('is the prior before any shot', () => {
    const problem = problemOf({});
    const prior = priorFor(problem);
    const posterior = infer(problem);
    expect([...posterior.mean]).toEqual([...prior.mean]);
    for (let i = 0; i < PARAMETERS; i += 1) {
      expect(Math.sqrt(posterior.covariance.get(i, i))).toBeCloseTo(prior.sd[i]!, 9);
    }
  });

  it('meets the conjugate closed form where the model is linear: body at the centre, near-normal tails', () => {
    // Only body is tasted, at the reference settings, twice: y = m₀ + m₁·x, with x unknown but untouched by body alone
    // up to its own small share. The closed form: precision-weighted mean with variance s² = σ² + var(m₁·x).
    const body = 0.2;
    const shots = [0, 1].map(() => everydayShot({ timeSeconds: null, taste: { body } }));
    const problem = problemOf({ shots });
    const prior = priorFor(problem);
    const posterior = infer(problem);
    const spreadOfX = prior.mean[P.bodyGrind]! * prior.sd[P.logPuck]!;
    const rest = body - prior.mean[P.bodyAtCentre]!;
    // Both readings share x: variance of their mean is σ²/2 + var(m₁x).
    const noise = TASTE_SD ** 2 / 2 / (7 / 6);
    const gain = prior.sd[P.bodyAtCentre]! ** 2 / (prior.sd[P.bodyAtCentre]! ** 2 + spreadOfX ** 2 + noise);
    expect(posterior.mean[P.bodyAtCentre]! - prior.mean[P.bodyAtCentre]!).toBeCloseTo(gain * rest, 1);
    expect(posterior.converged).toBe(true);
  });

  it('brings the spread of the slope down with every change of grind it sees', () => {
    const times = [20, 24, 29, 26];
    const spreads = [1, 2, 3, 4].map((count) => {
      const shots = times.slice(0, count).map((timeSeconds, i) => everydayShot({ timeSeconds, grind: 16 - i }));
      return slopeOf(infer(problemOf({ shots }))).sd;
    });
    expect(spreads[1]!).toBeLessThan(spreads[0]!);
    expect(spreads[3]!).toBeLessThan(spreads[1]!);
  });

  it('recovers a slope from a long clean history', () => {
    const shots = Array.from({ length: 20 }, (_, i) => {
      const grind = 10 + (i % 5) * 2;
      return everydayShot({ grind, timeSeconds: 28 * Math.exp(-0.06 * (grind - 14)), taste: null });
    });
    const slope = slopeOf(infer(problemOf({ shots })));
    expect(Math.abs(slope.mean - 0.06)).toBeLessThan(0.012);
  });

  it('lets one wild shot in a long series count for little', () => {
    const steady = Array.from({ length: 8 }, () => everydayShot({ timeSeconds: 28, taste: null }));
    const logPuck = (shots: AdviceRequest['shots']) => infer(problemOf({ shots })).mean[P.logPuck]!;
    const wild = logPuck([...steady, everydayShot({ timeSeconds: 12, taste: null })]);
    const mild = logPuck([...steady, everydayShot({ timeSeconds: 26.5, taste: null })]);
    expect(Math.abs(wild - logPuck(steady))).toBeLessThan(2 * Math.abs(mild - logPuck(steady)) + 0.01);
  });

  it.each([
    ['one shot of three seconds', [everydayShot({ timeSeconds: 3 })]],
    ['forty identical shots', Array.from({ length: 40 }, () => everydayShot())],
    ['contradictory tastes', [-3, 3, -3, 3, -3].map((balance) => everydayShot({ taste: { balance, body: -balance } }))],
    ['a shot of five minutes', [everydayShot({ timeSeconds: 300 })]],
  ])('stays finite on %s', (_, shots) => {
    const { mean, covariance } = infer(problemOf({ shots }));
    expect([...mean].every(Number.isFinite)).toBe(true);
    for (let i = 0; i < PARAMETERS; i += 1) expect(covariance.get(i, i)).toBeGreaterThan(0);
  });
});
