import type { CarriedStart } from '@olvet/core';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { api, usePutRunMutation, type StationView } from '../app/api';
import { useAppDispatch } from '../app/store';
import { runStart } from './openRun';

/** Opens a dial-in on a station as it stands, and goes there. */
export function useOpenRun(): {
  open: (standing: { station: StationView }, start?: CarriedStart | null) => Promise<void>;
  opening: boolean;
  error: unknown;
} {
  const [putRun, { isLoading, error }] = usePutRunMutation();
  const [missing, setMissing] = useState<unknown>();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  // Kept over retries: sending again must not make a second run.
  const first = useRef<{ runId: string; startedAt: string }>(null);
  const open = async ({ station }: { station: StationView }, start?: CarriedStart | null): Promise<void> => {
    const { coffeeId, basketId, grinderId } = station;
    // Begun at the tap: the page may have stood on the bar since the morning.
    const { runId, startedAt } = (first.current ??= { runId: v7(), startedAt: new Date().toISOString() });
    const read = { subscribe: false, forceRefetch: true } as const;
    try {
      const [coffee, grinder, doses] = await Promise.all([
        dispatch(api.endpoints.getCoffee.initiate({ id: coffeeId }, read)).unwrap(),
        dispatch(api.endpoints.getGrinder.initiate({ id: grinderId }, read)).unwrap(),
        dispatch(api.endpoints.listFoundDoses.initiate({ coffeeId, basketId, pageSize: 1 }, read)).unwrap(),
      ]);
      const runDto = runStart({ station, coffee, grinder, foundDose: doses.items[0] ?? null, start, startedAt });
      const done = await putRun({ id: runId, runDto });
      if (!('error' in done)) await navigate(`/dial-in/${runId}`);
    } catch (failed) {
      setMissing(failed);
    }
  };
  return { open, opening: isLoading, error: error ?? missing };
}
