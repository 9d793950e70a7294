import { useState } from 'react';
import type { SheetShotView, SheetView } from '../app/api';
import type { Note } from './note';

/** A note made while the next shot poured: it stands with the shot before until somebody says whose it is. */
interface OpenNote {
  shotId: string;
  /** What stood there before it. */
  before: Note;
}

export interface WhoseNote {
  /** Numbers of the two shots it may be of; null where nothing is to be asked. */
  ask: { earlier: number; later: SheetShotView } | null;
  /** Tells that a note is being made now. */
  noting: (shotId: string, before: Note) => void;
  /** Answers that it is of the earlier shot: there it stands already. */
  isEarlier: () => void;
  /** What to put back with the earlier shot, once the note was written to the later one. */
  take: () => OpenNote | null;
}

/** Remembers what was noted while a shot poured, and asks whose it was once that shot is saved. */
export function useWhoseNote({ shots }: SheetView, isPulling: boolean): WhoseNote {
  const [note, setNote] = useState<OpenNote | null>(null);
  const at = note === null ? -1 : shots.findIndex(({ id }) => id === note.shotId);
  const later = at >= 0 ? shots[at + 1] : undefined;
  return {
    ask: later ? { earlier: at + 1, later } : null,
    noting: (shotId, before) => {
      if (isPulling && note?.shotId !== shotId) setNote({ shotId, before });
    },
    isEarlier: () => setNote(null),
    take: () => {
      setNote(null);
      return note;
    },
  };
}
