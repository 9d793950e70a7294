import { guessMatch } from './match';

describe('what a file of another house most likely says', () => {
  it.each([
    [
      ['Date', 'Beans', 'Grinder setting', 'Dose in (g)', 'Yield (g)', 'Shot time', 'Rating', 'Notes', 'Weather'],
      ['pulled_at', 'coffee', 'grind', 'dose_g', 'yield_g', 'time_s', 'overall', 'note', null],
    ],
    [
      ['Datum', 'Bohne', 'Mahlgrad', 'Dosis', 'Ertrag', 'Zeit'],
      ['pulled_at', 'coffee', 'grind', 'dose_g', 'yield_g', 'time_s'],
    ],
  ])('by its headings: %j', (headers, columns) => {
    expect(guessMatch('shots', headers, []).columns).toEqual(columns);
  });

  it.each([
    ['2026-02-03', '18.1', { dates: 'ymd', decimal: '.' }],
    ['03.02.2026', '18,1', { dates: 'dmy', decimal: ',' }],
    ['23/02/2026', '18,1 g', { dates: 'dmy', decimal: ',' }],
    ['02/23/2026', '18', { dates: 'mdy', decimal: '.' }],
    ['02/03/2026', '1,200', { dates: 'mdy', decimal: '.' }],
  ])('by its cells: %s and %s', (date, dose, expected) => {
    expect(guessMatch('shots', ['Date', 'Dose'], [[date, dose]])).toMatchObject(expected);
  });
});
