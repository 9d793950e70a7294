import { countedInWords } from './happenedWords';
import { hereNow, lastHere } from './lastHere';

describe('since you were last here', () => {
  it('counts what happened by its kind', () => {
    const kinds = (...of: Parameters<typeof countedInWords>[0][number]['kind'][]) => of.map((kind) => ({ kind }));
    expect(countedInWords(kinds('turned', 'bag', 'turned'))).toBe('2 turns of the grind, 1 new bag');
    expect(countedInWords([])).toBe('');
  });

  it('remembers each person at this tablet, and not more people than a bar has', () => {
    expect(lastHere('Oda')).toBeNull();
    hereNow('Oda', 5);
    hereNow('Bram', 9);
    expect([lastHere('Oda'), lastHere('Bram')]).toEqual([5, 9]);
    for (let i = 0; i < 60; i += 1) hereNow(`guest ${i}`, 100 + i);
    expect([lastHere('Oda'), lastHere('guest 59')]).toEqual([null, 159]);
    localStorage.setItem('olvet.lastHere', '{broken');
    expect(lastHere('Oda')).toBeNull();
  });
});
