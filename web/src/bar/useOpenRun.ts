import type { CarriedStart } from '@olvet/core';
import { useState } from 'react';
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
  const [{ runId, startedAt }] = useState(() => ({ runId: v7(), startedAt: new Date().toISOString() }));
  const open = async ({ station }: { station: StationView }, start?: CarriedStart | null): Promise<void> => {
    const { coffeeId, basketId, grinderId } = station;
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
