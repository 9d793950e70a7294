import { forecastMorning, restOf, type MorningForecast } from '@olvet/core';
import dayjs from 'dayjs';
import type { BagView, BoardStationView, CoffeeView, GrinderView, OpeningView } from '../app/api';

export interface MorningFacts {
  standing: BoardStationView;
  grinder: GrinderView;
  coffee: CoffeeView;
  bag: BagView | null;
  before: OpeningView | undefined;
  now: OpeningView | undefined;
  today: string;
}

/** A grinder that has taught nothing yet: one unit moves the time by a usual step. */
const USUAL_SLOPE = { mean: 0.06, sd: 0.04 };
const LAST_SHOTS = 3;

/** Yesterday's closing setting, carried to this morning; null where nothing was timed at the setting that stands. */
export function morningAt(facts: MorningFacts): MorningForecast | null {
  const { standing, grinder, coffee, bag, before, now, today } = facts;
  const { station, shots } = standing;
  if (station.grind == null) return null;
  const last = shots.filter((shot) => shot.timeSeconds != null && shot.grind === station.grind).slice(-LAST_SHOTS);
  const closing = last.at(-1);
  if (!closing) return null;
  const timeSeconds = last.reduce((sum, shot) => sum + shot.timeSeconds!, 0) / last.length;
  const frozen = (bag?.frozen ?? []).map(({ from, to }) => ({ from, to: to ?? null }));
  const restOn = (day: string) => restOf({ roastedOn: bag!.roastedOn!, today: day, roast: coffee.roast, frozen });
  const closedOn = dayjs(closing.pulledAt).format('YYYY-MM-DD');
  const isDated = bag?.roastedOn != null && bag.roastedOn <= closedOn;
  const air = (row: OpeningView | undefined) =>
    row?.roomC != null && row.humidityPercent != null
      ? { roomC: row.roomC, humidityPercent: row.humidityPercent }
      : null;
  const [airThen, airNow] = [air(before), air(now)];
  return forecastMorning({
    closing: { grind: station.grind, timeSeconds },
    ageDays: isDated ? { closing: restOn(closedOn).ageDays, now: restOn(today).ageDays } : null,
    band: isDated ? restOn(today).band : null,
    weather: airThen && airNow ? { closing: airThen, now: airNow } : null,
    grinder: {
      scale: { min: grinder.min, max: grinder.max, step: grinder.step },
      finer: grinder.finer,
      slope: grinder.learnedSlope ?? USUAL_SLOPE,
    },
    window: station.target.timeSeconds,
  });
}
