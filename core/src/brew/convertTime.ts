import type { TimerStart } from './types';

export interface ConvertTimeInput {
  timeSeconds: number;
  from: TimerStart;
  to: TimerStart;
  /** Pump on → first drip, s; null or absent when nobody saw it. */
  firstDripSeconds?: number | null;
  /** Soaking before the pump came on, s; 0 where the machine has none. */
  preBrewSeconds?: number;
}

/**
 * Reads one shot's time on another clock. Total contact = pre-brew + pump-on time; first drip = pump-on time − first
 * drip.
 * @returns seconds on the `to` clock, or null when the conversion needs a first drip that was not recorded, or the
 * figures contradict each other (the shot would have lasted less than nothing).
 * @example convertTime({ timeSeconds: 28, from: 'pump-on', to: 'first-drip', firstDripSeconds: 6 }) // 22
 */
export function convertTime(input: ConvertTimeInput): number | null {
  const { timeSeconds, from, to, firstDripSeconds = null, preBrewSeconds = 0 } = input;
  if (from === to) return timeSeconds;
  const lead: Record<TimerStart, number | null> = {
    'pump-on': 0,
    'first-drip': firstDripSeconds,
    'total-contact': -preBrewSeconds,
  };
  const fromLead = lead[from];
  const toLead = lead[to];
  if (fromLead === null || toLead === null) return null;
  const seconds = timeSeconds + fromLead - toLead;
  return seconds > 0 ? seconds : null;
}
