import { middleOfLast, plainNumber } from '@olvet/core';
import type { BoardStationView } from '../app/api';
import type { Side } from '../parts/Outcome';

export interface Standing {
  title: string;
  detail: string;
  /** null: nothing known either way. */
  side: Side | null;
  /** Whether a hand is needed now. */
  urgent: boolean;
}

/** A station's state in words. */
export function standingOf({ state, station, shots }: BoardStationView): Standing {
  const { min, max } = station.target.timeSeconds;
  const middle = middleOfLast(shots.flatMap((shot) => (shot.timeSeconds == null ? [] : [shot.timeSeconds])));
  switch (state) {
    case 'dialled':
      return { title: 'Steady', detail: 'The last shots ran in their window.', side: 'on', urgent: false };
    case 'drifting-fast':
      return {
        title: 'Drifting fast',
        detail: `The last three ran about ${plainNumber(min - middle!, 1)} s short.`,
        side: 'low',
        urgent: true,
      };
    case 'drifting-slow':
      return {
        title: 'Drifting slow',
        detail: `The last three ran about ${plainNumber(middle! - max, 1)} s over.`,
        side: 'high',
        urgent: true,
      };
    case 'dialling-in':
      return { title: 'Being dialled in', detail: 'A run sheet is open.', side: null, urgent: true };
    case 'unknown':
      return { title: 'Not pulled today', detail: 'Pull a check shot first.', side: null, urgent: false };
  }
}
