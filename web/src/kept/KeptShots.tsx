import { Alert } from 'antd';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../app/store';
import { stream } from '../live/stream';
import { plural } from '../parts/plural';
import { sendKept } from './keptShots';
import { ifItCan, tabletDb } from './tabletDb';

const AGAIN_MS = 4000;
/** What is on its way is no news yet. */
const SHOWN_AFTER_MS = 2500;

/** Sends what this tablet keeps, and says so while there is something to send. */
export function KeptShots() {
  const dispatch = useAppDispatch();
  const [count, setCount] = useState(0);
  useEffect(() => {
    if (typeof indexedDB === 'undefined') return;
    const look = (): Promise<number> =>
      ifItCan(async () => {
        const all = await tabletDb.shots.toArray();
        return all.filter(({ keptAt }) => Date.now() - keptAt > SHOWN_AFTER_MS).length;
      }, 0);
    const watching = liveQuery(look).subscribe({ next: setCount });
    const trying = setInterval(() => {
      void look().then((found) => {
        setCount(found);
        if (found > 0) void dispatch(sendKept());
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
  if (count === 0) return null;
  return (
    <Alert
      banner
      type="warning"
      title={`${plural(count, 'shot')} kept on this tablet, sent as soon as Olvet’s server answers. Leave the page open.`}
    />
  );
}
