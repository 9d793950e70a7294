import { forecastMorning, restOf, usualSlope, type MorningForecast } from '@olvet/core';
import type { BagView, BoardStationView, CoffeeView, GrinderView, LearnedHereView, OpeningView } from '../app/api';

export interface MorningFacts {
  standing: BoardStationView;
  grinder: GrinderView;
  coffee: CoffeeView;
  bag: BagView | null;
  before: OpeningView | undefined;
  now: OpeningView | undefined;
  /** What this station's days have taught; undefined until it was read. */
  learned: LearnedHereView | undefined;
  /** @see ShopDay */
  today: string;
  dayOf: (instant: string) => string;
}

/** The forecast, and the setting it is for. */
export interface Morning extends MorningForecast {
  closingGrind: number;
}

const LAST_SHOTS = 3;

/** The closing setting of the last day, carried to this morning; null where nothing was timed before today. */
export function morningAt(facts: MorningFacts): Morning | null {
  const { standing, grinder, coffee, bag, before, now, learned, today, dayOf } = facts;
  const effects = learned && effectsOf(learned);
  const { station } = standing;
  const shots = standing.shots.filter(({ pulledAt }) => dayOf(pulledAt) < today);
  const closing = shots.findLast((shot) => shot.timeSeconds != null && shot.grind != null);
  if (!closing) return null;
  const last = shots.filter((shot) => shot.timeSeconds != null && shot.grind === closing.grind).slice(-LAST_SHOTS);
  // Once something was poured today the judgement is of today; after days off it knows of no shot.
  const isOfClosing = standing.day != null && standing.day.judgedShots > 0 && standing.day.shots.length === 0;
  const day = isOfClosing ? standing.day : null;
  // What was learned of a drift the day before, where it was judged; else what the last shots ran.
  const timeSeconds = day
    ? Math.max(1, day.foundSeconds + day.shiftSeconds.mean)
    : last.reduce((sum, shot) => sum + shot.timeSeconds!, 0) / last.length;
  const frozen = (bag?.frozen ?? []).map(({ from, to }) => ({ from, to: to ?? null }));
  const restOn = (day: string) => restOf({ roastedOn: bag!.roastedOn!, today: day, roast: coffee.roast, frozen });
  const closedOn = dayOf(closing.pulledAt);
  const isDated = bag?.roastedOn != null && bag.roastedOn <= closedOn;
  const air = (row: OpeningView | undefined) =>
    row?.roomC != null && row.humidityPercent != null
      ? { roomC: row.roomC, humidityPercent: row.humidityPercent }
      : null;
  const [airThen, airNow] = [air(before), air(now)];
  const closingGrind = closing.grind!;
  const scale = { min: grinder.min, max: grinder.max, step: grinder.step };
  const forecast = forecastMorning({
    closing: { grind: closingGrind, timeSeconds },
    ageDays: isDated ? { closing: restOn(closedOn).ageDays, now: restOn(today).ageDays } : null,
    band: isDated ? restOn(today).band : null,
    weather: airThen && airNow ? { closing: airThen, now: airNow } : null,
    grinder: {
      scale,
      finer: grinder.finer,
      slope: grinder.learnedSlope ?? usualSlope(scale),
    },
    window: day
      ? { min: day.foundSeconds - day.toleranceSeconds, max: day.foundSeconds + day.toleranceSeconds }
      : station.target.timeSeconds,
    effects,
  });
  return { ...forecast, closingGrind };
}

function effectsOf({ effects }: LearnedHereView): Parameters<typeof forecastMorning>[0]['effects'] {
  return Object.fromEntries(effects.map(({ name, mean, sd }) => [name, { mean, sd }])) as Parameters<
    typeof forecastMorning
  >[0]['effects'];
}
