import type { Cause, Settings, ShotLine } from '@olvet/core';
import { App } from 'antd';
import { useRef } from 'react';
import { v7 } from 'uuid';
import { usePutRunMutation, usePutShotMutation, type SheetShotView, type SheetView } from '../app/api';
import { withoutRow } from '../parts/withoutRow';
import { newShotDto, storedShotDto } from './shotDto';
import { useDoubts } from './useDoubts';

/** What a run sheet writes. */
export function useSheetWriting(sheet: SheetView) {
  const [putShot, shotState] = usePutShotMutation();
  const [putRun, runState] = usePutRunMutation();
  const { modal } = App.useApp();
  const isMeant = useDoubts(sheet);
  /** Kept until the shot is saved, so that a second try after a broken line is the same shot. */
  const pendingId = useRef(v7());
  /** One shot at a time: what is pressed twice is meant once. */
  const isBusy = useRef(false);
  return {
    error: shotState.error ?? runState.error,
    isSaving: shotState.isLoading,
    /** false where it was not saved: doubted and to be corrected, or refused. */
    saveShot: async (aim: Settings, line: ShotLine): Promise<boolean> => {
      if (isBusy.current) return false;
      isBusy.current = true;
      try {
        if (!(await isMeant(line, aim))) return false;
        const shotDto = newShotDto(sheet, aim, line, new Date());
        const done = await putShot({ id: pendingId.current, shotDto });
        if ('error' in done) return false;
        pendingId.current = v7();
        return true;
      } finally {
        isBusy.current = false;
      }
    },
    sayCause: (shot: SheetShotView, cause: Cause | null): void => {
      void putShot({ id: shot.id, shotDto: storedShotDto(shot, { cause }) });
    },
    giveUp: (): void => {
      modal.confirm({
        title: 'Give this dial-in up?',
        content: 'The shots stay, and what they taught of the grinder is kept. No card is written.',
        okText: 'Give up',
        cancelText: 'Go on',
        onOk: async () => {
          const { run } = sheet;
          const endedAt = new Date().toISOString();
          await putRun({ id: run.id, runDto: { ...withoutRow(run), status: 'given-up', endedAt } });
        },
      });
    },
  };
}
