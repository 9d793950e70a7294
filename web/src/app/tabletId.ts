import { v4 } from 'uuid';

const KEY = 'olvet.tablet';
let known: string | null = null;

/** By which this tablet's browser is told apart from others; it says nothing of whoever holds it. */
export function tabletId(): string {
  if (known) return known;
  try {
    known = localStorage.getItem(KEY) ?? v4();
    localStorage.setItem(KEY, known);
  } catch {
    // Without a storage it is another one after each load.
    known ??= v4();
  }
  return known;
}
