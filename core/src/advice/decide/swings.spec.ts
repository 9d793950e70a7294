import { everydayShot, problemOf } from '../advice.fixture';
import type { Settings } from '../../contract/answer';
import type { PlanStage } from './plan';
import type { AdviceRequest } from '../../contract/request';
import { withoutSwings } from './swings';

type Shot = AdviceRequest['shots'][number];

const right = { balance: 0, body: 0, dryness: 0 };
const sour = { balance: -2, body: 0, dryness: 0 };
const at = (grind: number, timeSeconds: number, more: Shot = {}) =>
  everydayShot({ grind, timeSeconds, taste: right, ...more });
const here: Settings = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };

/** Which of these next settings are left when the shots before are looked at. */
function left(shots: Shot[], next: Partial<Settings>[], stage: PlanStage = 'window'): Partial<Settings>[] {
  const problem = problemOf({ shots });
  const choices = next.map((change) => ({
    change,
    move: { lever: null, coupled: false, settings: { ...here, ...change } },
  }));
  return withoutSwings(problem, stage, here, choices).map(({ change }) => change);
}
const grinds = [11, 12, 13, 15].map((grind) => ({ grind }));

describe('step, half step, stop', () => {
  it('goes back as far as what poured in the window, not beyond, and leaves the other way open', () => {
    expect(left([at(12, 28), at(14, 20)], grinds)).toEqual([{ grind: 12 }, { grind: 13 }, { grind: 15 }]);
  });

  it('takes the shots at the same settings together', () => {
    expect(left([at(12, 24.5), at(12, 26.5), at(14, 20)], grinds)).not.toContainEqual({ grind: 11 });
    expect(left([at(12, 24), at(12, 25.5), at(14, 20)], grinds)).toEqual(grinds);
  });

  it('learns nothing of where to stop from old grounds, a channel, or a shot nobody timed', () => {
    for (const spoilt of [{ purged: false }, { seen: ['spurts' as const] }, { timeSeconds: null }]) {
      expect(left([at(15, 20), at(12, 28, spoilt), at(14, 20)], grinds)).toEqual(grinds);
    }
  });

  it('asks of a matter of taste that the cup was right, too', () => {
    expect(left([at(12, 28, { taste: sour }), at(14, 26)], grinds, 'taste')).toEqual(grinds);
    expect(left([at(12, 28), at(14, 26)], grinds, 'taste')).not.toContainEqual({ grind: 11 });
    expect(left([at(12, 28, { taste: sour }), at(14, 20)], grinds, 'window')).not.toContainEqual({ grind: 11 });
  });

  it('brings no good cup back into the window where the cup was called off there, but between, or past one on this side of it', () => {
    expect(left([at(12, 28, { taste: sour }), at(14, 24)], grinds)).toEqual([{ grind: 13 }, { grind: 15 }]);
    expect(left([at(12, 28, { taste: sour }), at(14, 24, { taste: sour })], grinds)).toContainEqual({ grind: 12 });
    expect(left([at(12, 22, { taste: sour }), at(14, 20)], grinds)).toEqual(grinds);
  });

  it('compares along one lever only', () => {
    const planned = { doseGrams: 18, yieldGrams: 40 };
    expect(left([at(12, 28, { planned, yieldGrams: 40 }), at(14, 20)], grinds)).toEqual(grinds);
    const yields = [{ yieldGrams: 38 }, { yieldGrams: 42 }];
    expect(left([at(14, 28, { planned, yieldGrams: 40 }), at(14, 20)], yields)).toEqual([{ yieldGrams: 38 }]);
    expect(left([at(12, 28), at(14, 20)], yields)).toEqual(yields);
  });

  it('never takes away the last way out', () => {
    expect(left([at(12, 28), at(14, 20)], [{ grind: 11 }])).toEqual([{ grind: 11 }]);
  });

  it('comes not as far back as what was off the other way: what is wanted lies between', () => {
    const bitter = { balance: 2, body: 0, dryness: 0 };
    const seconds = [12, 12.5, 13].map((grind) => ({ grind }));
    // Too fast at 14, too slow at 12.
    expect(left([at(12, 36), at(14, 20)], seconds)).toEqual([{ grind: 12.5 }, { grind: 13 }]);
    expect(left([at(12, 36), at(14, 28)], seconds)).toEqual(seconds);
    // Sour at 14, plainly bitter at 12, or choked there.
    const here = at(14, 28, { taste: sour });
    expect(left([at(12, 30, { taste: bitter }), here], seconds, 'taste')).toEqual([{ grind: 12.5 }, { grind: 13 }]);
    expect(left([at(12, 40, { taste: sour }), here], seconds, 'taste')).not.toContainEqual({ grind: 12 });
    expect(left([at(12, 30, { taste: { ...bitter, balance: 0.5 } }), here], seconds, 'taste')).toContainEqual({
      grind: 12,
    });
  });
});
