import { CARE_CODES, careDue, careTask } from '.';

const NOTHING = { days: 0, shots: 0, kg: 0 };
const PACE = { shots: 50, kg: 1 };

describe('when care is due', () => {
  it.each([
    ['days alone', { days: 7 }, { days: 7 }, true, 0],
    ['days, one to go', { days: 7 }, { days: 6 }, false, 1],
    ['shots before days', { days: 7, shots: 500 }, { days: 2, shots: 500 }, true, 0],
    ['the sooner of the two at this pace', { days: 7, shots: 500 }, { days: 2, shots: 400 }, false, 2],
    ['kilograms', { kg: 400 }, { kg: 390 }, false, 10],
    ['half a day is a day', { shots: 75 }, { shots: 0 }, false, 2],
  ])('%s', (_name, every, since, isDue, inDays) => {
    expect(careDue(every, { ...NOTHING, ...since }, PACE)).toMatchObject({ isDue, inDays });
  });

  it('is never due where nobody set how often', () => {
    expect(careDue({}, { days: 999, shots: 9e5, kg: 9e4 }, PACE)).toEqual({ share: null, isDue: false, inDays: null });
  });

  it('knows no day where no coffee runs', () => {
    const still = { shots: 0, kg: 0 };
    expect(careDue({ shots: 500 }, { ...NOTHING, shots: 10 }, still).inDays).toBeNull();
    expect(careDue({ shots: 500, days: 7 }, { ...NOTHING, days: 3 }, still).inDays).toBe(4);
  });

  it('comes with its steps and a caution, whichever the task', () => {
    for (const code of CARE_CODES) {
      const { steps, cautions, every, when } = careTask(code);
      expect(steps.length).toBeGreaterThan(1);
      expect(cautions.length).toBeGreaterThan(0);
      expect(Object.keys(every).length > 0 || when).toBeTruthy();
    }
  });
});
