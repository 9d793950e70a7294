import type { ReactNode } from 'react';
import styles from './EmptyState.module.css';

/** Teaches: what will stand here, and the one action that fills it. */
export function EmptyState({ title, text, action }: { title: string; text: string; action?: ReactNode }) {
  return (
    <section className={styles.empty}>
      <h1>{title}</h1>
      <p className="quiet">{text}</p>
      {action}
    </section>
  );
}
