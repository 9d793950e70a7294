import { useRef } from 'react';
import { v7 } from 'uuid';
import { api, usePutCoffeeChangeMutation, type ProposalView, type StationView } from '../app/api';
import { useAppDispatch } from '../app/store';

const READ = { subscribe: false, forceRefetch: true } as const;

/** Puts another coffee into the hopper of a station. */
export function useCoffeeChange(station: StationView) {
  const [put, { isLoading, error }] = usePutCoffeeChangeMutation();
  const dispatch = useAppDispatch();
  // Kept over retries, so that sending again is the same change.
  const pendingId = useRef(v7());
  return {
    isSaving: isLoading,
    error,
    propose: (coffeeId: string): Promise<ProposalView> =>
      dispatch(api.endpoints.getProposal.initiate({ id: station.id, coffeeId }, READ)).unwrap(),
    /** The station as it stands then; null where it was refused. */
    change: async (proposal: ProposalView, thrownGrams: number | null): Promise<StationView | null> => {
      const { coffeeId: toCoffeeId, bagId, methodId, target, grind } = proposal;
      const changedAt = new Date().toISOString();
      const where = { stationId: station.id, toCoffeeId, bagId, changedAt, thrownGrams };
      const coffeeChangeDto = { ...where, methodId, target, grind };
      const done = await put({ id: pendingId.current, coffeeChangeDto });
      if ('error' in done) return null;
      pendingId.current = v7();
      return dispatch(api.endpoints.getStation.initiate({ id: station.id }, READ)).unwrap();
    },
  };
}
