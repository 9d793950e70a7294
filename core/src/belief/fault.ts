import { sawChannel, type Pour } from './pour';

/** What went wrong with a shot did this to it, and makes it say so much less than another. */
export interface Fault {
  /** Its time, as a share of what its settings would have taken. */
  speed: number;
  /** Points that its balance and body lie from what its settings would have given. */
  balance: number;
  body: number;
  /** How many times wider its time scatters. */
  timeDoubt: number;
  /** What its words stray by beside the tongue, points. */
  tasteSd: number;
}

const NONE: Fault = { speed: 1, balance: 0, body: 0, timeDoubt: 1, tasteSd: 0 };
/** The dose was off, the group was cold: which way that went nobody knows. */
const ANY_WAY: Fault = { speed: 1, balance: 0, body: 0, timeDoubt: 4, tasteSd: 1.7 };
/** Harsh, or uneven below: perhaps water ran round some of the coffee. */
const UNEVEN: Fault = { ...ANY_WAY, speed: 0.95 };
/**
 * Water that runs round the coffee is quick and takes little with it: such a shot is faster, more sour and thinner than its settings, more so
 * where the puck gave way altogether. Left out, every channel is held against the settings. All figures [assumed], with wide spreads, and short
 * of what the benchmark's two physics show, so that a milder channel misleads less.
 */
const CHANNEL: Fault = { speed: 0.88, balance: -0.7, body: -0.4, timeDoubt: 2, tasteSd: 0.8 };
const GAVE_WAY: Fault = { speed: 0.85, balance: -1, body: -0.6, timeDoubt: 2.5, tasteSd: 1 };

export function faultOf(pour: Pour): Fault {
  const { cause, seen, sound } = pour;
  if (sound) return NONE;
  if (cause === 'dose-off' || cause === 'cold-group') return ANY_WAY;
  if (seen.includes('late-rush')) return GAVE_WAY;
  const isOnlyUneven = !sawChannel({ cause, seen: seen.filter((sign) => sign !== 'dead-spots') });
  return isOnlyUneven ? UNEVEN : CHANNEL;
}
