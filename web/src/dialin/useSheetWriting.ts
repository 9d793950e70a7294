import type { Cause, Settings, ShotLine } from '@olvet/core';
import { App } from 'antd';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { usePutRunMutation, usePutShotMutation, type SheetShotView, type SheetView } from '../app/api';
import { saveShot as saveOrKeep } from '../kept/keptShots';
import type { Watched } from '../pull/PullPanel';
import { saved } from '../app/justSavedSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import { shotFromLine } from '../parts/shotFromLine';
import { useShopHours } from '../parts/useShopHours';
import { withoutRow } from '../parts/withoutRow';
import { storedShotDto } from './shotDto';
import { useDoubts } from './useDoubts';
import { useOffPlan } from './useOffPlan';

const IDLE = { isSaving: false, refused: undefined as unknown };

/** A shot that was watched from its start, under the id it has had since then. */
export interface PulledShot {
  id: string;
  watched: Watched;
}

/** What a run sheet writes. */
export function useSheetWriting(sheet: SheetView) {
  const [putShot, shotState] = usePutShotMutation();
  const [{ isSaving, refused }, setSaving] = useState<{ isSaving: boolean; refused: unknown }>(IDLE);
  const [putRun, runState] = usePutRunMutation();
  const { modal } = App.useApp();
  const dispatch = useAppDispatch();
  const person = useAppSelector((state) => state.settings.person);
  const hours = useShopHours();
  const askDoubts = useDoubts(sheet);
  const { question, aimOf } = useOffPlan();
  /** Kept until the shot is saved, so that a second try after a broken line is the same shot. */
  const pendingId = useRef(v7());
  /** One shot at a time: what is pressed twice is meant once. */
  const isBusy = useRef(false);
  const { run, shots } = sheet;

  const store = async (aim: Settings, line: ShotLine, pulled?: PulledShot): Promise<boolean> => {
    const doubt = await askDoubts(line, aim);
    if (doubt === 'to-correct') return false;
    // One question is enough, and a glass strays by more than is worth one.
    const planned = sheet.hasScale && doubt === 'no-doubt' ? await aimOf(line, aim) : aim;
    if (planned === null) return false;
    const place = { runId: run.id, stationId: run.stationId, kind: 'dial-in' as const, timer: run.target.timer };
    const now = new Date();
    const shotDto = { ...shotFromLine(line, { ...place, aim: planned, person, now, hours }), ...pulled?.watched };
    const id = pulled?.id ?? pendingId.current;
    setSaving({ isSaving: true, refused: undefined });
    const done = await dispatch(saveOrKeep(id, shotDto));
    setSaving({ isSaving: false, refused: done.is === 'refused' ? done.error : undefined });
    if (done.is === 'refused') return false;
    pendingId.current = v7();
    dispatch(saved({ place: run.id, shotIds: [id], what: `Shot ${shots.length + 1}`, at: now.getTime() }));
    return true;
  };
  return {
    error: refused ?? shotState.error ?? runState.error,
    isSaving,
    /** What must be answered before a shot is saved; null where nothing is asked. */
    question,
    /** false where it was not saved: doubted and to be corrected, or refused. */
    saveShot: async (aim: Settings, line: ShotLine, pulled?: PulledShot): Promise<boolean> => {
      if (isBusy.current) return false;
      isBusy.current = true;
      try {
        return await store(aim, line, pulled);
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
          const endedAt = new Date().toISOString();
          await putRun({ id: run.id, runDto: { ...withoutRow(run), status: 'given-up', endedAt } });
        },
      });
    },
  };
}
