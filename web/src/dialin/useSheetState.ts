import type { Settings } from '@olvet/core';
import { useReducer } from 'react';

/** The barista's own next shot; it belongs to the state of the sheet it was made for. */
interface OwnShot {
  settings: Settings;
  afterShots: number;
}

/** What lies below: the next shot is being chosen, or one is being pulled. */
type Stage = { is: 'choosing'; own: OwnShot | null } | { is: 'pulling'; aim: Settings; own: OwnShot | null };

/** What lies above it, one thing at a time. */
type Overlay =
  | { is: 'correcting'; shotId: string }
  | { is: 'keeping'; shotId: string | null }
  | { is: 'explaining' }
  | { is: 'tracing'; shotId: string };

/** Where the barista is on a run sheet. */
export interface SheetState {
  stage: Stage;
  overlay: Overlay | null;
}

export type SheetEvent =
  | ({ did: 'choose' } & OwnShot)
  | { did: 'drop-own' }
  | { did: 'pull'; aim: Settings }
  | { did: 'go-back' }
  | { did: 'open'; overlay: Overlay }
  | { did: 'close' };

const FIRST: SheetState = { stage: { is: 'choosing', own: null }, overlay: null };

export function nextSheetState(state: SheetState, event: SheetEvent): SheetState {
  const { own } = state.stage;
  switch (event.did) {
    case 'choose':
      return {
        ...state,
        stage: { is: 'choosing', own: { settings: event.settings, afterShots: event.afterShots } },
      };
    case 'drop-own':
      return { ...state, stage: { is: 'choosing', own: null } };
    case 'pull':
      return { ...state, stage: { is: 'pulling', aim: event.aim, own } };
    case 'go-back':
      return { ...state, stage: { is: 'choosing', own } };
    case 'open':
      return { ...state, overlay: event.overlay };
    case 'close':
      return { ...state, overlay: null };
  }
}

export function useSheetState() {
  return useReducer(nextSheetState, FIRST);
}
