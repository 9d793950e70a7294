import type { ShotLine } from '@olvet/core';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import type { BoardCardView, BoardStationView } from '../app/api';
import { saved } from '../app/justSavedSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import type { PulledShot } from '../dialin/useSheetWriting';
import { saveShot } from '../kept/keptShots';
import { shotFromLine } from '../parts/shotFromLine';
import { useShopHours } from '../parts/useShopHours';
import { ANY_BASKET, useDoubts } from '../dialin/useDoubts';
import { toldBy, type ServiceAim } from './service';

/** Stores a shot of service at a station, and remembers it so that it can be undone from there. */
export function useServiceShot({ station }: Pick<BoardStationView, 'station'>) {
  const [{ isLoading, error }, setSaving] = useState<{ isLoading: boolean; error?: unknown }>({ isLoading: false });
  const dispatch = useAppDispatch();
  const person = useAppSelector((state) => state.settings.person);
  const hours = useShopHours();
  const askDoubts = useDoubts({ basket: ANY_BASKET, run: station });
  // Kept over retries, so that sending again is the same shot.
  const pendingId = useRef(v7());
  const isBusy = useRef(false);
  const save = async (
    line: ShotLine,
    { settings, timer }: ServiceAim,
    { isCheck, card }: { isCheck: boolean; card: BoardCardView | undefined },
    pulled?: PulledShot,
  ): Promise<boolean> => {
    if (isBusy.current) return false;
    isBusy.current = true;
    try {
      if ((await askDoubts(line, { ...settings, grind: settings.grind ?? 0 })) === 'to-correct') return false;
      const id = pulled?.id ?? pendingId.current;
      const now = new Date();
      const place = { stationId: station.id, cardVersionId: card?.versionId ?? null };
      const kind = isCheck ? ('check' as const) : ('service' as const);
      const shotDto = {
        ...shotFromLine(line, { ...place, kind, aim: settings, timer, person, now, hours }),
        ...pulled?.watched,
      };
      setSaving({ isLoading: true });
      const done = await dispatch(saveShot(id, shotDto));
      setSaving({ isLoading: false, error: done.is === 'refused' ? done.error : undefined });
      if (done.is === 'refused') return false;
      pendingId.current = v7();
      dispatch(saved({ place: station.id, shotIds: [id], what: toldBy(line), at: now.getTime() }));
      return true;
    } finally {
      isBusy.current = false;
    }
  };
  return { save, isSaving: isLoading, error };
}
