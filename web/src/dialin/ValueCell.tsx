import type { Variable } from './settings';
import styles from './ValueCell.module.css';
import { Wedge } from './Wedge';

/** A poured value: loud where it was changed on purpose, quiet where it was kept; with what was aimed at, where the hand missed it. */
export function ValueCell({
  text,
  aimedAt,
  direction,
  lever,
  assumed,
}: {
  text: string;
  aimedAt: string | null;
  direction: -1 | 0 | 1;
  lever: Variable;
  /** Nobody measured it: taken as planned. */
  assumed: boolean;
}) {
  return (
    <td>
      <span className={`numeral ${direction === 0 ? styles.kept : styles.changed}`}>
        <Wedge lever={lever} direction={direction} />
        {assumed ? <span className={styles.assumed}>{text}</span> : text}
        {assumed && <span className="visually-hidden"> as planned, not measured</span>}
        {aimedAt && <span className={styles.aim}> for {aimedAt}</span>}
      </span>
    </td>
  );
}
