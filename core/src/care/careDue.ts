import type { CareInterval } from './tasks';

/** What went by since a task was done last, in the units of its interval. */
export type CareSince = Readonly<Record<keyof CareInterval, number>>;

export interface CareDue {
  /** Of its interval, whichever part is furthest; null where nothing makes it due. */
  share: number | null;
  isDue: boolean;
  /** Days from today to when it falls due at this pace, zero where it is due; null where nothing tells. */
  inDays: number | null;
}

const PARTS = ['days', 'shots', 'kg'] as const;

/**
 * Whether a task is due. The first of its days, shots and kilograms decides.
 *
 * @param perDay how many shots and kilograms a day brings here
 */
export function careDue(every: CareInterval, since: CareSince, perDay: Omit<CareSince, 'days'>): CareDue {
  const pace = { ...perDay, days: 1 };
  const parts = PARTS.flatMap((part) => {
    const most = every[part];
    return most === undefined ? [] : [{ share: since[part] / most, days: (most - since[part]) / pace[part] }];
  });
  if (parts.length === 0) return { share: null, isDue: false, inDays: null };
  const share = Math.max(...parts.map((part) => part.share));
  const soonest = Math.min(...parts.map(({ days }) => (Number.isNaN(days) ? Infinity : days)));
  const inDays = share >= 1 ? 0 : Math.ceil(soonest);
  return { share, isDue: share >= 1, inDays: Number.isFinite(inDays) ? inDays : null };
}
