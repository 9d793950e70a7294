import { Button } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useGetHappenedQuery } from '../app/api';
import { useAppSelector } from '../app/store';
import { countedInWords } from './happenedWords';
import styles from './HandOverPage.module.css';
import { AWAY_MS, hereNow, lastHere } from './lastHere';

const EVERY_MS = 60_000;

/** For whoever comes back to a tablet: what happened since they were last here. */
export function SinceLast() {
  const person = useAppSelector((state) => state.settings.person);
  return person === '' ? null : <SinceLastOf key={person} person={person} />;
}

function SinceLastOf({ person }: { person: string }) {
  const [since] = useState(() => awaySince(person));
  const [isRead, read] = useState(false);
  useEffect(() => {
    hereNow(person, Date.now());
    const timer = setInterval(() => hereNow(person, Date.now()), EVERY_MS);
    return () => clearInterval(timer);
  }, [person]);
  if (since === null || isRead) return null;
  return <Line since={since} onRead={() => read(true)} />;
}

function awaySince(person: string): string | null {
  const at = lastHere(person);
  return at !== null && Date.now() - at > AWAY_MS ? new Date(at).toISOString() : null;
}

function Line({ since, onRead }: { since: string; onRead: () => void }) {
  const { data } = useGetHappenedQuery({ since });
  const words = data ? countedInWords(data.items) : '';
  const note = data?.lastHandOver && data.lastHandOver.at > since ? data.lastHandOver.note : '';
  if (words === '' && note === '') return null;
  return (
    <p className={styles.since} role="status">
      <span>
        Since you were last here, {dayjs(since).format('dddd H:mm')}: {words || 'nothing changed'}.
        {note && ` “${note}”`}
      </span>
      <Link to={`/hand-over?since=${since}`}>See what</Link>
      <Button size="small" type="text" onClick={onRead}>
        Read
      </Button>
    </p>
  );
}
