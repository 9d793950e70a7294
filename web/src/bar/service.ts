import { roundTo, type ShotLine, type Settings, type TimerStart } from '@olvet/core';
import type { BoardCardView, StationView } from '../app/api';

/** What a shot in service is pulled by: a card, or what the station aims at. */
export interface ServiceAim {
  /** `grind` is where the grinder stands; null where nobody knows. */
  settings: Omit<Settings, 'grind'> & { grind: number | null };
  timer: TimerStart;
  /** The time it should take, s. */
  wantedSeconds: number;
}

export function serviceAim({ grind, target }: StationView, card: BoardCardView | undefined): ServiceAim {
  const { doseGrams, yieldGrams, temperatureC, timeSeconds, timer } = card?.recipe ?? target;
  return {
    settings: { grind: grind ?? card?.recipe.grind ?? null, doseGrams, yieldGrams, temperatureC: temperatureC ?? null },
    timer,
    wantedSeconds: card?.found?.seconds ?? (timeSeconds.min + timeSeconds.max) / 2,
  };
}

/** Seconds to either side of the wanted one that one tap reaches; what is rarer is typed. */
const REACH_SECONDS = 8;

/** Whole seconds for large buttons, around the wanted time. */
export function tappableSeconds(wantedSeconds: number): number[] {
  const middle = Math.round(wantedSeconds);
  const first = Math.max(1, middle - REACH_SECONDS);
  return Array.from({ length: 2 * REACH_SECONDS + 1 }, (_, i) => first + i);
}

/** What was tapped and typed together; what was typed wins. */
export function togetherSaid(tapped: ShotLine, typed: ShotLine): ShotLine {
  const assumed = (tapped.assumed ?? []).filter((figure) => {
    const isTyped = figure === 'yieldGrams' ? (typed.yieldGrams ?? typed.yieldMl) : typed.doseGrams;
    return isTyped === undefined;
  });
  const all = [...new Set([...assumed, ...(typed.assumed ?? [])])];
  return { ...tapped, ...typed, ...(all.length > 0 ? { assumed: all } : { assumed: undefined }) };
}

/** "28.5 s", "34 g": the one figure by which a saved shot is told. */
export function toldBy({ timeSeconds, yieldGrams }: ShotLine): string {
  if (timeSeconds !== undefined) return `${roundTo(timeSeconds, 1)} s`;
  return yieldGrams === undefined ? 'The shot' : `${roundTo(yieldGrams, 1)} g`;
}
