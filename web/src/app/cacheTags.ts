import type { addTagTypes } from './api.generated';

type Kind = (typeof addTagTypes)[number];

/** One row, or `ANY` of a kind: what shows a bit of everything. */
interface Tag<K extends Kind = Kind> {
  type: K;
  id: string;
}

const ANY = 'any';

/** Stale once any row of this kind was written. */
export function rows<K extends Kind>(type: K): Tag<K> {
  return { type, id: ANY };
}

/** Every answer that shows rows of this kind, whichever they are. */
export function whole<K extends Kind>(type: K): { type: K } {
  return { type };
}

export function aList<K extends Kind>(type: K) {
  return { providesTags: [rows(type)] };
}

export function aRow<K extends Kind>(type: K) {
  return { providesTags: (_row: unknown, _error: unknown, { id }: { id: string }) => [{ type, id }] };
}

/** A write of one row, and what else its arguments say it touches. */
export function theWriteOf<K extends Kind, A = object>(
  type: K,
  also: (sent: A) => (Tag | { type: Kind })[] = () => [],
) {
  return {
    invalidatesTags: (_row: unknown, _error: unknown, sent: { id: string } & A) => [
      { type, id: sent.id },
      rows(type),
      ...also(sent),
    ],
  };
}
