import { roundTo } from '@olvet/core';
import { useEffect, useState } from 'react';

export interface ShotTimer {
  running: boolean;
  seconds: number;
  /** Starts from zero, or stops; the stopped time stays. */
  toggle: () => void;
}

/** A hand-held stopwatch in tenths of a second. */
export function useTimer(onStop: (seconds: number) => void): ShotTimer {
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (startedAt === null) return;
    const tick = setInterval(() => setSeconds((performance.now() - startedAt) / 1000), 100);
    return () => clearInterval(tick);
  }, [startedAt]);
  const toggle = (): void => {
    if (startedAt === null) {
      setSeconds(0);
      setStartedAt(performance.now());
      return;
    }
    const stopped = roundTo((performance.now() - startedAt) / 1000, 1);
    setSeconds(stopped);
    setStartedAt(null);
    onStop(stopped);
  };
  return { running: startedAt !== null, seconds, toggle };
}
