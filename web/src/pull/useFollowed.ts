import type { LiveEvent } from '@olvet/core';
import { useEffect } from 'react';
import { api } from '../app/api';
import { useAppDispatch } from '../app/store';
import { stream } from '../live/stream';
import type { Recorder } from './recorder';

/**
 * Feeds a recorder from the stream, in order: at first and after every break with what was missed, and what comes meanwhile waits
 * behind that.
 */
export function useFollowed(recorder: Recorder, scaleId: string | null, machineId: string | null): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const ids = [scaleId, machineId].filter((id) => id !== null);
    let waiting: LiveEvent[] | null = null;
    const catchUp = async (id: string): Promise<void> => {
      const { pull } = recorder.snapshot();
      const followed = pull.followed[id];
      // What happened before a shot was begun here is another shot's.
      if (pull.startedAt === null && !followed) return;
      const asked = { id, session: followed?.session, after: followed?.lastSeq };
      const asking = api.endpoints.getRecentReports.initiate(asked, { forceRefetch: true, subscribe: false });
      const { data } = await dispatch(asking);
      if (!data?.session) return;
      recorder.take({ kind: 'reports', deviceId: id, session: data.session, reports: data.reports as never });
    };
    const catchUpAll = async (): Promise<void> => {
      if (waiting) return;
      waiting = [];
      await Promise.all(ids.map((id) => catchUp(id).catch(() => {})));
      const since: LiveEvent[] = waiting;
      waiting = null;
      for (const event of since) recorder.take(event);
    };
    void catchUpAll();
    return stream.listen(
      (event) => {
        if (waiting) waiting.push(event);
        else recorder.take(event);
      },
      () => void catchUpAll(),
    );
  }, [recorder, scaleId, machineId, dispatch]);
}
