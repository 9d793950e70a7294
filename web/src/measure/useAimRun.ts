import { roundTo } from '@olvet/core';
import { useState } from 'react';
import { api, usePutRunMutation } from '../app/api';
import { useAppDispatch } from '../app/store';
import { withoutRow } from '../parts/withoutRow';

/** Aims an open dial-in at another dose, its yield in ratio. */
export function useAimRun(): { at: (runId: string, doseGrams: number) => Promise<boolean>; error: unknown } {
  const [putRun] = usePutRunMutation();
  const [error, setError] = useState<unknown>();
  const dispatch = useAppDispatch();
  const at = async (runId: string, doseGrams: number): Promise<boolean> => {
    try {
      const read = { subscribe: false, forceRefetch: true } as const;
      const run = await dispatch(api.endpoints.getRun.initiate({ id: runId }, read)).unwrap();
      const yieldGrams = roundTo((run.target.yieldGrams * doseGrams) / run.target.doseGrams, 1);
      const target = { ...run.target, doseGrams: roundTo(doseGrams, 1), yieldGrams };
      await putRun({ id: runId, runDto: { ...withoutRow(run), target } }).unwrap();
      return true;
    } catch (failed) {
      setError(failed);
      return false;
    }
  };
  return { at, error };
}
