import { PLAIN_WORDS, SIGN_WORDS, TASTE_WORDS, TIMER_LINE_WORDS, type ShotLine, type TasteNote } from './shotLine';

/**
 * Prints a shot in its shorthand. Numbers, cups, marks of ten, signs, verdict, cause and purge come back exactly from `parseShotLine`; the rest
 * of the taste is put in words, so it comes back rounded to what the words can say.
 * @example printShotLine({ doseGrams: 18.1, yieldGrams: 36.8, timeSeconds: 21.5 }) // "18.1 > 36.8 in 21.5"
 */
export function printShotLine(shot: ShotLine): string {
  const parts: string[] = [];
  const say = (label: string, value: number | undefined): void => {
    if (value !== undefined) parts.push(`${label} ${value}`);
  };
  if (shot.hour !== undefined) parts.push(`at ${shot.hour}`);
  const cup = yieldWords(shot);
  if (shot.doseGrams !== undefined && cup !== undefined) {
    parts.push(`${shot.doseGrams} > ${cup}`);
    say('in', shot.timeSeconds);
  } else {
    say('dose', shot.doseGrams);
    if (cup !== undefined) parts.push(`yield ${cup}`);
    say('time', shot.timeSeconds);
  }
  if (shot.timer) parts.push(`from ${keyOf(TIMER_LINE_WORDS, (timer) => timer === shot.timer)}`);
  if (shot.assumed?.includes('doseGrams')) parts.push('dose planned');
  if (shot.assumed?.includes('yieldGrams') && !shot.cupGrams) parts.push('yield planned');
  if (shot.doseGrams !== undefined) say('ground', shot.grindSeconds);
  say('grind', shot.grind);
  say('temp', shot.temperatureC);
  say('drip', shot.firstDripSeconds);
  say('tds', shot.tdsPercent);
  parts.push(...tasteWords(shot.taste ?? {}));
  for (const { sign, clock } of shot.seen ?? []) {
    parts.push(SIGN_WORDS[sign][0]! + (clock === undefined ? '' : `@${clock}`));
  }
  for (const field of ['verdict', 'versusLast', 'cause'] as const) {
    if (shot[field]) parts.push(keyOf(PLAIN_WORDS, (said) => said[field] === shot[field])!);
  }
  if (shot.purged !== undefined) parts.push(shot.purged ? 'purged' : 'unpurged');
  if (shot.isCheck) parts.push('check');
  if (shot.note) parts.push(`note ${shot.note}`);
  return parts.join(' ');
}

type Maybe<T> = { [K in keyof T]?: T[K] | null };

/** A cup in words, as a person says it; empty where nothing was said. */
export function tasteInWords(taste: Maybe<TasteNote>): string {
  const said = Object.entries(taste).filter(([, value]) => typeof value === 'number');
  return tasteWords(Object.fromEntries(said) as TasteNote).join(', ');
}

/** Taste in the shorthand's own words, strongest nuance "very" and "bit". */
export function tasteWords(taste: TasteNote): string[] {
  const words: string[] = [];
  const graded = (value: number, low: string, high: string): void => {
    const word = value < 0 ? low : high;
    const size = Math.abs(value);
    words.push(size >= 2 ? `very ${word}` : size <= 0.75 ? `bit ${word}` : word);
  };
  if (taste.balance !== undefined) {
    if (taste.balance === 0) words.push('balanced');
    else graded(taste.balance, 'sour', 'bitter');
  }
  if (taste.body !== undefined) {
    if (taste.body === 0) words.push('round');
    else graded(taste.body, 'thin', 'heavy');
  }
  if (taste.dryness !== undefined) words.push(taste.dryness >= 2 ? 'harsh' : taste.dryness > 0 ? 'dry' : 'clean');
  if (taste.sweetness !== undefined) {
    words.push(taste.sweetness === TASTE_WORDS.sweet!.value ? 'sweet' : `sweetness ${taste.sweetness}`);
  }
  if (taste.overall !== undefined) words.push(`mark ${taste.overall}`);
  return words;
}

function yieldWords({ yieldGrams, yieldMl, cupGrams }: ShotLine): string | undefined {
  if (cupGrams) return cupGrams.length === 1 ? `2×${cupGrams[0]}` : cupGrams.join('+');
  if (yieldMl !== undefined) return `${yieldMl} ml`;
  return yieldGrams === undefined ? undefined : String(yieldGrams);
}

function keyOf<T>(table: Record<string, T>, is: (value: T) => boolean): string | undefined {
  return Object.keys(table).find((key) => is(table[key]!));
}
