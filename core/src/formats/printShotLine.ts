import { SIGN_WORDS, TASTE_WORDS, type ShotLine, type TasteNote } from './shotLine';

/**
 * Prints a shot in its shorthand. Numbers, marks of ten, signs, verdict and purge come back exactly from `parseShotLine`; the rest
 * of the taste is put in words, so it comes back rounded to what the words can say.
 * @example printShotLine({ doseGrams: 18.1, yieldGrams: 36.8, timeSeconds: 21.5 }) // "18.1 > 36.8 in 21.5"
 */
export function printShotLine(shot: ShotLine): string {
  const parts: string[] = [];
  const say = (label: string, value: number | undefined): void => {
    if (value !== undefined) parts.push(`${label} ${value}`);
  };
  if (shot.doseGrams !== undefined && shot.yieldGrams !== undefined) {
    parts.push(`${shot.doseGrams} > ${shot.yieldGrams}`);
    say('in', shot.timeSeconds);
  } else {
    say('dose', shot.doseGrams);
    say('yield', shot.yieldGrams);
    say('time', shot.timeSeconds);
  }
  if (shot.doseGrams !== undefined) say('ground', shot.grindSeconds);
  say('grind', shot.grind);
  say('temp', shot.temperatureC);
  say('drip', shot.firstDripSeconds);
  say('tds', shot.tdsPercent);
  parts.push(...tasteWords(shot.taste ?? {}));
  for (const { sign, clock } of shot.seen ?? []) {
    parts.push(SIGN_WORDS[sign][0]! + (clock === undefined ? '' : `@${clock}`));
  }
  if (shot.verdict) parts.push(shot.verdict);
  if (shot.purged === false) parts.push('unpurged');
  return parts.join(' ');
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
    if (taste.balance === 0) words.push('even');
    else graded(taste.balance, 'sour', 'bitter');
  }
  if (taste.body !== undefined) {
    if (taste.body === 0) words.push('full');
    else graded(taste.body, 'thin', 'heavy');
  }
  if (taste.dryness !== undefined && taste.dryness > 0) words.push(taste.dryness >= 2 ? 'harsh' : 'dry');
  if (taste.sweetness !== undefined) {
    words.push(taste.sweetness === TASTE_WORDS.sweet!.value ? 'sweet' : `sweetness ${taste.sweetness}`);
  }
  if (taste.overall !== undefined) words.push(`mark ${taste.overall}`);
  return words;
}
