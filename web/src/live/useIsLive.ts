import { useSyncExternalStore } from 'react';
import { stream } from './stream';

/** Whether the stream tells of every change: nothing needs to be asked again and again then. */
export function useIsLive(): boolean {
  return useSyncExternalStore(stream.onState, stream.isLive);
}
