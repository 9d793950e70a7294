import MinusOutlined from '@ant-design/icons/MinusOutlined';
import PlusOutlined from '@ant-design/icons/PlusOutlined';
import { plainNumber, roundTo } from '@olvet/core';
import { Button } from 'antd';
import { NumberInput } from './NumberInput';
import styles from './Stepper.module.css';
import { readMillilitres } from './typedUnits';

export interface StepperProps {
  id: string;
  label: string;
  unit: string;
  value: number | null;
  step: number;
  min: number;
  max: number;
  /** Where the first tap on + or − starts when nothing is entered yet. */
  from: number;
  /** What was planned, as a pale hint in the empty field; it counts for nothing. */
  hint?: number | null;
  onChange: (value: number | null) => void;
}

/** A glass may be marked in ounces. */
const IN_MILLILITRES = { parser: (text?: string) => readMillilitres(text ?? '') as unknown as number };

/** A number for wet fingers: large − and +, or typed; decimal comma or point. */
export function Stepper({ id, label, unit, value, step, min, max, from, hint, onChange }: StepperProps) {
  const tap = (direction: 1 | -1): void => {
    const next = value === null ? from : roundTo(value + direction * step, 2);
    onChange(Math.min(max, Math.max(min, next)));
  };
  return (
    <div className={styles.stepper}>
      <label htmlFor={id}>
        {label} <span className="quiet">{unit}</span>
      </label>
      <div className={styles.row}>
        <Button size="large" icon={<MinusOutlined />} aria-label={`Less ${label}`} onClick={() => tap(-1)} />
        <NumberInput
          id={id}
          size="large"
          className={styles.number}
          value={value}
          {...(unit === 'ml' ? IN_MILLILITRES : {})}
          placeholder={hint == null ? undefined : plainNumber(hint)}
          step={step}
          min={min}
          max={max}
          onChange={(next) => onChange(typeof next === 'number' && Number.isFinite(next) ? next : null)}
        />
        <Button size="large" icon={<PlusOutlined />} aria-label={`More ${label}`} onClick={() => tap(1)} />
      </div>
    </div>
  );
}
