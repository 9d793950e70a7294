import { hoursOfDay } from './hoursOfDay';
import { moveInWords } from './DayMove';

const shop = { timeZone: 'UTC', firstHour: 4 };
const at = (clock: string): number => Date.parse(`2026-03-02T${clock}:00Z`);

describe('the hours of a day’s strip', () => {
  it('hold every shot between full hours, and are never too many to read', () => {
    const { x, hours } = hoursOfDay([at('07:10'), at('18:40')], shop);
    expect(x(at('07:10'))).toBeGreaterThan(0);
    expect(x(at('18:40'))).toBeLessThan(100);
    expect(hours.length).toBeLessThanOrEqual(5);
    expect(hours[0]!.word).toBe('07:00');
  });

  it('leave room on a day that has just begun', () => {
    const { x } = hoursOfDay([at('07:10')], shop);
    expect(x(at('07:10'))).toBeLessThan(10);
  });
});

describe('a move in words', () => {
  const move = (from: number, to: number, grindSeconds: number | null = null) => ({
    ...{ grind: { from, to }, grindSeconds, purgeGrams: 12 },
    expectSeconds: { mean: 30, p10: 28, p90: 32 },
  });

  it('says the way by the grinder’s own scale', () => {
    expect(moveInWords(move(12, 11.5), 'lower')).toBe('Finer 0.5, to 11.5');
    expect(moveInWords(move(12, 11.5), 'higher')).toBe('Coarser 0.5, to 11.5');
    expect(moveInWords(move(12, 12.5, 4.94), 'lower')).toBe('Coarser 0.5, to 12.5, grind 4.9 s');
  });
});
