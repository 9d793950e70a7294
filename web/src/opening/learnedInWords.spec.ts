import type { LearnedHereView } from '../app/api';
import { learnedInWords } from './learnedInWords';

const here: LearnedHereView = {
  stationId: 'left',
  effects: [
    { name: 'humidity', mean: 0.0028, sd: 0.0013, days: 41 },
    { name: 'warmth', mean: 0.003, sd: 0.0015, days: 2 },
    { name: 'hour', mean: -0.003, sd: 0.001, days: 30 },
  ],
  forecasts: { hits: 31, mornings: 38 },
};

describe('what was learned here', () => {
  it('is said in seconds of the card, with its doubt and its days', () => {
    expect(learnedInWords(here, 30)).toBe(
      'Here 10 % more humidity has meant +0.9 s (±0.5, 41 days), four hours of service has meant −0.4 s (±0.2, 30 days). ' +
        'Forecasts held on 31 of 38 mornings.',
    );
    expect(learnedInWords(here, 30, ['warmth'])).toBe('Forecasts held on 31 of 38 mornings.');
  });

  it('is nothing where nothing was', () => {
    expect(learnedInWords({ ...here, effects: [], forecasts: { hits: 0, mornings: 0 } }, 30)).toBe('');
  });
});
