import { stationState } from '../index';

const windowSeconds = { min: 27, max: 33 };
const state = (timesSeconds: number[], change: { pulledToday?: boolean; runOpen?: boolean } = {}) =>
  stationState({ timesSeconds, windowSeconds, pulledToday: true, runOpen: false, ...change });

describe('stationState', () => {
  it.each([
    [[29, 30, 31], 'dialled'],
    [[30, 29, 22], 'dialled'],
    [[26, 25.5, 25], 'drifting-fast'],
    [[34, 33.5, 35], 'drifting-slow'],
    [[31, 20, 21], 'dialled'],
    [[27.2, 21, 27.1], 'dialled'],
    [[26.5, 21, 28], 'drifting-fast'],
    [[], 'unknown'],
  ])('%p → %s', (times, expected) => expect(state(times)).toBe(expected));

  it('says unknown before the first shot of the day, and dialling in while a run is open', () => {
    expect(state([29, 30, 31], { pulledToday: false })).toBe('unknown');
    expect(state([20, 20, 20], { runOpen: true })).toBe('dialling-in');
  });
});
