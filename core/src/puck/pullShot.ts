import type { Sign } from '../brew/types';
import { clamp, roundTo } from '../brew/snap';
import { brewPuck, CLEAN_PUCK, grainMicrons, type BrewedPuck, type BrewSettings } from './brewPuck';
import { drawNormal, type Random } from './random';
import type { PuckWorld } from './world';

/** A simulated barista: how far hand, puck and tongue stray. Standard deviations in the units named. */
export interface Barista {
  doseSdGrams: number;
  yieldSdGrams: number;
  /** Log standard deviation of puck resistance from preparation. */
  puckSd: number;
  /** On the contract's balance and body scales. */
  tasteSd: number;
  channelChance: number;
  unpurgedChance: number;
}

export const STEADY_BARISTA: Barista = {
  doseSdGrams: 0.1,
  yieldSdGrams: 0.7,
  puckSd: 0.05,
  tasteSd: 0.4,
  channelChance: 0.06,
  unpurgedChance: 0.05,
};

export interface TrueTaste {
  balance: number;
  body: number;
  dryness: number;
  sweetness: number;
  overall: number;
}

/** A shot as scale, clock, eye and tongue have it. */
export interface MeasuredPull {
  doseGrams: number;
  yieldGrams: number;
  /** On the pump-on clock. */
  pumpOnSeconds: number;
  totalContactSeconds: number;
  firstDripSeconds: number;
  seen: Sign[];
  purged: boolean;
  /** As a tongue reports it, in steps of 0.5. */
  taste: TrueTaste;
}

export interface PulledShot extends MeasuredPull {
  tdsPercent: number;
  puck: BrewedPuck;
}

/**
 * What a cup is like, on the contract's scales, from chemistry: balance follows extraction yield around the coffee's
 * sweet spot, body follows the log of strength, sweetness and overall fall off with the distance
 * from both.
 */
export function tasteOf(world: PuckWorld, puck: BrewedPuck): TrueTaste {
  const { coffee, tongue } = world;
  const balance = clamp((puck.extractionPercent - coffee.sweetSpotPercent) / tongue.percentPerPoint, -3, 3);
  const body = clamp(tongue.bodyPoints * Math.log(puck.tdsPercent / coffee.bodyTdsPercent), -3, 3);
  const dryness = clamp(7 * puck.overExtractedShare + 0.35 * Math.max(0, balance - 1), 0, 3);
  const away = Math.hypot(balance, 0.7 * body);
  return {
    balance,
    body,
    dryness,
    sweetness: clamp(
      tongue.sweetBest - tongue.sweetLoss * Math.abs(balance) - 0.3 * Math.abs(body) - 0.8 * dryness,
      0,
      10,
    ),
    overall: clamp(tongue.overallBest - tongue.overallLoss * away - 0.7 * dryness, 0, 10),
  };
}

/** The noise-free shot at these settings: what a world's setting is judged by. */
export function idealShot(world: PuckWorld, settings: BrewSettings): { puck: BrewedPuck; taste: TrueTaste } {
  const puck = brewPuck(world, settings, CLEAN_PUCK);
  return { puck, taste: tasteOf(world, puck) };
}

export interface PullInput {
  world: PuckWorld;
  settings: BrewSettings;
  barista: Barista;
  /** Where the grinder stood for the shot before; null when nothing was ground. */
  previousGrind: number | null;
  /** Multiplies resistance: humidity, hopper level, warm burrs. */
  drift?: number;
  random: Random;
}

/** What a fallible hand makes of these settings: dose and yield weighed, g, how much its puck resists, and whether it purged. */
export function drawHand(input: Pick<PullInput, 'settings' | 'barista' | 'previousGrind' | 'random'>) {
  const { settings, barista, previousGrind, random } = input;
  const doseGrams = roundTo(drawNormal(random, settings.doseGrams, barista.doseSdGrams), 1);
  const yieldGrams = roundTo(drawNormal(random, settings.yieldGrams, barista.yieldSdGrams), 1);
  const puckFactor = Math.exp(drawNormal(random, 0, barista.puckSd));
  const changed = previousGrind !== null && previousGrind !== settings.grind;
  const purged = !(random() < barista.unpurgedChance && changed);
  return { doseGrams, yieldGrams, puckFactor, purged };
}

/**
 * One shot by a fallible hand: dose and yield miss a little, the puck differs by about 5 %, a change of grind may go
 * unpurged, and now and then a channel opens — more often when the grind is so fine that the bed runs dry.
 */
export function pullShot(input: PullInput): PulledShot {
  const { world, settings, barista, previousGrind, drift = 1, random } = input;
  const { doseGrams, yieldGrams, puckFactor, purged } = drawHand({ settings, barista, previousGrind, random });
  const finePenalty = Math.max(0, 1 - grainMicrons(world.grinder, settings.grind) / 225);
  const channels = random() < barista.channelChance + 2 * finePenalty;
  const channelShare = (0.12 + 0.25 * random()) * (channels ? 1 : 0);
  const puck = brewPuck(
    world,
    { ...settings, doseGrams, yieldGrams },
    {
      resistanceFactor: drift * puckFactor,
      channelShare,
      oldGrind: purged ? null : previousGrind,
      oldShare: purged ? 0 : world.grinder.retainedShare,
    },
  );
  return {
    doseGrams,
    yieldGrams,
    pumpOnSeconds: roundTo(puck.pumpOnSeconds, 1),
    totalContactSeconds: roundTo(puck.totalContactSeconds, 1),
    firstDripSeconds: roundTo(Math.max(0.5, drawNormal(random, puck.firstDripSeconds, 0.4)), 1),
    tdsPercent: roundTo(puck.tdsPercent, 2),
    seen: look(puck, channelShare, doseGrams, world),
    purged,
    taste: reportTaste(tasteOf(world, puck), barista.tasteSd, random),
    puck,
  };
}

function look(puck: BrewedPuck, channelShare: number, doseGrams: number, world: PuckWorld): Sign[] {
  const seen: Sign[] = [];
  if (channelShare > 0.1) seen.push('spurts');
  if (channelShare > 0.28) seen.push('late-rush');
  if (puck.pumpOnSeconds < 17) seen.push('gushing', 'early-blonding');
  if (puck.pumpOnSeconds > 50) seen.push('dripping');
  if (doseGrams < world.basket.nominalGrams - 2) seen.push('soupy-puck');
  if (doseGrams > world.basket.nominalGrams + 2) seen.push('screen-imprint');
  return seen;
}

/** What a tongue with this spread says of a cup, in halves on every scale. */
export function reportTaste(taste: TrueTaste, tasteSd: number, random: Random): TrueTaste {
  const halves = (value: number, low: number, high: number): number =>
    Math.min(high, Math.max(low, Math.round(value * 2) / 2));
  return {
    balance: halves(drawNormal(random, taste.balance, tasteSd), -3, 3),
    body: halves(drawNormal(random, taste.body, tasteSd), -3, 3),
    dryness: halves(drawNormal(random, taste.dryness, tasteSd), 0, 3),
    sweetness: halves(drawNormal(random, taste.sweetness, tasteSd), 0, 10),
    overall: halves(drawNormal(random, taste.overall, tasteSd), 0, 10),
  };
}
