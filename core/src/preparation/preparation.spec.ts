import {
  changedParts,
  comparePucks,
  createRandom,
  drawNormal,
  puckRecord,
  type Preparation,
  type PuckShot,
} from '../index';

const HAND: Preparation = { distribution: 'by-hand', levelling: 'none', tamp: 'by-hand', mist: 'no', tap: 'no' };
const shot = (change: Partial<PuckShot>): PuckShot => ({
  ...{ likeKey: 'a', timeSeconds: 28, isLooked: false, isUneven: false, ...change },
});
/** Shots of several days, each at its own time, scattered by the puck alone. */
function days(sd: number, count: number, seed: string): PuckShot[] {
  const random = createRandom(seed);
  return Array.from({ length: count }, (_, i) => {
    const [day, middle] = [Math.floor(i / 5), 24 + (Math.floor(i / 5) % 4) * 3];
    return shot({ likeKey: `day ${day}`, timeSeconds: middle * Math.exp(drawNormal(random, 0, sd)) });
  });
}

describe('a way of preparing', () => {
  it('differs from another in its parts', () => {
    expect(changedParts(HAND, HAND)).toEqual([]);
    expect(changedParts({ ...HAND, distribution: 'needles', tap: 'yes' }, HAND)).toEqual(['distribution', 'tap']);
  });

  it('spreads as its pucks do, whatever the days brought', () => {
    const { spread, freedom } = puckRecord(days(0.05, 400, 'wide'));
    expect(spread).toBeCloseTo(0.05, 2);
    expect(freedom).toBe(320);
  });

  it('says nothing from few alike', () => {
    expect(puckRecord([shot({}), shot({ likeKey: 'b' }), shot({ timeSeconds: null })])).toMatchObject({
      ...{ shots: 3, spread: null, freedom: 0 },
    });
  });

  it('counts uneven shots only among those looked at', () => {
    const shots = [shot({ isLooked: true }), shot({ isLooked: true, isUneven: true }), shot({ isUneven: true })];
    expect(puckRecord(shots)).toMatchObject({ looked: 2, uneven: 1 });
  });

  it('is steadier only where that is clear', () => {
    const [wide, close] = [puckRecord(days(0.06, 80, 'w')), puckRecord(days(0.03, 80, 'c'))];
    expect(comparePucks(close, wide)).toBe('steadier');
    expect(comparePucks(wide, close)).toBe('less-steady');
    expect(comparePucks(puckRecord(days(0.05, 20, 'x')), puckRecord(days(0.055, 20, 'y')))).toBe('alike');
    expect(comparePucks(close, puckRecord([]))).toBe('unknown');
  });

  it('seldom calls two alike different', () => {
    const pairs = Array.from({ length: 300 }, (_, i) =>
      comparePucks(puckRecord(days(0.05, 40, `p${i}`)), puckRecord(days(0.05, 40, `q${i}`))),
    );
    expect(pairs.filter((each) => each !== 'alike').length / 300).toBeLessThan(0.08);
  });
});
