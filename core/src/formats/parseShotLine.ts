import type { Assumable, Sign } from '../brew/types';
import { celsiusFromFahrenheit, ML_PER_OUNCE } from '../brew/units';
import {
  MARK_WORDS,
  PLAIN_WORDS,
  shotFieldProblem,
  SIGN_WORDS,
  TASTE_WORDS,
  TIMER_LINE_WORDS,
  type ShotLine,
  type ShotLineProblem,
} from './shotLine';
import { tokenizeShotLine, type Token } from './tokenizeShotLine';

type NumberField =
  | 'doseGrams'
  | 'yieldGrams'
  | 'yieldMl'
  | 'grindSeconds'
  | 'timeSeconds'
  | 'grind'
  | 'temperatureC'
  | 'firstDripSeconds'
  | 'tdsPercent';

/** A word that says what the number after it is. */
const LABELS: Record<string, NumberField> = {
  dose: 'doseGrams',
  yield: 'yieldGrams',
  cup: 'yieldGrams',
  ground: 'grindSeconds',
  time: 'timeSeconds',
  grind: 'grind',
  setting: 'grind',
  temp: 'temperatureC',
  temperature: 'temperatureC',
  drip: 'firstDripSeconds',
  tds: 'tdsPercent',
};
/** What may be taken as planned, by the label it is named with. */
const PLANNED: Record<string, Assumable> = { dose: 'doseGrams', yield: 'yieldGrams', cup: 'yieldGrams' };
const NOTE = /\bnote:?\s+(.*)$/is;
const MOST_NOTE = 1000;
const SLOTS: readonly NumberField[] = ['doseGrams', 'yieldGrams', 'timeSeconds'];
const QUIET = new Set(['a', 'and', 'the', 'at', 'with', 'was', 'first', 'of', 'little', 'tastes', 'tasted', 'aim']);
const SIGN_BY_WORD = new Map<string, Sign>(
  Object.entries(SIGN_WORDS).flatMap(([sign, words]) => words.map((word) => [word, sign as Sign] as const)),
);

/** A word of the table, and nothing that every object has besides, like “constructor”. */
function own<T>(table: Record<string, T>, word: string): T | undefined {
  return Object.hasOwn(table, word) ? table[word] : undefined;
}

export interface ParsedShotLine {
  shot: ShotLine;
  problems: ShotLineProblem[];
}

/**
 * Reads a shot as people write it: `18.1 > 36.8 in 21.5 sour thin spurts@2`, `18 in 36 out 29s`, `dose 18 cup 36`.
 * Bare numbers fill dose, yield and time in that order. Nothing is guessed silently: every piece of text that was
 * not understood, or said twice, or is out of any possible range, comes back as a problem with its place in the text.
 */
export function parseShotLine(text: string): ParsedShotLine {
  return new ShotLineReader(text).read();
}

class ShotLineReader {
  private readonly tokens: Token[];
  private readonly shot: ShotLine = {};
  private readonly problems: ShotLineProblem[] = [];
  /** With "out" in the line, "in" means the dose; without it, "in 28" means the time. */
  private readonly inMeansDose: boolean;
  private readonly labelsComeFirst: boolean;
  private at = 0;
  private ground: Token | null = null;

  constructor(text: string) {
    const note = NOTE.exec(text);
    this.tokens = tokenizeShotLine(note ? text.slice(0, note.index) : text);
    if (note) this.shot.note = note[1]!.trim().slice(0, MOST_NOTE);
    this.inMeansDose = this.tokens.some((token) => token.text === 'out');
    this.labelsComeFirst = this.tokens[0]?.kind === 'word';
  }

  read(): ParsedShotLine {
    while (this.at < this.tokens.length) {
      const token = this.tokens[this.at]!;
      this.at += 1;
      if (token.kind === 'number') this.readNumber(token);
      else if (token.kind === 'word') this.readWord(token);
      // An arrow only separates.
    }
    if (this.ground && this.shot.doseGrams === undefined) {
      this.complain(this.ground, 'say the dose it gave too: only both together tell of the grinder');
      delete this.shot.grindSeconds;
    }
    return { shot: this.shot, problems: this.problems };
  }

  private peek(offset = 0): Token | undefined {
    return this.tokens[this.at + offset];
  }

  private readNumber(token: Token): void {
    const next = this.peek();
    if (this.inMeansDose && !this.labelsComeFirst && (next?.text === 'in' || next?.text === 'out')) {
      this.at += 1;
      this.set(next.text === 'in' ? 'doseGrams' : 'yieldGrams', token);
    } else if (token.cups) this.setCups(token, token.cups);
    else if (token.unit === 'ml' || token.unit === 'oz') this.setGlass(token);
    else if (token.unit === 's') this.set('timeSeconds', token);
    else if (token.unit === 'c' || token.unit === 'f') this.set('temperatureC', token);
    else if (token.unit === '%') this.set('tdsPercent', token);
    else {
      const slot = SLOTS.find(
        (field) => this.shot[field] === undefined && !(token.unit === 'g' && field === 'timeSeconds'),
      );
      if (slot) this.set(slot, token);
      else this.complain(token, 'one number too many: dose, yield and time are already there');
    }
  }

  private readWord(token: Token): void {
    const word = token.text;
    if (word === 'at' && this.peek()?.clock !== undefined) return this.readHour(this.tokens[this.at++]!);
    if (QUIET.has(word)) return;
    if (word === 'in' || word === 'out') return this.readInOut(token);
    const label = own(LABELS, word);
    if (label) return this.readLabelled(token, label);
    if (word === 'mark' || word === 'sweetness') return this.readMark(token, word);
    const said = own(PLAIN_WORDS, word);
    if (said) return this.readPlain(token, said);
    if (word === 'from') return this.readTimer(token);
    if (word === 'not' || word === 'no') return this.readNegation(token);
    if (word === 'very' || word === 'bit' || word === 'slightly') return this.readStrength(token);
    if (own(TASTE_WORDS, word)) return this.readTaste(token, 0);
    const sign = SIGN_BY_WORD.get(word);
    if (sign) return this.readSign(sign);
    this.complain(token, `“${word}” is not a word I know here`);
  }

  private readInOut(token: Token): void {
    const field = token.text === 'out' ? 'yieldGrams' : this.inMeansDose ? 'doseGrams' : 'timeSeconds';
    this.readLabelled(token, field);
  }

  private readLabelled(label: Token, field: NumberField): void {
    const number = this.peek();
    const planned = own(PLANNED, label.text);
    if (planned && number?.text === 'planned') return this.assume(number, planned);
    if (number?.kind !== 'number') return this.complain(label, `a number should follow “${label.text}”`);
    this.at += 1;
    if (number.cups && field === 'yieldGrams') return this.setCups(number, number.cups);
    if ((number.unit === 'ml' || number.unit === 'oz') && field === 'yieldGrams') return this.setGlass(number);
    if (field === 'grindSeconds') this.ground = label;
    this.set(field, number);
  }

  /** `2×17` is one cup weighed and the other one taken for as much. */
  private setCups(token: Token, cups: number[]): void {
    this.set('yieldGrams', token);
    if (this.shot.yieldGrams === undefined) return;
    this.shot.cupGrams = cups;
    if (cups.length === 1) (this.shot.assumed ??= []).push('yieldGrams');
  }

  private setGlass(token: Token): void {
    if (this.shot.yieldGrams !== undefined) return this.complain(token, 'said twice');
    this.set('yieldMl', token);
  }

  private assume(token: Token, figure: Assumable): void {
    this.at += 1;
    const assumed = (this.shot.assumed ??= []);
    if (assumed.includes(figure)) this.complain(token, 'said twice');
    else assumed.push(figure);
  }

  private readPlain(token: Token, said: Partial<ShotLine>): void {
    const [field] = Object.keys(said) as (keyof ShotLine)[];
    if (this.shot[field!] !== undefined) return this.complain(token, 'said twice');
    Object.assign(this.shot, said);
  }

  private readTimer(token: Token): void {
    const start = this.peek();
    const timer = start && own(TIMER_LINE_WORDS, start.text);
    if (!timer) return this.complain(token, 'pump, first-drip or contact should follow “from”');
    this.at += 1;
    this.shot.timer = timer;
  }

  private readHour(token: Token): void {
    const hour = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(token.clock!);
    if (!hour) return this.complain(token, 'an hour is written like 8:12 or 14:05');
    this.shot.hour = `${hour[1]!.padStart(2, '0')}:${hour[2]}`;
  }

  private readMark(label: Token, word: keyof typeof MARK_WORDS): void {
    const number = this.peek();
    if (number?.kind !== 'number') return this.complain(label, `a number of ten should follow “${label.text}”`);
    this.at += 1;
    const axis = MARK_WORDS[word];
    const taste = (this.shot.taste ??= {});
    if (taste[axis] !== undefined) return this.complain(number, 'said twice');
    const problem = shotFieldProblem('mark', number.value!);
    if (problem) return this.complain(number, problem);
    taste[axis] = number.value;
  }

  private readNegation(token: Token): void {
    const next = this.peek();
    if (next && (next.text === 'purged' || next.text === 'purge')) {
      this.at += 1;
      this.shot.purged = false;
    } else this.complain(token, `“${token.text}” of what? I only know “not purged”`);
  }

  private readStrength(token: Token): void {
    const next = this.peek();
    if (!next || !own(TASTE_WORDS, next.text)) return this.complain(token, `a taste should follow “${token.text}”`);
    this.at += 1;
    this.readTaste(next, token.text === 'very' ? 1 : -1);
  }

  private readTaste(token: Token, more: number): void {
    const { axis, value } = TASTE_WORDS[token.text]!;
    const taste = (this.shot.taste ??= {});
    if (taste[axis] !== undefined) {
      // Two words on one axis. Sour and bitter at once is a finding of its own, but one number cannot hold it.
      const message =
        axis === 'balance'
          ? 'sour and bitter at once: keep the stronger one and add “harsh”, it points to a channel'
          : 'said twice';
      return this.complain(token, message);
    }
    taste[axis] = value + Math.sign(value) * more;
  }

  private readSign(sign: Sign): void {
    const mark: { sign: Sign; clock?: number } = { sign };
    const at = this.peek();
    const hour = this.peek(1);
    if (at?.text === '@' && hour?.kind === 'number') {
      this.at += 2;
      if (Number.isInteger(hour.value) && hour.value! >= 1 && hour.value! <= 12) mark.clock = hour.value;
      else this.complain(hour, 'a clock hour is a whole number from 1 to 12');
    }
    (this.shot.seen ??= []).push(mark);
  }

  private set(field: NumberField, token: Token): void {
    if (this.shot[field] !== undefined) return this.complain(token, 'said twice');
    const value = inOwnUnit(token);
    const problem = shotFieldProblem(field, value);
    if (problem) return this.complain(token, problem);
    this.shot[field] = value;
  }

  private complain(token: Token, message: string): void {
    this.problems.push({ start: token.start, end: token.end, text: token.text, message });
  }
}

/** In °C and ml: degrees to a hundredth, so that a whole °F comes back as it was typed; a glass to a tenth. */
function inOwnUnit({ unit, value }: Token): number {
  if (unit === 'f') return Math.round(100 * celsiusFromFahrenheit(value!)) / 100;
  return unit === 'oz' ? Math.round(10 * ML_PER_OUNCE * value!) / 10 : value!;
}
