import { useEffect } from 'react';
import { api } from '../app/api';
import { rows } from '../app/cacheTags';
import { useAppDispatch } from '../app/store';
import { stream } from './stream';

/** What the event stream says of a row makes a page read it again; after a break it reads all of these. */
export function useLive(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const read = (type: 'Devices' | 'Pulls', id: string): void =>
      void dispatch(api.util.invalidateTags([{ type, id }, rows(type)]));
    return stream.listen(
      (event) => {
        if (event.kind === 'device') read('Devices', event.deviceId);
        if (event.kind === 'pull') read('Pulls', event.pullId);
      },
      () => void dispatch(api.util.invalidateTags(['Devices', 'Pulls'])),
    );
  }, [dispatch]);
}
