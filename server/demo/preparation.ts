import { forecastMorning, METHODS, usualSlope, type Method, type Scale } from '@olvet/core';
import dayjs from 'dayjs';
import { addReadings, airAt, mornings } from './air';
import { addCare, addWays } from './care';
import { addDrinks, addProposal } from './drinks';
import type { HistoryMaker } from './maker';

interface OpeningForecast {
  grind: number;
  mean: number;
  p10: number;
  p90: number;
}

/** What stands around the shots: scales, weighings, a found dose, a method of the house, a coffee at rest, this morning. */
export function addPreparation(maker: HistoryMaker): void {
  addScales(maker);
  addBaskets(maker);
  addWeighings(maker, 'Lefty', { rate: 4.15, lag: 0.4, perUnit: 0.035 });
  addWeighings(maker, 'Pebble', { rate: 2.9, lag: 0.3, perUnit: 0.03 });
  addDoses(maker);
  addMethod(maker);
  addRestingCoffee(maker);
  addFrozenBag(maker);
  addOpenings(maker);
  addReadings(maker);
  addDrinks(maker);
  addProposal(maker);
  addCare(maker);
  addWays(maker);
}

function rowNamed(maker: HistoryMaker, table: 'grinders' | 'coffees' | 'baskets' | 'stations', name: string) {
  return maker.rows[table].find((row) => row.name === name)!;
}

/** A single and a triple beside the doubles, and the coffee of the first weeks that is served no longer. */
function addBaskets(maker: HistoryMaker): void {
  maker.add('baskets', {
    name: '8 g single',
    nominalGrams: 8,
    minGrams: 7,
    maxGrams: 9,
    shape: 'tapered',
    diameterMm: 45,
  });
  maker.add('baskets', { name: '21 g triple', nominalGrams: 21, minGrams: 19, maxGrams: 23 });
  rowNamed(maker, 'coffees', 'Fogbell').retiredAt = maker.at(28, 0);
}

function addScales(maker: HistoryMaker): void {
  const scaleId = maker.add('scales', { name: 'Counter scale', resolutionGrams: 0.1 });
  for (const station of maker.rows.stations) Object.assign(station, { scaleId, weighs: true });
}

/** A few weighings at and around the setting that stands, with a timed grinder's own scatter. */
function addWeighings(maker: HistoryMaker, name: string, law: { rate: number; lag: number; perUnit: number }): void {
  const grinder = rowNamed(maker, 'grinders', name);
  const station = maker.rows.stations.find((row) => row.grinderId === grinder.id)!;
  const standing = station.grind as number;
  const doseGrams = (station.target as { doseGrams: number }).doseGrams;
  for (const [daysAgo, offset] of [
    [9, 1],
    [4, 0],
    [1, 0],
  ] as const) {
    const coarser = offset * (grinder.finer === 'lower' ? 1 : -1);
    const rate = law.rate * Math.exp(law.perUnit * offset);
    const seconds = Math.round((law.lag + doseGrams / rate) * 10) / 10;
    const grams = Math.round((rate * (seconds - law.lag) + maker.draw(0, 0.12)) * 10) / 10;
    const weighedAt = maker.at(daysAgo, 0.02);
    const grind = standing + coarser;
    maker.add('weighings', { grinderId: grinder.id, grind, seconds, grams, weighedAt, createdAt: weighedAt });
  }
}

function addDoses(maker: HistoryMaker): void {
  for (const { coffeeId, basketId } of maker.rows.stations) {
    const coffee = maker.rows.coffees.find((row) => row.id === coffeeId)!;
    if (coffee.name === 'Low Tide decaf') continue;
    const foundAt = maker.at(27, 0);
    const grams = coffee.name === 'Heron Bank' ? 18.2 : 18;
    maker.add('found_doses', {
      basketId,
      coffeeId,
      grams,
      toleranceGrams: 0.2,
      how: 'coin',
      foundAt,
      createdAt: foundAt,
    });
  }
}

/** The house's own way: one lever with a narrower window. */
function addMethod(maker: HistoryMaker): void {
  const from = METHODS.find(({ id }) => id === 'one-lever')!;
  const method: Method = {
    ...from,
    name: 'Quay rule',
    idea: 'One lever as we do it: a narrower window, so that the cup is the same from every hand.',
    windowSeconds: { min: 26, max: 31 },
  };
  const id = maker.add('methods', { name: method.name, basedOn: from.id, method });
  maker.row('methods', id).method = { ...method, id };
}

/** Fresh from the roaster, not yet to be opened. */
function addRestingCoffee(maker: HistoryMaker): void {
  const arrivedAt = maker.at(1, 0.5);
  const coffeeId = maker.add('coffees', {
    name: 'Sand Spit',
    roaster: 'North Pier',
    origin: 'Sera valley',
    process: 'honey',
    altitudeM: 2050,
    roast: 'light',
    notes: 'white peach, jasmine, honey',
    flavourGoal: 'bright',
    bodyGoal: 'light',
    arabicaPercent: 100,
    createdAt: arrivedAt,
  });
  const roastedOn = maker.day(5).format('YYYY-MM-DD');
  maker.add('bags', { coffeeId, roastedOn, weightGrams: 250, priceCents: 1450, createdAt: arrivedAt });
}

function addFrozenBag(maker: HistoryMaker): void {
  const coffeeId = rowNamed(maker, 'coffees', 'Heron Bank').id;
  const day = (daysAgo: number): string => maker.day(daysAgo).format('YYYY-MM-DD');
  maker.add('bags', {
    coffeeId,
    roastedOn: day(40),
    weightGrams: 1250,
    priceCents: 4250,
    frozen: [{ from: day(28), to: null }],
    createdAt: maker.at(40, 0),
  });
}

/** Days before yesterday on which the list of the morning was kept. */
const LISTS = 40;

/** Yesterday was humid, this morning is dry; the two groups are on, the small machine is not. */
function addOpenings(maker: HistoryMaker): void {
  for (const station of maker.rows.stations) {
    for (const morning of mornings(maker, LISTS)) {
      const { at, daysAgo, day } = morning;
      maker.add('openings', {
        stationId: station.id,
        day,
        switchedOnAt: dayjs(at).subtract(25, 'minute').toDate(),
        done: ['switched-on', 'flushed', 'cups-warm', 'hopper', 'check-shot'],
        ...airAt(daysAgo, 0),
        forecast: forecastOf(maker, station, morning),
        createdAt: at,
      });
    }
    const on = station.name === 'Small bar, decaf' ? null : dayjs(maker.now).subtract(28, 'minute').toDate();
    maker.add('openings', {
      stationId: station.id,
      day: maker.day(0).format('YYYY-MM-DD'),
      switchedOnAt: on,
      done: on ? ['switched-on', 'hopper'] : [],
      ...airAt(0, 0),
      createdAt: maker.at(0, 0),
    });
  }
}

/** What the last shots before this morning let expect, as the opening list would have shown it; null before the first. */
function forecastOf(
  maker: HistoryMaker,
  station: Record<string, unknown>,
  { at, daysAgo }: { at: Date; daysAgo: number },
): OpeningForecast | null {
  const grinder = maker.row('grinders', station.grinderId as string) as unknown as Scale & {
    finer: 'lower' | 'higher';
  };
  const before = maker.rows.shots.filter(
    ({ stationId, pulledAt }) => stationId === station.id && (pulledAt as Date) < at,
  );
  const closing = before.at(-1);
  if (!closing) return null;
  const grind = closing.grind as number;
  const last = before.filter((shot) => shot.grind === grind).slice(-3);
  const timeSeconds = last.reduce((sum, shot) => sum + (shot.timeSeconds as number), 0) / last.length;
  const { timeSeconds: window } = station.target as { timeSeconds: { min: number; max: number } };
  const forecast = forecastMorning({
    closing: { grind, timeSeconds },
    ageDays: null,
    band: null,
    weather: { closing: airAt(daysAgo + 1, 0), now: airAt(daysAgo, 0) },
    grinder: { scale: grinder, finer: grinder.finer, slope: usualSlope(grinder) },
    window,
  });
  return { grind, ...forecast.timeSeconds };
}
