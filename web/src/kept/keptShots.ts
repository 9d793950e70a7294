import { api, type ShotDto } from '../app/api';
import { fieldInWords, isUnanswered, problemOf } from '../app/problem';
import type { AppThunk } from '../app/store';
import { ifItCan, tabletDb } from './tabletDb';

export type Saved = { is: 'saved' } | { is: 'kept' } | { is: 'refused'; error: unknown };

/** So long a barista waits for the server; then the shot is kept on the tablet and sent by itself. */
const PATIENCE_MS = 2500;

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
    const saved = await Promise.race([sent, patience]);
    // Refused at once, it is corrected where it was entered.
    if (saved.is === 'refused') await ifItCan(() => tabletDb.shots.delete(id), undefined);
    return saved;
  };
}

/** One at a time: where a line hangs, every further request would hang behind it and leave no line for others. */
let isSending = false;
/** On their way just now: whoever sends what is kept leaves them to whoever began it. */
const underway = new Set<string>();

/** Sends what is kept, one after the other. What the server refuses stays, with its reason: nothing is lost in silence. */
export function sendKept(): AppThunk<Promise<void>> {
  return async (dispatch) => {
    if (isSending) return;
    isSending = true;
    try {
      for (const { id, shotDto, refused } of await ifItCan(() => tabletDb.shots.toArray(), [])) {
        if (refused || underway.has(id)) continue;
        if ((await dispatch(send(id, shotDto))).is === 'kept') return;
      }
    } finally {
      isSending = false;
    }
  };
}

function send(id: string, shotDto: ShotDto): AppThunk<Promise<Saved>> {
  return async (dispatch) => {
    underway.add(id);
    const { error } = await dispatch(api.endpoints.putShot.initiate({ id, shotDto }, { track: false }));
    underway.delete(id);
    if (error && isUnanswered(error)) return { is: 'kept' };
    if (error) {
      await ifItCan(() => tabletDb.shots.update(id, { refused: inWords(error) }), 0);
      return { is: 'refused', error };
    }
    await ifItCan(() => tabletDb.shots.delete(id), undefined);
    return { is: 'saved' };
  };
}

function inWords(error: unknown): string {
  const { detail, errors } = problemOf(error);
  return errors.length > 0 ? errors.map(({ path, message }) => `${fieldInWords(path)} ${message}`).join('; ') : detail;
}

/** Tried again, after what stood in its way was changed elsewhere. */
export async function tryAgain(id: string): Promise<void> {
  await ifItCan(() => tabletDb.shots.update(id, { refused: undefined }), 0);
}

/** A person gives it up. */
export async function throwAway(id: string): Promise<void> {
  await ifItCan(() => tabletDb.shots.delete(id), undefined);
}
