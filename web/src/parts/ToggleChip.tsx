import type { ReactNode } from 'react';
import styles from './ToggleChip.module.css';

/** A word that is on or off; a tick and a border say so, not colour alone. */
export function ToggleChip({
  chosen,
  disabled,
  onToggle,
  children,
}: {
  chosen: boolean;
  disabled?: boolean;
  onToggle: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      disabled={disabled}
      className={chosen ? styles.on : styles.off}
      onClick={() => onToggle(!chosen)}
    >
      {chosen && <span aria-hidden>✓ </span>}
      {children}
    </button>
  );
}
