import { shotView, sheetView } from '../../testing/sheet.fixture';
import { gramsUsed } from './gramsUsed';
import { changeDirection, isMissed, nudge, plannedOf, scaleOf } from './settings';

const settings = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };

describe('the next shot by steps', () => {
  it('moves by the equipment’s own step and stops at its end', () => {
    const sheet = sheetView();
    expect(nudge(sheet, settings, 'grind', -1).grind).toBe(13.5);
    expect(nudge(sheet, settings, 'temperatureC', 1).temperatureC).toBe(93.5);
    expect(nudge(sheet, settings, 'doseGrams', 1).doseGrams).toBe(18.1);
    expect(nudge(sheet, settings, 'yieldGrams', 1).yieldGrams).toBe(37);
    expect(nudge(sheet, { ...settings, grind: 0 }, 'grind', -1).grind).toBe(0);
    expect(nudge(sheet, { ...settings, doseGrams: 20 }, 'doseGrams', 1).doseGrams).toBe(20);
  });

  it('steps a yield that is not a whole gram by a gram', () => {
    expect(nudge(sheetView(), { ...settings, yieldGrams: 37.1 }, 'yieldGrams', 1).yieldGrams).toBe(38.1);
  });

  it('divides a stepless collar into hundredths', () => {
    const stepless = sheetView([], { grinder: { ...sheetView().grinder, step: 0, max: 12 } });
    expect(nudge(stepless, { ...settings, grind: 6 }, 'grind', 1).grind).toBeCloseTo(6.12, 9);
    expect(scaleOf(stepless, 'grind')).toEqual({ min: 0, max: 12, step: 0 });
  });

  it('points the wedge up for coarser, whichever way the collar is numbered', () => {
    const lower = sheetView();
    const higher = sheetView([], { grinder: { ...lower.grinder, finer: 'higher' } });
    expect(changeDirection(lower, 'grind', 14, 12)).toBe(-1);
    expect(changeDirection(higher, 'grind', 14, 12)).toBe(1);
    expect(changeDirection(higher, 'yieldGrams', 36, 38)).toBe(1);
    expect(changeDirection(lower, 'grind', 14, 14)).toBe(0);
  });
});

describe('what a shot was aimed at', () => {
  it('is worth seeing where the hand missed it by more than it usually does', () => {
    const planned = { doseGrams: 18, yieldGrams: 38 };
    const poured = (doseGrams: number | null, yieldGrams: number | null) =>
      (['grind', 'doseGrams', 'yieldGrams'] as const).map((variable) =>
        isMissed(shotView('a', { planned, doseGrams, yieldGrams }), variable),
      );
    expect(poured(18.2, 37)).toEqual([false, false, false]);
    expect(poured(17.7, 36)).toEqual([false, true, true]);
    expect(poured(null, null)).toEqual([false, false, false]);
  });

  it('is its plan, or what was measured where no plan was kept', () => {
    const shot = shotView('a', { planned: { grind: 13 }, doseGrams: 17.8 });
    expect(plannedOf(shot)).toEqual({ grind: 13, doseGrams: 17.8, yieldGrams: 36, temperatureC: 93 });
  });
});

describe('coffee used', () => {
  it('counts doses, and a purge for each purged change of grind', () => {
    const at = (grind: number) => ({ grind, planned: { grind, doseGrams: 18, yieldGrams: 36, temperatureC: 93 } });
    const shots = [
      shotView('a', at(14)),
      shotView('b', at(12)),
      shotView('c', at(12)),
      shotView('d', { ...at(11), purged: false }),
    ];
    expect(gramsUsed(sheetView(shots))).toBe(4 * 18 + 12);
  });
});
