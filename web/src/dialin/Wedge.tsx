import type { Variable } from './settings';
import styles from './Wedge.module.css';

const WORDS: Record<Variable, [string, string]> = {
  grind: ['finer', 'coarser'],
  doseGrams: ['less', 'more'],
  yieldGrams: ['less', 'more'],
  temperatureC: ['cooler', 'hotter'],
};

/** The filled wedge of a changed cell: up = coarser or more, down = finer or less. */
export function Wedge({ lever, direction }: { lever: Variable; direction: -1 | 0 | 1 }) {
  if (direction === 0) return null;
  return (
    <>
      <svg width="15" height="12" viewBox="0 0 15 12" className={styles.wedge} aria-hidden>
        <path d={direction > 0 ? 'M0 12 L7.5 0 L15 12 Z' : 'M0 0 L15 0 L7.5 12 Z'} fill="currentColor" />
      </svg>
      <span className="visually-hidden">{WORDS[lever][direction > 0 ? 1 : 0]}, </span>
    </>
  );
}
