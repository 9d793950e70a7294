import styles from './Outcome.module.css';

export type Side = 'low' | 'on' | 'high';

/** Where a value lies against its window. */
export function sideOf(value: number, low: number, high: number): Side {
  return value < low ? 'low' : value > high ? 'high' : 'on';
}

const PATHS: Record<Side, string> = {
  low: 'M2 2 L2 18 L18 18 Z',
  high: 'M2 2 L18 2 L18 18 Z',
  on: '',
};

/** The outcome mark: ◣ fast or sour, ● on target, ◥ slow or bitter. Shape first, colour second. */
export function OutcomeMark({ side, size = 18 }: { side: Side; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 20 20" className={styles[side]} aria-hidden>
      {side === 'on' ? <circle cx="10" cy="10" r="8" /> : <path d={PATHS[side]} />}
    </svg>
  );
}

/** Class that colours text like its mark. */
export function outcomeClass(side: Side): string {
  return styles[side]!;
}
