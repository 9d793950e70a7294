/** How a puck is made, part by part; at a station always the same way, and one part changed at a time (handbook §15). */
export const PREPARATION = {
  distribution: ['by-hand', 'needles', 'shaken', 'spun'],
  levelling: ['none', 'tool'],
  tamp: ['by-hand', 'fixed', 'self-levelling'],
  mist: ['no', 'yes'],
  tap: ['no', 'yes'],
} as const;
export type PreparationPart = keyof typeof PREPARATION;
export type Preparation = { [Part in PreparationPart]: (typeof PREPARATION)[Part][number] };
export const PREPARATION_PARTS = Object.keys(PREPARATION) as PreparationPart[];

/** Parts in which two ways differ. */
export function changedParts(now: Preparation, before: Preparation): PreparationPart[] {
  return PREPARATION_PARTS.filter((part) => now[part] !== before[part]);
}

export interface PuckShot {
  /** Shots of one recipe and grind on one day: what lies between these is the puck's. */
  likeKey: string;
  timeSeconds: number | null;
  /** Somebody looked; a clean puck counts. */
  isLooked: boolean;
  /** Spurts, dead spots, a channel. */
  isUneven: boolean;
}

export interface PuckRecord {
  shots: number;
  /** Spread of single shots among their like, ln of time: about a share of it; null where too few were alike. */
  spread: number | null;
  /** Differences it was told from. */
  freedom: number;
  looked: number;
  uneven: number;
}

/** Fewer say nothing of a spread. */
const LEAST_FREEDOM = 5;

/** How evenly a way of preparing pours: the pooled spread of ln time among shots alike, and how often it ran unevenly. */
export function puckRecord(shots: readonly PuckShot[]): PuckRecord {
  const alike = new Map<string, number[]>();
  for (const { likeKey, timeSeconds } of shots) {
    if (timeSeconds !== null) alike.set(likeKey, [...(alike.get(likeKey) ?? []), Math.log(timeSeconds)]);
  }
  let [squares, freedom] = [0, 0];
  for (const times of alike.values()) {
    const mean = times.reduce((sum, each) => sum + each, 0) / times.length;
    squares += times.reduce((sum, each) => sum + (each - mean) ** 2, 0);
    freedom += times.length - 1;
  }
  const looked = shots.filter(({ isLooked }) => isLooked);
  return {
    ...{ shots: shots.length, freedom, spread: freedom < LEAST_FREEDOM ? null : Math.sqrt(squares / freedom) },
    ...{ looked: looked.length, uneven: looked.filter(({ isUneven }) => isUneven).length },
  };
}

export type PuckComparison = 'steadier' | 'less-steady' | 'alike' | 'unknown';

/** Two spreads differ where their logarithms lie this many standard errors apart. */
const CLEAR = 2;

/** Whether single shots lie closer together than with the way before: the ratio of two spreads against its standard error. */
export function comparePucks(now: PuckRecord, before: PuckRecord): PuckComparison {
  if (now.spread === null || before.spread === null || now.spread * before.spread === 0) return 'unknown';
  const error = Math.sqrt(1 / (2 * now.freedom) + 1 / (2 * before.freedom));
  const ratio = Math.log(now.spread / before.spread);
  if (Math.abs(ratio) < CLEAR * error) return 'alike';
  return ratio < 0 ? 'steadier' : 'less-steady';
}
