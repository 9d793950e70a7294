import MinusOutlined from '@ant-design/icons/MinusOutlined';
import PlusOutlined from '@ant-design/icons/PlusOutlined';
import type { KeyboardEvent } from 'react';
import styles from './GhostCell.module.css';
import sheetStyles from './RunSheet.module.css';
import type { Variable } from './settings';
import { Wedge } from './Wedge';

export interface GhostCellProps {
  name: string;
  lever: Variable;
  text: string;
  direction: -1 | 0 | 1;
  /** null while the shot is being pulled: what is set is set. */
  onNudge: ((direction: 1 | -1) => void) | null;
}

/** A setting of the next shot, to be changed by taps or by the arrow keys until it is pulled. */
export function GhostCell({ name, lever, text, direction, onNudge }: GhostCellProps) {
  const look = `numeral ${styles.value} ${direction === 0 ? '' : styles.changed}`;
  const value = (
    <>
      <Wedge lever={lever} direction={direction} />
      {text}
    </>
  );
  if (!onNudge) {
    return (
      <td className={sheetStyles.next}>
        <div className={styles.cell}>
          <span className={look}>{value}</span>
        </div>
      </td>
    );
  }
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key] as 1 | -1 | undefined;
    if (!by) return;
    event.preventDefault();
    onNudge(by);
  };
  return (
    <td className={sheetStyles.next}>
      <div className={styles.cell}>
        <button
          type="button"
          className={styles.step}
          onClick={() => onNudge(-1)}
          aria-label={`Next ${name}: one step down`}
          tabIndex={-1}
        >
          <MinusOutlined />
        </button>
        <span
          className={look}
          role="spinbutton"
          tabIndex={0}
          aria-label={`Next ${name}`}
          aria-valuenow={Number(text)}
          aria-valuetext={text}
          onKeyDown={onKeyDown}
        >
          {value}
        </span>
        <button
          type="button"
          className={styles.step}
          onClick={() => onNudge(1)}
          aria-label={`Next ${name}: one step up`}
          tabIndex={-1}
        >
          <PlusOutlined />
        </button>
      </div>
    </td>
  );
}
