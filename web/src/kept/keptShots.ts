import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import { api, type ShotDto } from '../app/api';
import type { AppThunk } from '../app/store';
import { ifItCan, tabletDb } from './tabletDb';

export type Saved = { is: 'saved' } | { is: 'kept' } | { is: 'refused'; error: unknown };

/** So long a barista waits for the server; then the shot is kept on the tablet and sent by itself. */
const PATIENCE_MS = 2500;
const NOT_REACHED: readonly FetchBaseQueryError['status'][] = ['FETCH_ERROR', 'TIMEOUT_ERROR'];

/**
 * Saves a shot at the server or, where that is not reached in time, on this tablet, from where it is sent later: once, because a
 * put with the same id changes nothing the second time.
 */
export function saveShot(id: string, shotDto: ShotDto): AppThunk<Promise<Saved>> {
  return async (dispatch) => {
    await ifItCan(() => tabletDb.shots.put({ id, shotDto, keptAt: Date.now() }), '');
    const sent = dispatch(send(id, shotDto));
    const isKeeping = typeof indexedDB !== 'undefined';
    if (!isKeeping) return sent;
    const patience = new Promise<Saved>((late) => setTimeout(() => late({ is: 'kept' }), PATIENCE_MS));
    return Promise.race([sent, patience]);
  };
}

/** One at a time: where a line hangs, every further request would hang behind it and leave no line for others. */
let isSending = false;

/** Sends what is kept, one after the other; what the server refuses is given up, for it would always refuse it. */
export function sendKept(): AppThunk<Promise<void>> {
  return async (dispatch) => {
    if (isSending) return;
    isSending = true;
    try {
      for (const { id, shotDto } of await ifItCan(() => tabletDb.shots.toArray(), [])) {
        if ((await dispatch(send(id, shotDto))).is === 'kept') return;
      }
    } finally {
      isSending = false;
    }
  };
}

function send(id: string, shotDto: ShotDto): AppThunk<Promise<Saved>> {
  return async (dispatch) => {
    const { error } = await dispatch(api.endpoints.putShot.initiate({ id, shotDto }, { track: false }));
    if (error && NOT_REACHED.includes((error as FetchBaseQueryError).status)) return { is: 'kept' };
    await ifItCan(() => tabletDb.shots.delete(id), undefined);
    return error ? { is: 'refused', error } : { is: 'saved' };
  };
}
