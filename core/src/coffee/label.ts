import type { Roast } from '../brew/types';

export const LABEL_FIELDS = [
  'name',
  'roaster',
  'origin',
  'process',
  'altitudeM',
  'roast',
  'notes',
  'roastedOn',
  'weightGrams',
  'arabicaPercent',
  'price',
] as const;
export type LabelField = (typeof LABEL_FIELDS)[number];

/** What was recognised on a label, to be confirmed by a person; every field with the line it came from. */
export interface LabelReading {
  fields: Partial<{
    name: string;
    roaster: string;
    origin: string;
    process: string;
    altitudeM: number;
    roast: Roast;
    notes: string;
    roastedOn: string;
    weightGrams: number;
    arabicaPercent: number;
    price: number;
  }>;
  from: Partial<Record<LabelField, string>>;
  /** Lines nothing was made of. */
  unread: string[];
}

const PROCESSES: [RegExp, string][] = [
  [/\bcarbonic(?: maceration)?\b/i, 'carbonic maceration'],
  [/\banaerobic(?: natural| washed)?\b/i, 'anaerobic'],
  [/\b(?:pulped natural|honey)\b/i, 'honey'],
  [/\b(?:wet[- ]hulled)\b/i, 'wet-hulled'],
  [/\b(?:semi[- ]washed)\b/i, 'semi-washed'],
  [/\b(?:fully )?washed\b|\bwet process(?:ed)?\b/i, 'washed'],
  [/\bnatural\b|\bdry process(?:ed)?\b|\bsun[- ]dried\b/i, 'natural'],
];
const ROAST_WORDS: [RegExp, Roast][] = [
  [/\bmedium[ -]+(?:to[ -]+)?light\b|\blight[ -]+(?:to[ -]+)?medium\b/i, 'medium-light'],
  [/\bmedium[ -]+(?:to[ -]+)?dark\b|\bfull city\b/i, 'medium-dark'],
  [/\blight\b|\bfilter roast\b|\bnordic\b/i, 'light'],
  [/\bdark\b|\bitalian roast\b/i, 'dark'],
  [/\bmedium\b/i, 'medium'],
];
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const OUNCE_GRAMS = 28.3495;
const POUND_GRAMS = 453.592;
const FOOT_METRES = 0.3048;

/**
 * Recognises the usual lines of a coffee bag. Forgiving: headings in any order, with colon or dash or none, metric or
 * imperial. It guesses only what a word or unit makes plain; all else stays unread.
 * @param today YYYY-MM-DD; a day written without a year is the last such day before it
 */
export function readLabel(text: string, today: string): LabelReading {
  const reading: LabelReading = { fields: {}, from: {}, unread: [] };
  const lines = text
    .split(/[\r\n|•]+/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
  for (const line of lines) {
    if (!readLine(reading, line, today)) reading.unread.push(line);
  }
  // The first line that means nothing else is nearly always the coffee's name.
  if (reading.fields.name === undefined && reading.unread.length > 0) {
    take(reading, 'name', reading.unread.shift()!);
  }
  return reading;
}

function readLine(reading: LabelReading, line: string, today: string): boolean {
  const [heading, rest] = headingOf(line);
  if (heading && readHeading(reading, heading, rest, line, today)) return true;
  const found = readUnits(reading, line);
  const process = PROCESSES.find(([pattern]) => pattern.test(line));
  const roast = /roast/i.test(line) ? ROAST_WORDS.find(([pattern]) => pattern.test(line)) : undefined;
  if (process && isShort(line)) take(reading, 'process', process[1], line);
  if (roast) take(reading, 'roast', roast[1], line);
  const day = /roast|packed|rested/i.test(line) ? dayIn(line, today) : null;
  if (day) take(reading, 'roastedOn', day, line);
  return found || (process !== undefined && isShort(line)) || roast !== undefined || day !== null;
}

/** "Altitude: 1850 m" → altitude and its text. */
function headingOf(line: string): [string | null, string] {
  const match = /^([a-z' ]{3,24}?)\s*[:–—=]\s*(.+)$/i.exec(line) ?? /^([a-z' ]{3,24}?)\s+-\s+(.+)$/i.exec(line);
  return match ? [match[1]!.trim().toLowerCase(), match[2]!.trim()] : [null, line];
}

function readHeading(reading: LabelReading, heading: string, rest: string, line: string, today: string): boolean {
  const is = (pattern: RegExp): boolean => pattern.test(heading);
  const put = (field: LabelField, value: string | number): boolean => {
    take(reading, field, value, line);
    return true;
  };
  if (is(/^(coffee|name|lot|blend)$/)) return put('name', rest);
  if (is(/^(roaster|roasted by|roastery)$/)) return put('roaster', rest);
  if (is(/^(origin|country|region|farm|producer|station)$/)) {
    const before = reading.fields.origin;
    return put('origin', before ? `${before}, ${rest}` : rest);
  }
  if (is(/^(notes|tasting notes|taste|tastes like|flavou?rs?|cup|we taste|in the cup)$/)) return put('notes', rest);
  if (is(/process/)) return put('process', PROCESSES.find(([pattern]) => pattern.test(rest))?.[1] ?? rest);
  if (is(/^roast( level| degree| profile)?$/)) {
    const roast = ROAST_WORDS.find(([pattern]) => pattern.test(rest)) ?? null;
    if (roast) return put('roast', roast[1]);
    const day = dayIn(rest, today);
    return day !== null && put('roastedOn', day);
  }
  if (is(/^(roast(ed)?( date| day| on)|packed|packed on)$/) || heading === 'roasted') {
    const day = dayIn(rest, today);
    return day !== null && put('roastedOn', day);
  }
  if (is(/^(altitude|elevation|grown at|height)$/)) {
    const metres = metresIn(rest, true);
    return metres !== null && put('altitudeM', metres);
  }
  if (is(/^(weight|net weight|net)$/)) {
    const grams = gramsIn(rest);
    return grams !== null && put('weightGrams', grams);
  }
  if (is(/^(price|cost)$/)) {
    const price = /(\d+(?:[.,]\d{1,2})?)/.exec(rest);
    return price !== null && put('price', Number(price[1]!.replace(',', '.')));
  }
  if (is(/^(species|variety|varietal|beans?)$/)) return readSpecies(reading, rest, line);
  return false;
}

function readUnits(reading: LabelReading, line: string): boolean {
  const metres = metresIn(line, false);
  if (metres !== null) take(reading, 'altitudeM', metres, line);
  const grams = metres === null ? gramsIn(line) : null;
  if (grams !== null) take(reading, 'weightGrams', grams, line);
  const species = readSpecies(reading, line, line);
  const price = /(?:[€$£]\s*(\d+(?:[.,]\d{1,2})?)|(\d+(?:[.,]\d{1,2})?)\s*(?:€|EUR\b))/.exec(line);
  if (price) take(reading, 'price', Number((price[1] ?? price[2])!.replace(',', '.')), line);
  return metres !== null || grams !== null || species || price !== null;
}

function readSpecies(reading: LabelReading, text: string, line: string): boolean {
  const arabica = /(\d{1,3})\s*%\s*arabica/i.exec(text);
  const robusta = /(\d{1,3})\s*%\s*(?:robusta|canephora)/i.exec(text);
  const percent = arabica ? Number(arabica[1]) : robusta ? 100 - Number(robusta[1]) : null;
  if (percent === null || percent < 0 || percent > 100) return false;
  take(reading, 'arabicaPercent', percent, line);
  return true;
}

/** "1,850 masl", "1700–1900 m", "5,900 ft": the middle of a range, whole metres. */
function metresIn(text: string, headed: boolean): number | null {
  const unit = headed ? /(masl|meters|metres|m\b|ft\b|feet)?/ : /(masl|m\.?a\.?s\.?l\.?|meters|metres|m\b|ft\b|feet)/;
  const number = String.raw`(\d{1,2}[.,']?\d{3}|\d{3,4})`;
  const match = new RegExp(`${number}(?:\\s*(?:[-–—]|to)\\s*${number})?\\s*${unit.source}`, 'i').exec(text);
  if (!match) return null;
  const value = (part: string): number => Number(part.replace(/[.,']/g, ''));
  const middle = match[2] ? (value(match[1]!) + value(match[2])) / 2 : value(match[1]!);
  const metres = Math.round(/^f/i.test(match[3] ?? '') ? middle * FOOT_METRES : middle);
  return metres >= 100 && metres <= 3500 ? metres : null;
}

function gramsIn(text: string): number | null {
  const match = /(\d+(?:[.,]\d+)?)\s*(kg|kilos?|grams?|g|oz|ounces?|lbs?|pounds?)\b/i.exec(text);
  if (!match) return null;
  const amount = Number(match[1]!.replace(',', '.'));
  const unit = match[2]!.toLowerCase();
  const factor = unit.startsWith('k')
    ? 1000
    : unit.startsWith('o')
      ? OUNCE_GRAMS
      : unit.startsWith('l') || unit.startsWith('p')
        ? POUND_GRAMS
        : 1;
  const grams = Math.round(amount * factor);
  return grams >= 20 && grams <= 60_000 ? grams : null;
}

/** ISO, day.month.year, day month (year), month day (year): whatever is unmistakable. */
function dayIn(text: string, today: string): string | null {
  const iso = /\b(20\d\d)-(\d\d)-(\d\d)\b/.exec(text);
  if (iso) return validDay(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const dotted = /\b(\d{1,2})[./](\d{1,2})[./](20\d\d|\d\d)\b/.exec(text);
  if (dotted) {
    const [a, b, y] = [Number(dotted[1]), Number(dotted[2]), Number(dotted[3])];
    const year = y < 100 ? 2000 + y : y;
    // Day first, unless only the other way round is a day at all.
    return validDay(year, b, a) ?? validDay(year, a, b);
  }
  const worded =
    /\b(\d{1,2})(?:st|nd|rd|th)?\.?\s+([a-z]{3})[a-z]*\.?(?:,?\s+(20\d\d))?/i.exec(text) ??
    /\b()([a-z]{3})[a-z]*\.?\s+(\d{1,2})(?:st|nd|rd|th)?(?:,?\s+(20\d\d))?/i.exec(text);
  if (!worded) return null;
  const dayFirst = worded[1] !== '';
  const month = MONTHS.indexOf(worded[2]!.toLowerCase()) + 1;
  const dayOfMonth = Number(dayFirst ? worded[1] : worded[3]);
  const year = dayFirst ? worded[3] : worded[4];
  if (month === 0) return null;
  if (year) return validDay(Number(year), month, dayOfMonth);
  const thisYear = validDay(Number(today.slice(0, 4)), month, dayOfMonth);
  return thisYear !== null && thisYear > today ? validDay(Number(today.slice(0, 4)) - 1, month, dayOfMonth) : thisYear;
}

function validDay(year: number, month: number, dayOfMonth: number): string | null {
  const date = new Date(Date.UTC(year, month - 1, dayOfMonth));
  if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== dayOfMonth) return null;
  return date.toISOString().slice(0, 10);
}

function isShort(line: string): boolean {
  return line.split(/\s+/).length <= 5;
}

/** The first mention counts; an origin may grow. */
function take(reading: LabelReading, field: LabelField, value: string | number, line = String(value)): void {
  if (reading.fields[field] !== undefined && field !== 'origin') return;
  (reading.fields as Record<string, string | number>)[field] = value;
  reading.from[field] = line;
}
