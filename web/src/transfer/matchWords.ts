import type { MatchColumn } from '@olvet/core';
import type { MatchDto } from '../app/api';

/** What a column of another house can be here, as people say it. */
export const COLUMN_WORDS: Readonly<Record<MatchColumn, string>> = {
  pulled_at: 'date and time',
  coffee: 'coffee',
  station: 'station',
  grind: 'grind',
  dose_g: 'dose, g',
  yield_g: 'yield, g',
  yield_ml: 'yield, ml',
  time_s: 'time, s',
  temperature_c: 'temperature, °C',
  first_drip_s: 'first drip, s',
  soak_s: 'soak, s',
  cover_s: 'covered, s',
  grind_s: 'grinding, s',
  tds_percent: 'TDS, %',
  balance: 'balance, −3 to 3',
  body: 'body, −3 to 3',
  dryness: 'dryness, 0 to 3',
  sweetness: 'sweetness, of 10',
  overall: 'mark, of 10',
  pulled_by: 'who pulled it',
  note: 'note',
  name: 'name',
  roaster: 'roaster',
  origin: 'origin',
  process: 'process',
  altitude_m: 'altitude, m',
  roast: 'roast',
  notes: 'notes',
  decaf: 'decaf',
};

export const DATE_WORDS: Readonly<Record<MatchDto['dates'], string>> = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
};
