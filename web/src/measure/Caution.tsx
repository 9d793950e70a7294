import type { ReactNode } from 'react';
import styles from './MeasurePage.module.css';

/** What can hurt, where the step is. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <p className={styles.caution}>
      <strong>Mind:</strong> {children}
    </p>
  );
}
