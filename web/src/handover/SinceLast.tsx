import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useGetHappenedQuery } from '../app/api';
import { useAppSelector } from '../app/store';
import { dayAndTime } from '../parts/format';
import { countedInWords } from './happenedWords';
import styles from './HandOverPage.module.css';
import { comeBack } from './lastHere';

/** For whoever comes back to a tablet: what happened since they were last here. Heard on every page, said on the bar. */
export function SinceLast() {
  const person = useAppSelector((state) => state.settings.person);
  return person === '' ? null : <SinceLastOf key={person} person={person} />;
}

function SinceLastOf({ person }: { person: string }) {
  const { pathname } = useLocation();
  const [since, setSince] = useState<string | null>(null);
  useEffect(() => {
    // A hand on the tablet is there; a page that lies open overnight is not.
    const touched = (): void => {
      const at = comeBack(person, Date.now());
      if (at !== null) setSince(new Date(at).toISOString());
    };
    touched();
    const events = ['pointerdown', 'keydown'] as const;
    for (const event of events) window.addEventListener(event, touched, { passive: true });
    return () => {
      for (const event of events) window.removeEventListener(event, touched);
    };
  }, [person]);
  if (since === null || pathname !== '/') return null;
  return <Line since={since} onRead={() => setSince(null)} />;
}

function Line({ since, onRead }: { since: string; onRead: () => void }) {
  const { data } = useGetHappenedQuery({ since });
  const words = data ? countedInWords(data.items) : '';
  const note = data?.lastHandOver && data.lastHandOver.at > since ? data.lastHandOver.note : '';
  if (words === '' && note === '') return null;
  return (
    <p className={styles.since} role="status">
      <span>
        Since you were last here, {dayAndTime(since)}: {words || 'nothing changed'}.{note && ` “${note}”`}
      </span>
      <Link to={`/hand-over?since=${since}`}>See what</Link>
      <Button size="small" type="text" onClick={onRead}>
        Read
      </Button>
    </p>
  );
}
