import { parseShotLine, shotLineInWords, type ShotLine } from '@olvet/core';
import { Button, Input, type InputRef } from 'antd';
import { useState, type Ref } from 'react';
import styles from './EntryLine.module.css';

export interface EntryLineProps {
  inputRef: Ref<InputRef>;
  saving: boolean;
  onShot: (line: ShotLine) => Promise<boolean>;
}

/** The shot in one line. How it is read stands below while one types; what is not understood is pointed at. */
export function EntryLine({ inputRef, saving, onShot }: EntryLineProps) {
  const [text, setText] = useState('');
  const { shot, problems } = parseShotLine(text);
  const empty = text.trim() === '';
  const something = Object.keys(shot).length > 0;
  const ready = !empty && problems.length === 0 && something;
  const submit = async (): Promise<void> => {
    if (ready && (await onShot(shot))) setText('');
  };
  return (
    <form
      className={styles.entry}
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <label htmlFor="shot-line" className={styles.label}>
        Shot in one line <kbd>/</kbd>
      </label>
      <Input
        id="shot-line"
        ref={inputRef}
        value={text}
        status={problems.length > 0 ? 'error' : ''}
        placeholder="18.1 > 36.8 in 21.5 sour thin spurts@2"
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        aria-describedby="shot-line-echo"
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
      />
      <Button htmlType="submit" disabled={!ready} loading={saving}>
        Save shot
      </Button>
      <p id="shot-line-echo" className={problems.length > 0 ? styles.problem : styles.echo} aria-live="polite">
        {problems.length > 0 && `“${problems[0]!.text}”: ${problems[0]!.message}. `}
        {something && shotLineInWords(shot)}
      </p>
    </form>
  );
}
