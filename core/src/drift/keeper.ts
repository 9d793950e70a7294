import type { DayAction, DayMove, DayReasonCode } from './judge';

/** Why the loop holds: a person has to look before it goes on. */
export const HOLD_REASONS = [
  'by-hand',
  'nothing-to-keep',
  'another-clock',
  'no-machine',
  'no-grinder',
  'grinder-elsewhere',
  'grinder-refused',
  'taken-back',
  'bag-opened',
  'hopper-filled',
  'coffee-changed',
  'spoilt-run',
  'did-not-help',
] as const;
export type HoldReason = (typeof HOLD_REASONS)[number];

/** Why it does nothing just now, and goes on by itself. */
export const WAIT_REASONS = ['dialling-in', 'quiet-hours', 'few-shots', 'just-moved', 'day-used-up', 'steady'] as const;
export type WaitReason = (typeof WAIT_REASONS)[number];

/** What a lead allows. */
export interface KeeperLimits {
  /** Never within so many shots of its last move, */
  shotsBetween: number;
  /** and never on fewer of today. */
  fewestShots: number;
  /** HH:MM by the shop's clock: nothing is turned from the one to the other; null: no such hours. */
  quietFrom: string | null;
  quietUntil: string | null;
}

/** At first: small, seldom, and not on a whim. */
export const FIRST_KEEPER = { steps: 1, stepsPerDay: 6, shots: 3 } as const;
/** Water through the group for less than this is a flush, no shot, s. */
export const FLUSH_SECONDS = 10;
/** A device that was silent for longer, s, is not there. */
const STALE_SECONDS = 30;
/** A time off the found one by more than this, ln, was no shot by the recipe; */
const SPOILT_LOG = 0.35;
/** so many of the last few, and a person has to look. */
const SPOILT = { of: 3, shots: 2 };

export interface KeeperFacts {
  /** How the day is judged; null where no card has a found time. */
  judged: { action: DayAction; move: Pick<DayMove, 'grind'> | null; codes: readonly DayReasonCode[] } | null;
  foundSeconds: number;
  /** Today's, newest last. */
  shots: readonly { timeSeconds: number; isSpoilt: boolean }[];
  shotsSinceMove: number | null;
  /** Since when each device was last heard, s; null where there is none. */
  silentSeconds: { machine: number | null; grinder: number | null };
  /** Where the grinder says it stands, and where the station says so. */
  stands: number | null;
  grind: number | null;
  /** Half of what the grinder can tell apart. */
  nearness: number;
  /** What happened at the station that nobody has looked at since. */
  unseen: 'bag-opened' | 'hopper-filled' | 'coffee-changed' | null;
  /** The card counts from where the machine does. */
  isItsClock: boolean;
  isDiallingIn: boolean;
  /** HH:MM by the shop's clock. */
  clock: string;
}

export type KeeperStep = { do: 'turn'; to: number } | { do: 'hold'; why: HoldReason } | { do: 'wait'; why: WaitReason };

type Row<W> = readonly [why: W, when: (facts: KeeperFacts, limits: KeeperLimits) => boolean];

const isStale = (seconds: number | null): boolean => seconds === null || seconds > STALE_SECONDS;

/** The first that is so holds. */
const HOLDS: readonly Row<HoldReason>[] = [
  ['nothing-to-keep', ({ judged, grind }) => judged === null || grind === null],
  ['another-clock', ({ isItsClock }) => !isItsClock],
  ['no-machine', ({ silentSeconds }) => isStale(silentSeconds.machine)],
  ['no-grinder', ({ silentSeconds, stands }) => isStale(silentSeconds.grinder) || stands === null],
  ['grinder-elsewhere', ({ stands, grind, nearness }) => Math.abs(stands! - grind!) > nearness],
  ['coffee-changed', ({ unseen }) => unseen === 'coffee-changed'],
  ['bag-opened', ({ unseen }) => unseen === 'bag-opened'],
  ['hopper-filled', ({ unseen }) => unseen === 'hopper-filled'],
  ['spoilt-run', (facts) => spoiltShots(facts) >= SPOILT.shots],
  ['did-not-help', ({ judged }) => judged!.codes.includes('did-not-help')],
];

/** The first that is so lets it be. */
const WAITS: readonly Row<WaitReason>[] = [
  ['dialling-in', ({ isDiallingIn }) => isDiallingIn],
  ['quiet-hours', ({ clock }, { quietFrom, quietUntil }) => isWithin(clock, quietFrom, quietUntil)],
  ['just-moved', ({ shotsSinceMove }, { shotsBetween }) => shotsSinceMove !== null && shotsSinceMove < shotsBetween],
  ['few-shots', ({ shots }, { fewestShots }) => shots.length < fewestShots],
  ['day-used-up', ({ judged }) => judged!.codes.includes('limit')],
  ['steady', ({ judged }) => judged!.action !== 'move' || judged!.move === null],
];

/** What the loop does now: it holds itself, waits, or turns the grinder to where the day's judgement says. */
export function keeperStep(facts: KeeperFacts, limits: KeeperLimits): KeeperStep {
  const hold = HOLDS.find(([, when]) => when(facts, limits));
  if (hold) return { do: 'hold', why: hold[0] };
  const wait = WAITS.find(([, when]) => when(facts, limits));
  if (wait) return { do: 'wait', why: wait[0] };
  return { do: 'turn', to: facts.judged!.move!.grind.to };
}

function spoiltShots({ shots, foundSeconds }: KeeperFacts): number {
  return shots
    .slice(-SPOILT.of)
    .filter(({ timeSeconds, isSpoilt }) => isSpoilt || Math.abs(Math.log(timeSeconds / foundSeconds)) > SPOILT_LOG)
    .length;
}

/** Hours that end before they begin go over midnight. */
function isWithin(clock: string, from: string | null, until: string | null): boolean {
  if (from === null || until === null || from === until) return false;
  return from < until ? clock >= from && clock < until : clock >= from || clock < until;
}
