import type { Suspect } from './contract';
import { airAt, type Followed } from './follow';
import type { FreedShot } from './freed';
import { CRAFT } from './noise';

const MINUTE_MS = 60_000;
/** An event shows within so long; its change may be noted a little late. */
const SHOWS_WITHIN_MS = 90 * MINUTE_MS;
const NOTED_LATE_MS = 15 * MINUTE_MS;
/** What the air must have changed by. */
const AIR_TELLS = { humidityPercent: 4, celsius: 1.5 };

const BY_EVENT = { 'bag-opened': 'bag', 'hopper-filled': 'hopper', cleaned: 'cleaned' } as const;

/** Where the run of today began, by least squares between a middle before and one after; null where there are too few shots. */
export function runBegan({ shots, todayFrom, turns }: Followed): number | null {
  const from = Math.max(todayFrom, turns.at(-1)?.index ?? 0);
  const own = shots.slice(from).filter(({ doubt }) => doubt === 'none');
  if (own.length < 4) return own[0]?.at ?? null;
  let best = { gain: 0, at: own[0]!.at };
  for (let cut = 1; cut < own.length - 1; cut += 1) {
    const [before, after] = [own.slice(0, cut), own.slice(cut)];
    const gain = (middle(after) - middle(before)) ** 2 * ((before.length * after.length) / own.length);
    if (gain > best.gain) best = { gain, at: own[cut]!.at };
  }
  return best.at;
}

/** What fits a drift in time and direction: +1 slower, −1 faster. */
export function suspectsOf(followed: Followed, side: 1 | -1, now: number): Suspect[] {
  const began = runBegan(followed);
  if (began === null) return [];
  const { around } = followed;
  const events = around.events.flatMap(({ at, kind }): Suspect[] => {
    const fits = at >= began - SHOWS_WITHIN_MS && at <= began + NOTED_LATE_MS;
    return fits && kind in BY_EVENT ? [BY_EVENT[kind as keyof typeof BY_EVENT]] : [];
  });
  // The air of the night before is no suspect of a drift that began by day.
  const from = Math.max(began - SHOWS_WITHIN_MS, followed.shots[followed.todayFrom]?.at ?? -Infinity);
  const [before, after] = [airAt(around.room, from) ?? around.room[0], airAt(around.room, now)];
  const isMoved = (figure: keyof typeof AIR_TELLS): boolean => {
    const [was, is] = [before?.[figure], after?.[figure]];
    // Damp and warm air slows a shot, dry and cool air speeds it (handbook §10).
    return was != null && is != null && side * (is - was) >= AIR_TELLS[figure];
  };
  const air: Suspect[] = [
    ...(isMoved('humidityPercent') ? (['humidity'] as const) : []),
    ...(isMoved('celsius') ? (['warmth'] as const) : []),
  ];
  const creep = doseCreep(followed);
  return [...new Set([...events, ...air, ...(creep !== null && creep * side < 0 ? (['grinder'] as const) : [])])];
}

/** How much more the same seconds of grinding give now than at first today, g; null where that is noise. */
export function doseCreep({ shots, todayFrom }: Followed): number | null {
  const today = shots.slice(todayFrom);
  const last = today.at(-1);
  if (!last || last.grindSeconds === null) return null;
  const same = today
    .filter((shot) => shot.grindSeconds === last.grindSeconds && shot.grind === last.grind && shot.doseGrams !== null)
    .map(({ doseGrams }) => doseGrams!);
  const { shots: few, grams, spreads } = CRAFT.doseCreep;
  if (same.length < 2 * few) return null;
  const half = Math.floor(same.length / 2);
  const [early, late] = [same.slice(0, half), same.slice(half)];
  const creep = average(late) - average(early);
  const sd = Math.sqrt((variance(early) + variance(late)) / 2);
  const isClear =
    Math.abs(creep) >= grams && Math.abs(creep) >= spreads * sd * Math.sqrt(1 / early.length + 1 / late.length);
  return isClear ? creep : null;
}

function middle(shots: readonly FreedShot[]): number {
  return average(shots.map(({ log }) => log));
}

function average(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function variance(values: readonly number[]): number {
  const mean = average(values);
  return values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / Math.max(1, values.length - 1);
}
