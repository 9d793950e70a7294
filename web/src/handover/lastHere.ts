const KEY = 'olvet.lastHere';
/** Away for less, nobody needs to be told, ms. */
export const AWAY_MS = 3 * 3600_000;
/** At most so many people are remembered at a tablet. */
const MOST = 40;

type Seen = Record<string, number>;

function read(): Seen {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Seen;
  } catch {
    return {};
  }
}

/** When this person was last at this tablet; null where never. Of this tablet, as who stands at it is. */
export function lastHere(person: string): number | null {
  const at = read()[person];
  return typeof at === 'number' ? at : null;
}

export function hereNow(person: string, now: number): void {
  const others = Object.entries(read()).filter(([name]) => name !== person);
  const newest = others.sort(([, a], [, b]) => b - a).slice(0, MOST - 1);
  try {
    localStorage.setItem(KEY, JSON.stringify(Object.fromEntries([[person, now], ...newest])));
  } catch {
    // A full or forbidden storage only costs the line about what happened meanwhile.
  }
}
