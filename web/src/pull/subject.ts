import type { PullPlace } from './usePull';

/** One shot that is to be pulled, wherever it is pulled from. */
export interface PullSubject extends PullPlace {
  /** false where doses are struck level and yields read in a glass. */
  hasScale: boolean;
  /** What the burrs are to run, where a timed grinder doses. */
  ground: { planned: number | null } | null;
  /** To be purged, because the grind was changed; null where it was not. */
  purgeGrams: number | null;
  /** Pressure by hand, a valve or pre-infusion before the pump. */
  preBrew: 'none' | 'pre-infusion' | 'valve' | 'lever';
  /** Water of the valve in 30 s as it was last, g; null where there is none, or nobody weighed it. */
  valveGrams: number | null;
  basketMm: number | null;
  /** Grams at every second of shots to be seen behind this one, the oldest first. */
  earlier: (number | null)[][];
  /** The same of the card's own shot, where it has one. */
  reference: (number | null)[] | null;
}

/** A valve is closed by hand, at the latest after so long; a machine's own pre-infusion is short. */
const SOAK_SECONDS: Record<PullSubject['preBrew'], number | null> = {
  none: null,
  'pre-infusion': 6,
  valve: 40,
  lever: null,
};

export function soakOf(preBrew: PullSubject['preBrew']): Pick<PullSubject, 'soakSeconds' | 'isLever'> {
  return { soakSeconds: SOAK_SECONDS[preBrew], isLever: preBrew === 'lever' };
}
