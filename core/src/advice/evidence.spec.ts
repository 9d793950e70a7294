import { everydayRequest, everydayShot } from './advice.fixture';
import { isSurprising, readEvidence } from './evidence';
import { infer } from './infer';
import { timeSd } from './readings';
import { beliefOf, geometryOf, predict } from './model';
import { readProblem } from './problem';
import { adviceRequestSchema, type AdviceRequest } from './request';

type Shots = AdviceRequest['shots'];
const problemOf = (shots: Shots) => readProblem(adviceRequestSchema.parse(everydayRequest({ shots })));
const evidenceOf = (shots: Shots) => {
  const problem = problemOf(shots);
  return readEvidence(problem, infer(problem))!;
};

describe('surprise', () => {
  it.each([
    ['at settings pulled before', [28, 28.6, 27.5, 31], 14],
    ['after a move of the grind', [22, 24, 23.2, 29.5], 12],
  ])('in closed form is what leaving the shot out by a second inference says: %s', (_, times, lastGrind) => {
    const shots = times.map((timeSeconds, i) =>
      everydayShot({ timeSeconds, grind: i === times.length - 1 ? lastGrind : 14, taste: null }),
    );
    const { surprise } = evidenceOf(shots);
    const problem = problemOf(shots);
    const without = infer(problem, problem.pours.slice(0, -1));
    const shot = predict(
      beliefOf(without.mean, without.frame),
      without.frame,
      geometryOf(without.frame, problem.pours.at(-1)!.measured),
    );
    // Linear in the parameters the two would be equal; the model bends a little.
    expect(Math.abs(surprise!.expectedSeconds - shot.timeSeconds)).toBeLessThan(0.6 * timeSd(shot.puckSeconds));
  });

  it('needs two earlier times to be surprised against', () => {
    expect(evidenceOf([everydayShot(), everydayShot({ timeSeconds: 12 })]).surprise).toBeNull();
    expect(evidenceOf([everydayShot(), everydayShot(), everydayShot({ timeSeconds: null })]).surprise).toBeNull();
  });

  it('grows with the distance, on either side', () => {
    const sigmas = (last: number) =>
      evidenceOf([28, 28, 28, last].map((timeSeconds) => everydayShot({ timeSeconds }))).surprise!.sigmas;
    expect([20, 24, 28, 32, 36].map(sigmas)).toEqual([20, 24, 28, 32, 36].map(sigmas).sort((a, b) => a - b));
    expect(Math.abs(sigmas(28))).toBeLessThan(0.5);
    expect(isSurprising(evidenceOf([28, 28, 28, 19].map((timeSeconds) => everydayShot({ timeSeconds }))))).toBe(true);
  });
});

describe('what a practised eye reads from the run', () => {
  it('is nothing before the first shot', () => {
    const problem = problemOf([]);
    expect(readEvidence(problem, infer(problem))).toBeNull();
  });

  it('is a lever turned to and fro twice, whatever the scale’s direction', () => {
    const grinds = (...values: number[]) => evidenceOf(values.map((grind) => everydayShot({ grind }))).circling;
    expect(grinds(14, 13, 14)).toEqual([]);
    expect(grinds(14, 13, 14, 13)).toEqual(['grind']);
    expect(grinds(14, 13, 12, 13, 14)).toEqual([]);
  });

  it('tells apart a channel seen once, seen twice, and a cup sour and harsh at once', () => {
    const spurting = everydayShot({ seen: ['spurts'] });
    expect(evidenceOf([everydayShot(), spurting])).toMatchObject({ spoilt: 'channels', spoiltInARow: 1 });
    expect(evidenceOf([spurting, spurting])).toMatchObject({ spoilt: 'channels', spoiltInARow: 2 });
    const harsh = everydayShot({ taste: { balance: -1.5, dryness: 2 } });
    expect(evidenceOf([harsh]).spoilt).toBe('harsh-and-sour');
    expect(evidenceOf([everydayShot({ taste: { balance: 1.5, dryness: 2 } })]).spoilt).toBeNull();
  });

  it('counts the shots at the last settings as planned, not as a hand missed them', () => {
    const planned = { doseGrams: 18, yieldGrams: 36 };
    const shots = [
      everydayShot({ doseGrams: 18.2, yieldGrams: 37.1, planned }),
      everydayShot({ yieldGrams: 35.2, planned }),
    ];
    expect(evidenceOf(shots).sameSettings).toHaveLength(2);
  });

  it('knows an unpurged change from an unpurged repeat', () => {
    expect(evidenceOf([everydayShot(), everydayShot({ grind: 12, purged: false })]).unpurged).toBe(true);
    expect(evidenceOf([everydayShot(), everydayShot({ purged: false })]).unpurged).toBe(false);
  });
});
