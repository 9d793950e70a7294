import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { api, usePutCoffeeChangeMutation, type ProposalView, type StationView } from '../app/api';
import { useAppDispatch } from '../app/store';

const READ = { subscribe: false, forceRefetch: true } as const;

/** Puts another coffee into the hopper of a station; what is tapped twice is meant once. */
export function useCoffeeChange(station: StationView) {
  const [put] = usePutCoffeeChangeMutation();
  const [isBusy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const busy = useRef(false);
  const dispatch = useAppDispatch();
  // Kept over retries, so that sending again is the same change.
  const pendingId = useRef(v7());
  const change = async (proposal: ProposalView, thrownGrams: number | null): Promise<StationView> => {
    const { coffeeId: toCoffeeId, bagId, methodId, target, grind } = proposal;
    const changedAt = new Date().toISOString();
    const where = { stationId: station.id, toCoffeeId, bagId, changedAt, thrownGrams };
    await put({ id: pendingId.current, coffeeChangeDto: { ...where, methodId, target, grind } }).unwrap();
    pendingId.current = v7();
    return dispatch(api.endpoints.getStation.initiate({ id: station.id }, READ)).unwrap();
  };
  const once = async <T>(act: () => Promise<T>): Promise<T | null> => {
    if (busy.current) return null;
    busy.current = true;
    setBusy(true);
    try {
      return await act();
    } catch (failed) {
      setError(failed);
      return null;
    } finally {
      busy.current = false;
      setBusy(false);
    }
  };
  return {
    isBusy,
    error,
    /** The station as it stands then; null where it was refused. */
    change: (proposal: ProposalView, thrownGrams: number | null) => once(() => change(proposal, thrownGrams)),
    /** Asks for the proposal and takes it; null where it was refused. */
    backTo: (coffeeId: string) =>
      once(async () => {
        const proposal = await dispatch(
          api.endpoints.getProposal.initiate({ id: station.id, coffeeId }, READ),
        ).unwrap();
        await change(proposal, null);
        return proposal;
      }),
  };
}
