import type { Assumable, Cause, TimerStart, Verdict } from '../brew/types';
import { plainNumber } from '../advice/words/words';
import { tasteWords } from './printShotLine';
import { SIGN_LABELS, type ShotLine } from './shotLine';

/** What may have gone wrong with a shot, as one says it at the bar. */
export const CAUSE_WORDS: Record<Cause, string> = {
  'not-purged': 'not purged',
  channelled: 'channelled',
  'dose-off': 'dose off',
  'cold-group': 'cold group',
};
const TIMER_WORDS: Record<TimerStart, string> = {
  'pump-on': 'from pump on',
  'first-drip': 'from first drip',
  'total-contact': 'total contact',
};
const VERSUS_WORDS: Record<Verdict, string> = { better: 'better', same: 'as before', worse: 'worse' };
const ASSUMED_WORDS: Record<Assumable, string> = {
  doseGrams: 'dose as planned',
  yieldGrams: 'yield as planned',
  grind: 'grind as planned',
  temperatureC: 'temperature as planned',
};

/**
 * A typed shot said back as it was understood, in the order in which one reads a shot.
 * @example shotLineInWords(parseShotLine('19 47 50 sour harsh grind 16').shot) // "19 g → 47 g · 50 s · sour, harsh · grind 16"
 */
export function shotLineInWords(line: ShotLine): string {
  const number = (value: number | undefined, unit: string, label = ''): string =>
    value === undefined ? '' : `${label}${plainNumber(value)}${unit}`;
  const dose = number(line.doseGrams, ' g');
  const cup = cupInWords(line);
  const poured = dose && cup ? `${dose} → ${cup}` : dose ? `dose ${dose}` : cup && `yield ${cup}`;
  return [
    line.hour ? `at ${line.hour}` : '',
    line.isCheck ? 'check shot' : '',
    poured,
    ...(line.assumed ?? []).filter((figure) => figure !== 'yieldGrams' || !line.cupGrams).map((f) => ASSUMED_WORDS[f]),
    [number(line.timeSeconds, ' s'), line.timer ? TIMER_WORDS[line.timer] : ''].filter(Boolean).join(' '),
    tasteWords(line.taste ?? {}).join(', '),
    number(line.grind, '', 'grind '),
    number(line.grindSeconds, ' s', 'ground '),
    number(line.temperatureC, ' °C'),
    number(line.firstDripSeconds, ' s', 'first drip '),
    number(line.tdsPercent, ' %', 'TDS '),
    ...(line.seen ?? []).map(({ sign, clock }) => SIGN_LABELS[sign] + (clock === undefined ? '' : ` at ${clock}`)),
    line.cause ? CAUSE_WORDS[line.cause] : '',
    line.purged === undefined ? '' : line.purged ? 'purged' : 'not purged',
    line.versusLast ? VERSUS_WORDS[line.versusLast] : '',
    line.verdict ?? '',
    line.note ? `“${line.note}”` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

function cupInWords({ cupGrams, yieldGrams, yieldMl }: ShotLine): string {
  if (cupGrams?.length === 2) return `${cupGrams.map((grams) => plainNumber(grams)).join(' + ')} g`;
  if (cupGrams) return `${plainNumber(yieldGrams!)} g, one cup of ${plainNumber(cupGrams[0]!)} g weighed`;
  if (yieldMl !== undefined) return `${plainNumber(yieldMl)} ml in the glass`;
  return yieldGrams === undefined ? '' : `${plainNumber(yieldGrams)} g`;
}
