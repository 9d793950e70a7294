import { parseShotLine, shotLineInWords, type ShotLine } from '@olvet/core';
import { Input, type InputRef } from 'antd';
import type { ReactNode, Ref } from 'react';
import styles from './ShotLineInput.module.css';

export interface ShotLineInputProps {
  id: string;
  label: ReactNode;
  value: string;
  placeholder: string;
  inputRef?: Ref<InputRef>;
  /** Beside the field. */
  beside?: ReactNode;
  /** What would be saved, where that is more than what was typed. */
  said?: ShotLine;
  onChange: (text: string) => void;
}

/** A shot in one line. How it is read stands below while one types; what is not understood is pointed at. */
export function ShotLineInput({ id, label, value, inputRef, beside, said, onChange, placeholder }: ShotLineInputProps) {
  const { shot, problems } = parseShotLine(value);
  const first = problems[0];
  return (
    <div className={styles.line}>
      <label htmlFor={id} className={styles.label}>
        {label}
      </label>
      <Input
        id={id}
        ref={inputRef}
        value={value}
        status={first ? 'error' : ''}
        placeholder={placeholder}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        aria-describedby={`${id}-echo`}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
      />
      {beside}
      <p id={`${id}-echo`} className={first ? styles.problem : styles.echo} aria-live="polite">
        {first && `“${first.text}”: ${first.message}. `}
        {shotLineInWords(said ?? shot)}
      </p>
    </div>
  );
}
