import { snap } from '@olvet/core';
import { useId, useState } from 'react';
import { leaveField, NumberInput } from '../parts/NumberInput';
import { typedNumber } from '../parts/typedNumber';
import styles from './TastePanel.module.css';

const SCALE = { min: 0, max: 10, step: 0.5 };

interface MarkProps {
  label: string;
  value: number | null;
  disabled: boolean;
  onMark: (mark: number | null) => void;
}

/** A mark of ten in halves, kept when the field is left. */
export function Mark({ label, value, disabled, onMark }: MarkProps) {
  const id = useId();
  const [left, setLeft] = useState(0);
  const leave = (text: string): void => {
    const typed = typedNumber(text);
    const mark = typed === null ? null : snap(typed, SCALE);
    if (mark !== value) onMark(mark);
    // What the scale does not hold is shown as what was kept of it.
    setLeft(left + 1);
  };
  return (
    <div className={styles.mark}>
      <label htmlFor={id} className="quiet small">
        {label}
      </label>
      <NumberInput
        id={id}
        className={styles.full}
        key={`${value}/${left}`}
        suffix="/ 10"
        defaultValue={value ?? undefined}
        disabled={disabled}
        onBlur={(event) => leave(event.target.value)}
        onPressEnter={leaveField}
      />
    </div>
  );
}
