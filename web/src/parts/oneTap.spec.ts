import { oneTap } from './oneTap';

it('counts the first of two quick taps, and the next one later', () => {
  let now = 0;
  const done: string[] = [];
  const tap = oneTap(() => now);
  for (const [at, what] of [
    [0, 'first'],
    [300, 'double'],
    [800, 'later'],
  ] as const) {
    now = at;
    tap(() => done.push(what));
  }
  expect(done).toEqual(['first', 'later']);
});
