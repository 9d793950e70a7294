import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

const KEY = 'olvet.justSaved';
/** So long a save can be undone from where it was saved. */
export const UNDO_MS = 10_000;

/** Shots that were saved a moment ago. */
export interface JustSaved {
  /** Where they were saved: the id of a dial-in or a station. */
  place: string;
  shotIds: string[];
  /** As it is said: "Shot 4", "28 s". */
  what: string;
  at: number;
}

/** Kept for this tablet, so that a reload leaves the way back open. */
function restore(): JustSaved | null {
  try {
    return JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as JustSaved | null;
  } catch {
    return null;
  }
}

const slice = createSlice({
  name: 'justSaved',
  initialState: restore,
  reducers: {
    saved: (_state, { payload }: PayloadAction<JustSaved>) => payload,
    forgotten: () => null,
  },
});

export const { saved, forgotten } = slice.actions;
export const justSavedReducer = slice.reducer;

export function keepJustSaved(justSaved: JustSaved | null): void {
  try {
    sessionStorage.setItem(KEY, JSON.stringify(justSaved));
  } catch {
    // A full or forbidden storage only costs the way back after a reload.
  }
}
