import { LIMITS, type Limit } from '../brew/limits';
import type { Assumable, Cause, Serving, Sign, TimerStart, Verdict } from '../brew/types';

/** A sign with the clock hour it was seen at, the basket viewed from below (12 = away from the barista). */
export interface SeenMark {
  sign: Sign;
  clock?: number;
}

export interface TasteNote {
  balance?: number;
  body?: number;
  dryness?: number;
  sweetness?: number;
  overall?: number;
}

/** What one typed line can say of a shot. Absent = not said. */
export interface ShotLine {
  doseGrams?: number;
  yieldGrams?: number;
  /** What each cup of a double weighed; one alone where it stands for both. */
  cupGrams?: number[];
  /** Read in a glass, where nothing was weighed, ml. */
  yieldMl?: number;
  /** What was taken as planned, or for granted, and not measured. */
  assumed?: Assumable[];
  /** How long a timed grinder ran for the dose. */
  grindSeconds?: number;
  timeSeconds?: number;
  grind?: number;
  temperatureC?: number;
  firstDripSeconds?: number;
  tdsPercent?: number;
  taste?: TasteNote;
  seen?: SeenMark[];
  verdict?: Serving;
  versusLast?: Verdict;
  purged?: boolean;
  cause?: Cause;
  timer?: TimerStart;
  /** When it was poured, by the shop's clock, HH:MM. */
  hour?: string;
  /** Pulled to see whether the recipe still holds. */
  isCheck?: boolean;
  note?: string;
}

export interface ShotLineProblem {
  /** Where in the typed text: characters [start, end). */
  start: number;
  end: number;
  text: string;
  message: string;
}

/** Words for signs; the first one is what printing uses. */
export const SIGN_WORDS: Record<Sign, readonly string[]> = {
  // “clean” alone is a finish without dryness.
  clean: ['clean-puck', 'puck-clean'],
  spurts: ['spurts', 'spurt', 'channel', 'channels', 'channeling', 'jets'],
  'dead-spots': ['dead', 'dead-spots', 'dead-spot'],
  'early-blonding': ['pale', 'paling', 'blonding', 'early-blonding', 'blond'],
  gushing: ['gushing', 'gushed', 'gush'],
  dripping: ['dripping', 'dripped'],
  'uneven-spouts': ['uneven', 'uneven-spouts'],
  'late-rush': ['rush', 'late-rush', 'rushed'],
  'soupy-puck': ['soupy', 'soupy-puck'],
  'screen-imprint': ['imprint', 'screen-imprint'],
  'puck-crater': ['crater', 'puck-crater', 'pinhole'],
};

export const SIGN_LABELS: Record<Sign, string> = {
  clean: 'clean puck',
  spurts: 'spurts',
  'dead-spots': 'dead spots',
  'early-blonding': 'paled early',
  gushing: 'gushed',
  dripping: 'only dripped',
  'uneven-spouts': 'uneven spouts',
  'late-rush': 'slow, then a rush',
  'soupy-puck': 'soupy puck',
  'screen-imprint': 'screen imprint',
  'puck-crater': 'crater in the puck',
};

/** What a single word says of a shot besides; the first one of a meaning is what printing uses. */
export const PLAIN_WORDS: Record<string, Partial<ShotLine>> = {
  serve: { verdict: 'serve' },
  discard: { verdict: 'discard' },
  sink: { verdict: 'discard' },
  unpurged: { purged: false },
  purged: { purged: true },
  better: { versusLast: 'better' },
  same: { versusLast: 'same' },
  worse: { versusLast: 'worse' },
  check: { isCheck: true },
  channelled: { cause: 'channelled' },
  misdosed: { cause: 'dose-off' },
  'cold-group': { cause: 'cold-group' },
  'old-grounds': { cause: 'not-purged' },
};

/** Where the clock of the time started, after “from”. */
export const TIMER_LINE_WORDS: Record<string, TimerStart> = {
  pump: 'pump-on',
  'first-drip': 'first-drip',
  contact: 'total-contact',
};

/** Marks of ten that a word of the line may name, the number after it. */
export const MARK_WORDS = { mark: 'overall', sweetness: 'sweetness' } as const;

type TasteAxis = 'balance' | 'body' | 'dryness' | 'sweetness';

/** Words for taste with their plain strength; "very" adds one step, "a bit" takes one off. */
export const TASTE_WORDS: Record<string, { axis: TasteAxis; value: number }> = {
  sour: { axis: 'balance', value: -1.5 },
  acid: { axis: 'balance', value: -1.5 },
  sharp: { axis: 'balance', value: -1.5 },
  bitter: { axis: 'balance', value: 1.5 },
  balanced: { axis: 'balance', value: 0 },
  even: { axis: 'balance', value: 0 },
  thin: { axis: 'body', value: -1.5 },
  watery: { axis: 'body', value: -2 },
  heavy: { axis: 'body', value: 1.5 },
  thick: { axis: 'body', value: 1.5 },
  round: { axis: 'body', value: 0 },
  full: { axis: 'body', value: 0.5 },
  clean: { axis: 'dryness', value: 0 },
  dry: { axis: 'dryness', value: 1.5 },
  harsh: { axis: 'dryness', value: 2.5 },
  sweet: { axis: 'sweetness', value: 8 },
};

/** How a figure out of its range is named: "expected a dose of 1–60 g". */
const RANGES: Record<string, Limit & { what: string }> = {
  doseGrams: { ...LIMITS.doseGrams, what: 'a dose of # g' },
  yieldGrams: { ...LIMITS.yieldGrams, what: 'a yield of # g' },
  yieldMl: { ...LIMITS.yieldMl, what: 'a glass of # ml' },
  grindSeconds: { ...LIMITS.grindSeconds, what: 'a grinding time of # s' },
  timeSeconds: { ...LIMITS.timeSeconds, what: 'a time of # s' },
  grind: { ...LIMITS.grind, what: 'a grind setting' },
  temperatureC: { ...LIMITS.temperatureC, what: 'a temperature of # °C, or in °F with an f after it' },
  firstDripSeconds: { ...LIMITS.firstDripSeconds, what: 'a first drip of # s' },
  tdsPercent: { ...LIMITS.tdsPercent, what: 'a TDS of # %' },
  mark: { ...LIMITS.mark, what: 'a mark of #' },
};

/** Null when the value is one a shot can have, otherwise what was expected. */
export function shotFieldProblem(field: string, value: number): string | null {
  const range = RANGES[field];
  if (!range || (value >= range.min && value <= range.max)) return null;
  return `expected ${range.what.replace('#', `${range.min}–${range.max}`)}`;
}
