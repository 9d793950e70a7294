import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { usePutRunMutation, type BoardStationView } from '../app/api';

/** Opens a dial-in on a station as it stands, and goes there. */
export function useOpenRun(): {
  open: (standing: BoardStationView) => Promise<void>;
  opening: boolean;
  error: unknown;
} {
  const [putRun, { isLoading, error }] = usePutRunMutation();
  const navigate = useNavigate();
  // Kept over retries: sending again must not make a second run.
  const [{ runId, startedAt }] = useState(() => ({ runId: v7(), startedAt: new Date().toISOString() }));
  const open = async ({ station }: BoardStationView): Promise<void> => {
    const { grinderId, machineId, basketId, coffeeId, methodId, target, grind } = station;
    const runDto = {
      stationId: station.id,
      grinderId,
      machineId,
      basketId,
      coffeeId,
      methodId,
      target,
      startGrind: grind,
      status: 'open' as const,
      startedAt,
    };
    const done = await putRun({ id: runId, runDto });
    if (!('error' in done)) await navigate(`/dial-in/${runId}`);
  };
  return { open, opening: isLoading, error };
}
