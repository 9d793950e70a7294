import { sheetView } from '../../testing/sheet.fixture';
import { runStart } from './openRun';

const { station, coffee, grinder, run } = sheetView();
const startedAt = '2026-03-01T06:41:00.000Z';
const start = (change: object = {}) =>
  runStart({ station: { ...station, grind: 14 }, coffee, grinder, foundDose: null, startedAt, ...change });
const dose = { id: 'dose', basketId: 'basket', coffeeId: 'coffee', toleranceGrams: 0.2, how: 'coin' as const };
const found = (grams: number, foundAt: string) => ({ ...dose, ...run, grams, foundAt }) as never;

describe('opening a dial-in', () => {
  it('takes the station as it stands, with a budget', () => {
    expect(start()).toMatchObject({ startGrind: 14, status: 'open', target: station.target, budgetShots: 6 });
    expect(start({ start: { grind: 12.5, sd: 0.4 } })).toMatchObject({ startGrind: 12.5, startSd: 0.4 });
  });

  it('says what the coffee is wanted for in the words it was wished in', () => {
    expect(start().goal).toBe('');
    const { goal, target } = start({ coffee: { ...coffee, flavourGoal: 'bright', bodyGoal: null } });
    expect(goal).toBe('bright, with clear acidity');
    expect(target.balance).toBeLessThan(station.target.balance);
  });

  it('allows fewer shots when grinder and coffee are known', () => {
    const learnedSlope = { mean: 0.08, sd: 0.01, shots: 40 };
    const learnedTaste = {
      balance: { mean: 0, sd: 1 },
      body: { mean: 0, sd: 1 },
      ratio: 2,
      middleSeconds: 30,
    } as never;
    const known = start({ grinder: { ...grinder, learnedSlope }, coffee: { ...coffee, learnedTaste } });
    expect(known.budgetShots).toBe(4);
    expect(known.budgetGrams!).toBeLessThan(start().budgetGrams!);
  });

  it('aims at what its coffee is wanted for', () => {
    const aim = start({ coffee: { ...coffee, flavourGoal: 'bright', bodyGoal: 'light' } }).target;
    expect(aim.balance).toBeLessThan(0);
    expect(aim.body).toBeLessThan(0);
  });

  it('aims stronger at a coffee drunk with milk, where nobody aimed the station at anything', () => {
    const milk = { coffee: { ...coffee, drunkAs: 'milk' as const, flavourGoal: null, bodyGoal: null } };
    expect(start(milk).target.body).toBeGreaterThan(0);
    const aimed = { ...station, grind: 14, target: { ...station.target, body: -0.5 } };
    expect(start({ ...milk, station: aimed }).target.body).toBe(-0.5);
  });

  it('takes a dose found since the aim was set, yield in ratio, and no older one', () => {
    const after = start({ foundDose: found(17, '2099-01-01T00:00:00.000Z') }).target;
    expect(after).toMatchObject({ doseGrams: 17, yieldGrams: 34 });
    expect(start({ foundDose: found(17, '2020-01-01T00:00:00.000Z') }).target.doseGrams).toBe(18);
  });
});
