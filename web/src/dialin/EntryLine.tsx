import { parseShotLine, type ShotLine } from '@olvet/core';
import { Button, type InputRef } from 'antd';
import { useState, type Ref } from 'react';
import { ShotLineInput } from '../parts/ShotLineInput';

export interface EntryLineProps {
  inputRef: Ref<InputRef>;
  saving: boolean;
  onShot: (line: ShotLine) => Promise<boolean>;
}

/** The shot in one line, and its button. */
export function EntryLine({ inputRef, saving, onShot }: EntryLineProps) {
  const [text, setText] = useState('');
  const { shot, problems } = parseShotLine(text);
  const ready = problems.length === 0 && Object.keys(shot).length > 0;
  const submit = async (): Promise<void> => {
    if (ready && (await onShot(shot))) setText('');
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <ShotLineInput
        id="shot-line"
        label={
          <>
            Shot in one line <kbd>/</kbd>
          </>
        }
        inputRef={inputRef}
        value={text}
        placeholder="18.1 > 36.8 in 21.5 sour thin spurts@2"
        beside={
          <Button htmlType="submit" disabled={!ready} loading={saving}>
            Save shot
          </Button>
        }
        onChange={setText}
      />
    </form>
  );
}
