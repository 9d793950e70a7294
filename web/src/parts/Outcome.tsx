import type { ReactNode } from 'react';
import styles from './Outcome.module.css';

export type Side = 'low' | 'on' | 'high';
/** On neither side, and yet not on target. */
export type Outcome = Side | 'off';

/** Where a value lies against its window. */
export function sideOf(value: number, low: number, high: number): Side {
  return value < low ? 'low' : value > high ? 'high' : 'on';
}

const SHAPES: Record<Outcome, ReactNode> = {
  low: <path d="M2 2 L2 18 L18 18 Z" />,
  high: <path d="M2 2 L18 2 L18 18 Z" />,
  on: <circle cx="10" cy="10" r="8" />,
  off: <circle cx="10" cy="10" r="6.5" className={styles.ring} />,
};

/** The outcome mark: ◣ fast or sour, ● on target, ◥ slow or bitter, ○ off in something else. Shape first, colour second. */
export function OutcomeMark({ side, size = 18 }: { side: Outcome; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 20 20" className={styles[side]} aria-hidden>
      {SHAPES[side]}
    </svg>
  );
}

/** Class that colours text like its mark. */
export function outcomeClass(side: Outcome): string {
  return styles[side]!;
}
