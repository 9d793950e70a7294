import { type Roast } from '../brew/types';

/** What a file of another house can be read as. */
export const MATCH_TABLES = ['shots', 'coffees'] as const;
export type MatchTable = (typeof MATCH_TABLES)[number];
export const DELIMITERS = [',', ';', '\t', '|'] as const;
export const DECIMALS = ['.', ','] as const;
/** The order of a date's numbers. */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;

export const MATCH_TASTES = ['balance', 'body', 'dryness', 'sweetness', 'overall'] as const;

/** Columns that a column of another house can be, by the table it is read as; named as in this house's own files. */
export const MATCH_COLUMNS = {
  shots: [
    ...([
      'pulled_at',
      'coffee',
      'station',
      'grind',
      'dose_g',
      'yield_g',
      'yield_ml',
      'time_s',
      'temperature_c',
    ] as const),
    ...(['first_drip_s', 'soak_s', 'cover_s', 'grind_s', 'tds_percent', ...MATCH_TASTES, 'pulled_by', 'note'] as const),
  ],
  coffees: ['name', 'roaster', 'origin', 'process', 'altitude_m', 'roast', 'notes', 'decaf'],
} as const;
export type MatchColumn = (typeof MATCH_COLUMNS)[MatchTable][number];

/** How a file of another house is to be read. */
export interface Match {
  table: MatchTable;
  delimiter: (typeof DELIMITERS)[number];
  decimal: (typeof DECIMALS)[number];
  dates: (typeof DATE_ORDERS)[number];
  /** Column by column of the file: what it is here, null where it is left out. */
  columns: (string | null)[];
  /** Where its shots were pulled, for rows that do not say it themselves. */
  stationId: string | null;
  /** Coffees that are not on the shelf are put there with this roast; null refuses their rows. */
  newRoast: Roast | null;
}

/** Words that people head their columns with, in some of their languages; the first that fits is taken. */
const HEADINGS: Readonly<Record<MatchTable, readonly (readonly [MatchColumn, RegExp])[]>> = {
  shots: [
    ['first_drip_s', /first.?(drip|drop)|erste.?tropfen/],
    ['soak_s', /soak|pre.?(inf|brew)/],
    ['cover_s', /cover/],
    ['grind_s', /grind.*(sec|time|\(s\))|mahlzeit/],
    ['pulled_at', /date|datum|fecha|\bday\b|when|pulled|timestamp/],
    ['coffee', /coffee|bean|bohne|kaffee|caf[eé]/],
    ['station', /station|machine|maschine/],
    ['dose_g', /dose|dosis|\bin\b|einwaage/],
    ['yield_ml', /ml\b|millilit/],
    ['yield_g', /yield|ertrag|\bout\b|weight|auswaage|rendimiento/],
    ['time_s', /time|zeit|sec|dauer|tiempo/],
    ['grind', /grind|mahlgrad|molienda|setting/],
    ['temperature_c', /temp|°c/],
    ['tds_percent', /tds/],
    ['sweetness', /sweet|s[uü][sß]/],
    ['overall', /overall|rating|score|note\b.*10|punkte|\bstars?\b|wertung/],
    ['body', /body|k[oö]rper/],
    ['pulled_by', /barista|\bby\b|who|name/],
    ['note', /note|comment|remark|bemerkung|taste/],
  ],
  coffees: [
    ['roaster', /roaster|r[oö]sterei/],
    ['roast', /roast|r[oö]stung/],
    ['origin', /origin|country|herkunft/],
    ['process', /process|aufbereitung/],
    ['altitude_m', /altitude|h[oö]he|masl/],
    ['decaf', /decaf|entkoffein/],
    ['notes', /note|flavou?r|aroma/],
    ['name', /name|coffee|kaffee|bean/],
  ],
};

export type Guess = Pick<Match, 'columns' | 'decimal' | 'dates'>;

/** What a file's columns most likely are, each at most once, and how it writes numbers and dates. */
export function guessMatch(table: MatchTable, headers: readonly string[], rows: readonly (readonly string[])[]): Guess {
  const columns: (string | null)[] = headers.map(() => null);
  for (const [column, words] of HEADINGS[table]) {
    const at = headers.findIndex((header, i) => columns[i] === null && words.test(header.toLowerCase()));
    if (at >= 0) columns[at] = column;
  }
  const dateAt = columns.indexOf('pulled_at');
  const cells = rows.flatMap((row) => row.filter((_, i) => i !== dateAt));
  return {
    columns,
    decimal: cells.some((cell) => /^\s*\d+,\d{1,2}(\s*[a-z°%]*)$/i.test(cell)) ? ',' : '.',
    dates: dateOrderOf(rows.map((row) => row[dateAt] ?? '')),
  };
}

/** By the first number that can be no month; else by the mark between the numbers. */
function dateOrderOf(cells: readonly string[]): Match['dates'] {
  const dates = cells.map((cell) => /^\s*(\d{1,4})([./-])(\d{1,2})/.exec(cell));
  if (dates.some((date) => date?.[1]!.length === 4)) return 'ymd';
  if (dates.some((date) => Number(date?.[1]) > 12)) return 'dmy';
  if (dates.some((date) => Number(date?.[3]) > 12)) return 'mdy';
  return dates.some((date) => date?.[2] === '/') ? 'mdy' : 'dmy';
}
