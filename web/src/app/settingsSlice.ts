import { SOAK_BY_COVER } from '@olvet/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ThemeName } from './theme';

const KEY = 'olvet.settings';

export interface Settings {
  theme: ThemeName;
  /** First name of whoever stands at this tablet; empty when nobody said. */
  person: string;
  /** Who tastes here, where that is somebody else; empty for whoever stands here. */
  taster: string;
  /** Whether the stop of a shot is told by a tone, too. */
  sound: boolean;
  /** A soak ends so many times as late as the basket was covered. */
  soakByCover: number;
}

function restore(): Settings {
  const fallback: Settings = {
    theme: window.matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'light',
    person: '',
    taster: '',
    sound: true,
    soakByCover: SOAK_BY_COVER,
  };
  try {
    const saved = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>;
    return { ...fallback, ...saved };
  } catch {
    return fallback;
  }
}

/** What belongs to this tablet and not to the shop. */
const slice = createSlice({
  name: 'settings',
  initialState: restore,
  reducers: {
    themeChosen: (state, action: PayloadAction<ThemeName>) => {
      state.theme = action.payload;
    },
    personChosen: (state, action: PayloadAction<string>) => {
      state.person = action.payload;
      state.taster = '';
    },
    soundSet: (state, action: PayloadAction<boolean>) => {
      state.sound = action.payload;
    },
    soakByCoverSet: (state, action: PayloadAction<number>) => {
      state.soakByCover = action.payload;
    },
    tasterChosen: (state, action: PayloadAction<string>) => {
      state.taster = action.payload;
    },
  },
});

export const { themeChosen, personChosen, tasterChosen, soundSet, soakByCoverSet } = slice.actions;
export const settingsReducer = slice.reducer;

export function saveSettings(settings: Settings): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(settings));
  } catch {
    // A full or forbidden storage only costs the preference.
  }
}
