import type { Variable } from './settings';
import styles from './ValueCell.module.css';
import { Wedge } from './Wedge';

/** A poured value: loud where it was changed on purpose, quiet where it was kept. */
export function ValueCell({ text, direction, lever }: { text: string; direction: -1 | 0 | 1; lever: Variable }) {
  return (
    <td>
      <span className={`numeral ${direction === 0 ? styles.kept : styles.changed}`}>
        <Wedge lever={lever} direction={direction} />
        {text}
      </span>
    </td>
  );
}
