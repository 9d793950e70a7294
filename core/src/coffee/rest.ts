import type { Roast } from '../brew/types';

/** A stretch in the freezer, whole days; `to` is null while it still lies there. */
export interface FrozenSpell {
  from: string;
  to: string | null;
}

export const REST_PHASES = ['too-fresh', 'settling', 'best', 'fading', 'past'] as const;
export type RestPhase = (typeof REST_PHASES)[number];

/** Days off roast at which a coffee changes phase. */
export interface RestBand {
  /** Before this: gassy, spurts, every shot differs. */
  settlesDay: number;
  bestFromDay: number;
  bestUntilDay: number;
  /** After this: flat, fast, little crema. */
  pastDay: number;
}

export interface Rest {
  phase: RestPhase;
  band: RestBand;
  /** Days of ageing: days off roast, less what the freezer spared. */
  ageDays: number;
  /** Day it comes into its own, and the last day of that, YYYY-MM-DD; null while it lies frozen. */
  bestFrom: string | null;
  bestUntil: string | null;
  reason: string;
}

/**
 * Espresso is usually best 10–28 days after roast: that is the medium band. Lighter roasts let their gas go more slowly
 * and keep longer, darker ones are quicker at both ends [the shifts are an assumption, to be corrected by taste].
 */
const BANDS: Record<Roast, RestBand> = {
  light: { settlesDay: 8, bestFromDay: 14, bestUntilDay: 38, pastDay: 60 },
  'medium-light': { settlesDay: 7, bestFromDay: 12, bestUntilDay: 33, pastDay: 52 },
  medium: { settlesDay: 5, bestFromDay: 10, bestUntilDay: 28, pastDay: 45 },
  'medium-dark': { settlesDay: 4, bestFromDay: 8, bestUntilDay: 24, pastDay: 38 },
  dark: { settlesDay: 3, bestFromDay: 6, bestUntilDay: 20, pastDay: 32 },
};
/** Ageing in a freezer against that on the shelf: near standstill, not quite (ordinary practice). */
const FROZEN_PACE = 0.05;
const DAY_MS = 86_400_000;

const WHY: Record<RestPhase, string> = {
  'too-fresh': 'It is still full of gas: it spurts, and the same setting pours differently from day to day.',
  settling: 'The gas is going. It can be dialled in, but expect to follow it finer or coarser for some days.',
  best: 'Gas and aroma are in balance: the best days to dial in.',
  fading: 'It begins to lose aroma and pours faster by the day: a little finer now and then.',
  past: 'It is past its best: flat, fast and thin, with little crema. A fresh bag is worth more than another shot.',
};

/**
 * Where a bag stands today on its way from too fresh to past it.
 * @param days calendar days, YYYY-MM-DD; frozen spells may not overlap
 */
export function restOf(days: {
  roastedOn: string;
  today: string;
  roast: Roast;
  frozen?: readonly FrozenSpell[];
}): Rest {
  const band = BANDS[days.roast];
  const frozen = (days.frozen ?? []).map(({ from, to }) => ({
    from: Math.max(dayNumber(from), dayNumber(days.roastedOn)),
    to: to === null ? Infinity : dayNumber(to),
  }));
  const ageOn = (day: number): number => {
    const spared = frozen.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(day, to) - from), 0);
    return Math.max(0, day - dayNumber(days.roastedOn) - (1 - FROZEN_PACE) * spared);
  };
  const today = dayNumber(days.today);
  const ageDays = ageOn(today);
  const { phase, reason } = restAt(ageDays, days.roast);
  const isFrozen = frozen.some(({ from, to }) => from <= today && to === Infinity);
  const dayOf = (age: number): string => {
    let day = dayNumber(days.roastedOn);
    while (ageOn(day) < age) day += 1;
    return dayText(day);
  };
  return {
    phase,
    band,
    ageDays: Math.round(ageDays * 10) / 10,
    bestFrom: isFrozen ? null : dayOf(band.bestFromDay),
    bestUntil: isFrozen ? null : dayOf(band.bestUntilDay),
    reason: isFrozen ? 'Frozen: it hardly ages. Let it thaw closed before you open it.' : reason,
  };
}

/** The phase of a coffee so many days old, and what that means for whoever dials it in. */
export function restAt(ageDays: number, roast: Roast): { phase: RestPhase; reason: string } {
  const phase = phaseAt(ageDays, BANDS[roast]);
  return { phase, reason: WHY[phase] };
}

function phaseAt(age: number, band: RestBand): RestPhase {
  if (age < band.settlesDay) return 'too-fresh';
  if (age < band.bestFromDay) return 'settling';
  if (age <= band.bestUntilDay) return 'best';
  return age <= band.pastDay ? 'fading' : 'past';
}

function dayNumber(day: string): number {
  return Math.round(Date.parse(`${day}T00:00:00Z`) / DAY_MS);
}

function dayText(day: number): string {
  return new Date(day * DAY_MS).toISOString().slice(0, 10);
}
