import { clockTimeOf, middleOfLast, plainNumber, type ShopHours } from '@olvet/core';
import type { BoardStationView, DueCheckView, JudgedDayView } from '../app/api';
import type { Side } from '../parts/Outcome';

/** Let be for a reason, a drift is not asked about again before so many shots have shown how it goes on. */
const LEFT_FOR_SHOTS = 3;

export interface Standing {
  title: string;
  detail: string;
  /** null: nothing known either way. */
  side: Side | null;
  /** Whether a hand is needed now. */
  urgent: boolean;
}

/** A station's state in words. */
export function standingOf({ state, station, shots, day }: BoardStationView): Standing {
  if (day && state !== 'dialling-in') return judgedStanding(day);
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
      return { title: 'Not pulled today', detail: '', side: null, urgent: false };
  }
}

const JUDGED: Record<JudgedDayView['state'], Omit<Standing, 'detail' | 'urgent'>> = {
  unknown: { title: 'Not pulled today', side: null },
  steady: { title: 'Steady', side: 'on' },
  'odd-shot': { title: 'One odd shot', side: null },
  'drifting-fast': { title: 'Drifting fast', side: 'low' },
  'drifting-slow': { title: 'Drifting slow', side: 'high' },
};

/** Against the time its card was found at. Let be for a reason, a drift waits a few shots. */
function judgedStanding({ state, action, why, lastMove, shotsSince }: JudgedDayView): Standing {
  const isTurned = lastMove?.answer === 'turned' && shotsSince === 0;
  if (isTurned) return { title: 'Turned', detail: why.join(' '), side: null, urgent: false };
  const isLeft = lastMove?.answer === 'left' && shotsSince < LEFT_FOR_SHOTS;
  const detail = state === 'unknown' ? '' : why.join(' ');
  return { ...JUDGED[state], detail, urgent: (action === 'move' || action === 'dial-in') && !isLeft };
}

/** When the next check shot is due, or why it is due now. */
export function checkInWords({ dueAt, reason, isDue }: DueCheckView, hours: ShopHours): string {
  const hour = clockTimeOf(new Date(dueAt), hours);
  if (!isDue) return `Next check at ${hour}.`;
  if (reason === 'drift') return 'A check shot is due.';
  if (reason === 'opening') return 'A check shot is due: none today yet.';
  return reason === 'new-bag' ? `A check shot is due: new bag at ${hour}.` : `A check shot is due since ${hour}.`;
}
