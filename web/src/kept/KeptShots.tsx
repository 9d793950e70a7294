import { Alert, Button } from 'antd';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../app/store';
import { stream } from '../live/stream';
import { dayAndTime } from '../parts/format';
import { plural } from '../parts/plural';
import { sendKept, throwAway, tryAgain } from './keptShots';
import { ifItCan, tabletDb, type KeptShot } from './tabletDb';

const AGAIN_MS = 4000;
/** What is on its way is no news yet. */
const SHOWN_AFTER_MS = 2500;

/** Sends what this tablet keeps, and says so while there is something to send. */
export function KeptShots() {
  const dispatch = useAppDispatch();
  const [kept, setKept] = useState<KeptShot[]>([]);
  useEffect(() => {
    if (typeof indexedDB === 'undefined') return;
    const look = (): Promise<KeptShot[]> =>
      ifItCan(async () => {
        const all = await tabletDb.shots.toArray();
        return all.filter(({ keptAt }) => Date.now() - keptAt > SHOWN_AFTER_MS);
      }, []);
    const watching = liveQuery(look).subscribe({ next: setKept });
    const trying = setInterval(() => {
      void look().then((found) => {
        setKept((before) => (before.length === 0 && found.length === 0 ? before : found));
        if (found.length > 0) void dispatch(sendKept());
      });
    }, AGAIN_MS);
    const now = (): void => void dispatch(sendKept());
    window.addEventListener('online', now);
    const ended = stream.listen(() => {}, now);
    return () => {
      watching.unsubscribe();
      clearInterval(trying);
      window.removeEventListener('online', now);
      ended();
    };
  }, [dispatch]);
  const waiting = kept.filter(({ refused }) => !refused).length;
  return (
    <>
      {waiting > 0 && (
        <Alert
          banner
          type="warning"
          title={`${plural(waiting, 'shot')} kept on this tablet, sent as soon as Olvet’s server answers. Leave the page open.`}
        />
      )}
      {kept.map(
        ({ id, refused, keptAt }) =>
          refused && (
            <Alert
              key={id}
              banner
              type="error"
              title={`The shot of ${dayAndTime(new Date(keptAt).toISOString())} is still on this tablet: ${refused}.`}
              action={
                <>
                  <Button onClick={() => void tryAgain(id)}>Try again</Button>{' '}
                  <Button onClick={() => void throwAway(id)}>Give it up</Button>
                </>
              }
            />
          ),
      )}
    </>
  );
}
