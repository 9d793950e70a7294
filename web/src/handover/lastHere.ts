const KEY = 'olvet.lastHere';
/** Away for less, nobody needs to be told, ms. */
const AWAY_MS = 3 * 3600_000;
/** It is written down at most so often. */
const EVERY_MS = 60_000;
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

/**
 * A person touches this tablet; who stands at it is its own. Gives when they were last here where they were away for long, and null
 * where they were not, or never here before.
 */
export function comeBack(person: string, now: number): number | null {
  const seen = read();
  const at = seen[person];
  if (typeof at === 'number' && now - at < EVERY_MS) return null;
  const others = Object.entries(seen).filter(([name]) => name !== person);
  const newest = others.sort(([, a], [, b]) => b - a).slice(0, MOST - 1);
  try {
    localStorage.setItem(KEY, JSON.stringify(Object.fromEntries([[person, now], ...newest])));
  } catch {
    // A full or forbidden storage only costs the line about what happened meanwhile.
  }
  return typeof at === 'number' && now - at > AWAY_MS ? at : null;
}
