import { streamOf } from '../index';

describe('the stream of a shot', () => {
  it('begins with its first drop, and is as thick as it flows', () => {
    // Seven dry seconds, then 2 g/s.
    const line = [...Array<number>(7).fill(0), ...Array.from({ length: 19 }, (_, i) => 2 * i)];
    const stream = streamOf(line)!;
    expect(stream).toMatchObject({ firstDripSeconds: 8, tenGramsSeconds: 12, endSeconds: 25, grams: 36 });
    expect(stream.flow[15]).toBeCloseTo(2);
    expect(stream.flow[3]).toBe(0);
  });

  it('bridges what nobody read, and never runs backwards', () => {
    const stream = streamOf([0, 0, null, 4, 3, null, 9])!;
    expect(stream).toMatchObject({ firstDripSeconds: 3, tenGramsSeconds: null, endSeconds: 6, grams: 9 });
    expect(Math.min(...stream.flow)).toBeGreaterThanOrEqual(0);
  });

  it('is none where nothing ran', () => {
    expect([streamOf([]), streamOf([0, 0, null]), streamOf([null])]).toEqual([null, null, null]);
  });
});
