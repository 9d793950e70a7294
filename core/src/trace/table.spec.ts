import { tableOfTrace, traceFromTable } from './table';

describe('a trace as a table', () => {
  it('is read back as it was written', () => {
    const trace = {
      columns: ['seconds' as const, 'grams' as const],
      rows: [
        [-1, 0],
        [0.05, null],
        [0.1, 1.5],
      ],
      marks: [],
    };
    expect(traceFromTable(tableOfTrace(trace))).toEqual({ trace, rows: 3, errors: [] });
  });

  it('takes columns in any order, decimal commas and empty lines', () => {
    const { trace } = traceFromTable([
      ['Grams', ' seconds'],
      ['1,5', '0'],
      ['', ''],
      ['2', '1'],
    ]);
    expect(trace).toMatchObject({
      columns: ['seconds', 'grams'],
      rows: [
        [0, 1.5],
        [1, 2],
      ],
    });
  });

  it('says what is wrong with which line, and then has no trace', () => {
    const { trace, errors } = traceFromTable([
      ['seconds', 'grams'],
      ['0', '1'],
      ['x', '1'],
      ['2', 'lots'],
      ['', '3'],
      ['1', '1'],
      ['0.5', '1'],
    ]);
    expect(trace).toBeNull();
    expect(errors.map(({ line }) => line)).toEqual([3, 4, 5, 7]);
    expect(errors[3]!.message).toContain('back in time');
  });

  it.each([
    ['no seconds', [['grams'], ['1']]],
    [
      'a strange column',
      [
        ['seconds', 'joy'],
        ['1', '2'],
      ],
    ],
    [
      'a column twice',
      [
        ['seconds', 'seconds'],
        ['1', '2'],
      ],
    ],
    ['no rows', [['seconds', 'grams']]],
    ['nothing at all', []],
  ])('is refused with %s', (_what, cells) => {
    const { trace, errors } = traceFromTable(cells);
    expect(trace).toBeNull();
    expect(errors[0]!.line).toBe(1);
  });

  it('names the line of an impossible figure', () => {
    const { errors } = traceFromTable([
      ['seconds', 'grams'],
      ['0', '1'],
      ['1', '1e9'],
    ]);
    expect(errors).toEqual([{ line: 3, message: expect.stringContaining('grams must be between') }]);
  });
});
