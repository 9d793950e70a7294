import { pastedInWords, readPasted } from './pasted';

describe('pasted lines', () => {
  it('are read one by one, each with its hour or without', () => {
    const lines = readPasted('08:12 18 > 36 in 28\n\n  9:05 18.1 > 17+17.5 in 29 check\r\n28s sour\n');
    expect(lines.map(({ number, hour, problem }) => [number, hour, problem])).toEqual([
      [1, '08:12', null],
      [3, '09:05', null],
      [4, null, null],
    ]);
    expect(lines.map(pastedInWords)).toEqual([
      '08:12 · 18 g → 36 g · 28 s',
      '09:05 · check shot · 18.1 g → 17 + 17.5 g · 29 s',
      'hour unknown · 28 s · sour',
    ]);
    expect(lines[0]!.line).toMatchObject({ hour: '08:12', doseGrams: 18 });
  });

  it('say what is wrong with which of them', () => {
    const problems = readPasted('18 > 36 in 28 splendid\n180 > 36\nand with\n0:29 18 36').map(({ problem }) => problem);
    expect(problems).toEqual([
      '“splendid” is not a word I know here',
      '“180”: expected a dose of 1–60 g',
      'says nothing of a shot',
      null,
    ]);
  });
});
