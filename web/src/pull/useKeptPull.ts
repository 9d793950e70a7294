import { useEffect, useRef, useState } from 'react';
import { ifItCan, tabletDb } from '../kept/tabletDb';
import type { LivePull } from './livePull';

/** A shot that nobody came back to for so long is over. */
const FORGOTTEN_MS = 10 * 60_000;

/** The shot of this place that was running, or not saved yet, when its page was left; told once. The function forgets it. */
export function useKeptPull(place: string, onFound: (pull: LivePull) => void): [LivePull | null, () => void] {
  const [kept, setKept] = useState<LivePull | null>(null);
  const found = useRef(onFound);
  useEffect(() => {
    found.current = onFound;
  });
  useEffect(() => {
    let isAsked = true;
    void ifItCan(() => tabletDb.pulls.where({ place }).toArray(), []).then((pulls) => {
      const newest = pulls.sort((one, other) => other.changedAt - one.changedAt)[0];
      const isFresh = newest && newest.startedAt !== null && Date.now() - newest.changedAt < FORGOTTEN_MS;
      if (!isAsked || !isFresh) return;
      setKept(newest);
      found.current(newest);
    });
    return () => {
      isAsked = false;
    };
  }, [place]);
  return [kept, () => setKept(null)];
}
