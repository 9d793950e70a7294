import { countedInWords } from './happenedWords';
import { comeBack } from './lastHere';

const HOUR = 3600_000;

describe('since you were last here', () => {
  it('counts what happened by its kind', () => {
    const kinds = (...of: Parameters<typeof countedInWords>[0][number]['kind'][]) => of.map((kind) => ({ kind }));
    expect(countedInWords(kinds('turned', 'bag', 'turned'))).toBe('2 turns of the grind, 1 new bag');
    expect(countedInWords([])).toBe('');
  });

  it('is told to whoever was away for long, once, and each person by themselves', () => {
    expect(comeBack('Oda', HOUR)).toBeNull();
    expect(comeBack('Oda', 3 * HOUR)).toBeNull();
    expect(comeBack('Oda', 7 * HOUR)).toBe(3 * HOUR);
    expect(comeBack('Oda', 7 * HOUR + 5000)).toBeNull();
    expect(comeBack('Bram', 8 * HOUR)).toBeNull();
  });

  it('does not remember more people than a bar has, nor breaks on what it cannot read', () => {
    comeBack('Oda', HOUR);
    for (let i = 0; i < 60; i += 1) comeBack(`guest ${i}`, 10 * HOUR + i);
    expect([comeBack('Oda', 20 * HOUR), comeBack('guest 59', 20 * HOUR)]).toEqual([null, 10 * HOUR + 59]);
    localStorage.setItem('olvet.lastHere', '{broken');
    expect(comeBack('Oda', 30 * HOUR)).toBeNull();
  });
});
