import dayjs from 'dayjs';
import type { HistoryMaker } from './maker';

export interface DemoAir {
  humidityPercent: number;
  roomC: number;
}

/** ln time for a point of humidity at Lantern Quay: more than the rule of thumb says, which is there to be learned. */
export const QUAY_HUMIDITY = 0.005;
const USUAL_PERCENT = 52;
/** Two days ago back to now stand as the opening list shows them: a humid evening, a dry morning, a damp noon. */
const TOLD: Record<number, { morning: DemoAir; rise: DemoAir }> = {
  1: { morning: { humidityPercent: 64, roomC: 20.5 }, rise: { humidityPercent: -4, roomC: 2 } },
  0: { morning: { humidityPercent: 45, roomC: 19 }, rise: { humidityPercent: 16, roomC: 3 } },
};
const EVERY = 8;

/** The air of the harbour, some days before now and so far through the day. */
export function airAt(daysAgo: number, share: number): DemoAir {
  const { morning, rise } = TOLD[daysAgo] ?? {
    morning: {
      humidityPercent: USUAL_PERCENT + 9 * Math.sin(0.9 * daysAgo) + 4 * Math.sin(2.3 * daysAgo + 1),
      roomC: 20 + 2 * Math.sin(0.5 * daysAgo),
    },
    rise: { humidityPercent: 5 * Math.sin(1.7 * daysAgo), roomC: 2 },
  };
  const round = (value: number): number => Math.round(2 * value) / 2;
  return {
    humidityPercent: round(morning.humidityPercent + share * rise.humidityPercent),
    roomC: round(morning.roomC + share * rise.roomC),
  };
}

/** ln of how much longer this air makes a shot. */
export function airSlows(daysAgo: number, share: number): number {
  return QUAY_HUMIDITY * (airAt(daysAgo, share).humidityPercent - USUAL_PERCENT);
}

/** What somebody read on the wall through the day. */
export function addReadings(maker: HistoryMaker): void {
  for (let i = 1; i < EVERY; i += 1) {
    const at = maker.at(0, i / EVERY);
    const { humidityPercent, roomC: celsius } = airAt(0, i / EVERY);
    maker.add('room_readings', { at, humidityPercent, celsius, createdAt: at });
  }
}

/** Days before now on which the list of the morning was kept. */
export const mornings = (maker: HistoryMaker, from: number): { daysAgo: number; at: Date; day: string }[] =>
  Array.from({ length: from }, (_, i) => from - i).map((daysAgo) => ({
    daysAgo,
    at: dayjs(maker.at(daysAgo, 0)).subtract(20, 'minute').toDate(),
    day: maker.day(daysAgo).format('YYYY-MM-DD'),
  }));
