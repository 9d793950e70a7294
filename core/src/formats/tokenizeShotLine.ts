export interface Token {
  kind: 'number' | 'word' | 'arrow';
  text: string;
  /** For numbers: the value. */
  value?: number;
  /** For numbers: a unit glued to or following it. */
  unit?: 's' | 'g' | 'c' | 'f' | '%' | 'ml' | 'oz';
  /** For a double in two cups: what each weighed; one alone where it stands for both. */
  cups?: number[];
  /** For 0:29 and 08:12: as it was written, a time or an hour. */
  clock?: string;
  start: number;
  end: number;
}

// A number takes a comma as its decimal sign only when digits follow at once: "18,1" but not "18.1, 36".
const NUMBER = /(\d+:[0-5]\d(?:[.,]\d+)?|\d+(?:[.,]\d+)?)/y;
const UNIT = /\s?(seconds|second|secs|sec|s|grams|gram|g|°c|c|°f|f|%|ml|fl oz|oz)(?![a-z])/iy;
// "17+17.5" and "2×17"; a double has two cups.
const CUPS = /(\d+(?:[.,]\d+)?)\s?\+\s?(\d+(?:[.,]\d+)?)|2\s?[x×]\s?(\d+(?:[.,]\d+)?)/iy;
const WORD = /[a-z][a-z-]*/iy;
const ARROW = /->|→|>|:|\//y;
const SKIP = /[\s,;.+]+/y;

/**
 * Cuts a typed shot line into numbers (with their unit), words and arrows. Characters that are none of these come
 * out as one-character words, so that the reader can point at them.
 */
export function tokenizeShotLine(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  const match = (pattern: RegExp): RegExpExecArray | null => {
    pattern.lastIndex = at;
    return pattern.exec(text);
  };
  while (at < text.length) {
    const start = at;
    const skipped = match(SKIP);
    if (skipped) {
      at += skipped[0].length;
      continue;
    }
    const double = match(CUPS);
    if (double) {
      at += double[0].length;
      const cups = double.slice(1).flatMap((text) => (text === undefined ? [] : [readNumber(text)]));
      const unit = match(UNIT);
      if (unit) at += unit[0].length;
      const value = Math.round(10 * (cups[0]! + (cups[1] ?? cups[0]!))) / 10;
      tokens.push({ kind: 'number', text: text.slice(start, at), value, cups, unit: 'g', start, end: at });
      continue;
    }
    const number = match(NUMBER);
    if (number) {
      at += number[0].length;
      const unit = match(UNIT);
      if (unit) at += unit[0].length;
      const isClock = number[0].includes(':');
      tokens.push({
        kind: 'number',
        text: text.slice(start, at),
        value: readNumber(number[0]),
        unit: isClock ? 's' : unit ? readUnit(unit[1]!) : undefined,
        ...(isClock ? { clock: number[0] } : {}),
        start,
        end: at,
      });
      continue;
    }
    const arrow = match(ARROW);
    const word = arrow ?? match(WORD);
    const length = word ? word[0].length : 1;
    at += length;
    tokens.push({ kind: arrow ? 'arrow' : 'word', text: text.slice(start, at).toLowerCase(), start, end: at });
  }
  return tokens;
}

function readNumber(text: string): number {
  const [head, tail] = text.replace(',', '.').split(':');
  return tail === undefined ? Number(head) : Number(head) * 60 + Number(tail);
}

function readUnit(text: string): Token['unit'] {
  const unit = text.toLowerCase().replace('°', '');
  if (unit === 'ml' || unit.endsWith('oz')) return unit === 'ml' ? 'ml' : 'oz';
  return unit[0] as Token['unit'];
}
