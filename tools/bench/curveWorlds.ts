import {
  clamp,
  drawBetween,
  drawHand,
  drawNormal,
  reportTaste,
  roundTo,
  type BrewSettings,
  type MeasuredPull,
  type Method,
  type Random,
  type Roast,
  type Sign,
  type TrueTaste,
} from '../../core/src/index';
import type { Clocked, HiddenWorld, PullInput } from './hiddenWorld';

/**
 * A second physics, made of plain curves: no puck is brewed step by step. It shares neither formula nor figures with the
 * mechanistic simulator or with the advice, so that advice fitted to either shows here.
 */
interface Curves {
  coarserSign: 1 | -1;
  /** Grind at which resistance is 1, ln of resistance for one unit finer, and its change along the scale. */
  grindAtOne: number;
  logPerUnit: number;
  bend: number;
  doseGrams: number;
  yieldGrams: number;
  temperatureC: number;
  /** Seconds of the pour and to the first drip at resistance 1, and how both answer to it. */
  pourSeconds: number;
  dripSeconds: number;
  dripExponent: number;
  doseExponent: number;
  yieldExponent: number;
  /** Pump and tubes give no more than this, g/s. */
  mostGramsPerSecond: number;
  soakSeconds: number;
  /** Extraction = most · (1 − exp(−reach)), %; ln reach is linear in what finer, slower, longer and hotter give. */
  mostPercent: number;
  reach: number;
  bySurface: number;
  byTime: number;
  byRatio: number;
  byDegree: number;
  /** Extraction and strength wanted, %; points for one % and for one unit of ln strength. */
  wantedPercent: number;
  wantedTds: number;
  pointsPerPercent: number;
  bodyPoints: number;
  overallBest: number;
  overallLoss: number;
  sweetBest: number;
  sweetLoss: number;
  retainedShare: number;
}

/** What happens to one puck beside its settings. */
interface Luck {
  resistance: number;
  channelShare: number;
  oldGrind: number | null;
}

const CLEAN: Luck = { resistance: 1, channelShare: 0, oldGrind: null };

/** Draws a world in which some recipe near the method's own is right. */
export function drawCurveWorld(random: Random, method: Method, roast: Roast, soakSeconds: number): HiddenWorld {
  const { min, max } = method.windowSeconds;
  const pumpOn = (min + max) / 2 - (method.timer === 'total-contact' ? soakSeconds : 0);
  const dripSeconds = Math.min(drawBetween(random, 3.5, 8.5), 0.4 * pumpOn);
  const doseGrams = method.start.doseGrams;
  const curves: Curves = {
    coarserSign: random() < 0.3 ? -1 : 1,
    grindAtOne: drawBetween(random, 8, 26),
    logPerUnit: Math.exp(drawBetween(random, Math.log(0.035), Math.log(0.18))),
    bend: random() < 0.5 ? drawBetween(random, -0.012, 0.012) : 0,
    doseGrams,
    yieldGrams: doseGrams * method.start.ratio,
    temperatureC: method.temperatureC[roast],
    pourSeconds: pumpOn - (soakSeconds > 0 ? 0.3 : 1) * dripSeconds,
    dripSeconds,
    dripExponent: drawBetween(random, 0.4, 0.9),
    doseExponent: drawBetween(random, 1, 2.8),
    yieldExponent: drawBetween(random, 0.8, 1.05),
    mostGramsPerSecond: drawBetween(random, 3.5, 7),
    soakSeconds,
    mostPercent: drawBetween(random, 25, 31),
    reach: drawBetween(random, 0.8, 1.4),
    bySurface: drawBetween(random, 0.05, 0.35),
    byTime: drawBetween(random, 0.12, 0.4),
    byRatio: drawBetween(random, 0.3, 0.7),
    byDegree: drawBetween(random, 0.008, 0.04),
    wantedPercent: 0,
    wantedTds: 0,
    pointsPerPercent: Math.exp(drawBetween(random, Math.log(0.45), Math.log(1))),
    bodyPoints: Math.exp(drawBetween(random, Math.log(3.5), Math.log(8))),
    overallBest: drawBetween(random, 6.8, 9.5),
    overallLoss: drawBetween(random, 0.4, 1.2),
    sweetBest: drawBetween(random, 5.5, 9),
    sweetLoss: drawBetween(random, 0.4, 1.2),
    retainedShare: drawBetween(random, 0.2, 0.5),
  };
  // The cup that is wanted is the cup of some recipe in reach: what is unknown is which.
  const logResistance = drawBetween(random, -0.08, 0.08);
  const sweet = brew(
    curves,
    {
      grind: curves.grindAtOne - (curves.coarserSign * logResistance) / curves.logPerUnit,
      doseGrams,
      yieldGrams: curves.yieldGrams * Math.exp(drawBetween(random, -0.15, 0.15)),
      temperatureC: curves.temperatureC + drawBetween(random, -2, 2),
    },
    CLEAN,
  );
  return curveWorld({ ...curves, wantedPercent: sweet.extractionPercent, wantedTds: sweet.tdsPercent });
}

function curveWorld(curves: Curves): HiddenWorld {
  return {
    coarserSign: curves.coarserSign,
    ideal: (settings, drift) => {
      const cup = brew(curves, settings, { ...CLEAN, resistance: drift });
      return { ...cup, taste: tasteOf(curves, cup, 0) };
    },
    pull: (input) => pull(curves, input),
  };
}

interface Cup extends Clocked {
  extractionPercent: number;
  tdsPercent: number;
}

function brew(curves: Curves, settings: BrewSettings, luck: Luck): Cup {
  const own = finerBy(curves, settings.grind);
  const old = luck.oldGrind === null ? own : finerBy(curves, luck.oldGrind);
  const finer = own + curves.retainedShare * (old - own);
  const logDose = Math.log(settings.doseGrams / curves.doseGrams);
  const logRatio = Math.log(settings.yieldGrams / settings.doseGrams / (curves.yieldGrams / curves.doseGrams));
  const resistance =
    luck.resistance * Math.exp(finer + curves.doseExponent * logDose) * (1 - 0.6 * Math.min(0.8, luck.channelShare));
  const drip = curves.dripSeconds * clamp(resistance, 0.05, 20) ** curves.dripExponent;
  const poured = (settings.yieldGrams / curves.yieldGrams) ** curves.yieldExponent;
  const pour = Math.max(settings.yieldGrams / curves.mostGramsPerSecond, curves.pourSeconds * poured * resistance);
  // While it soaks, most of the filling is done already.
  const pumpOnSeconds = Math.min(180, pour + (curves.soakSeconds > 0 ? 0.3 : 1) * drip);
  const logTime = Math.log((pour + 0.5 * drip) / (curves.pourSeconds + 0.5 * curves.dripSeconds));
  const logReach =
    Math.log(curves.reach) +
    curves.bySurface * finer +
    curves.byTime * logTime +
    curves.byRatio * logRatio +
    curves.byDegree * (settings.temperatureC - curves.temperatureC);
  const extractionPercent = curves.mostPercent * (1 - Math.exp(-Math.exp(logReach))) * (1 - 0.35 * luck.channelShare);
  return {
    pumpOnSeconds,
    totalContactSeconds: pumpOnSeconds + curves.soakSeconds,
    firstDripSeconds: curves.soakSeconds > 0 ? curves.soakSeconds + 0.3 * drip : drip,
    extractionPercent,
    tdsPercent: (extractionPercent * settings.doseGrams) / settings.yieldGrams,
  };
}

/** ln of resistance that this grind gives over the grind at which it is 1. */
function finerBy({ coarserSign, grindAtOne, logPerUnit, bend }: Curves, grind: number): number {
  const units = clamp(-coarserSign * (grind - grindAtOne), -25, 25);
  return logPerUnit * (units + bend * units * Math.abs(units));
}

/** Liking falls with the square of the distance here, and bitter costs more sweetness than sour. */
function tasteOf(curves: Curves, { extractionPercent, tdsPercent }: Cup, channelShare: number): TrueTaste {
  const balance = clamp(curves.pointsPerPercent * (extractionPercent - curves.wantedPercent), -3, 3);
  const body = clamp(curves.bodyPoints * Math.log(tdsPercent / curves.wantedTds), -3, 3);
  const dryness = clamp(5 * channelShare + 0.5 * Math.max(0, balance - 0.5), 0, 3);
  const sweetLoss = curves.sweetLoss * (balance > 0 ? 1.4 : 1);
  return {
    balance,
    body,
    dryness,
    sweetness: clamp(curves.sweetBest - sweetLoss * balance ** 2 - 0.5 * dryness, 0, 10),
    overall: clamp(curves.overallBest - curves.overallLoss * (balance ** 2 + 0.4 * body ** 2) - 0.5 * dryness, 0, 10),
  };
}

function pull(curves: Curves, { settings, barista, previousGrind, drift, random }: PullInput): MeasuredPull {
  const { doseGrams, yieldGrams, puckFactor, purged } = drawHand({ settings, barista, previousGrind, random });
  const resistance = drift * puckFactor;
  const channels = random() < barista.channelChance;
  const channelShare = channels ? drawBetween(random, 0.12, 0.4) : 0;
  const oldGrind = purged ? null : previousGrind;
  const cup = brew(curves, { ...settings, doseGrams, yieldGrams }, { resistance, channelShare, oldGrind });
  const seen: Sign[] = [];
  if (channelShare > 0.1) seen.push('spurts');
  if (cup.pumpOnSeconds < 15) seen.push('gushing');
  if (cup.pumpOnSeconds > 55) seen.push('dripping');
  return {
    doseGrams,
    yieldGrams,
    pumpOnSeconds: roundTo(cup.pumpOnSeconds, 1),
    totalContactSeconds: roundTo(cup.totalContactSeconds, 1),
    firstDripSeconds: roundTo(Math.max(0.5, drawNormal(random, cup.firstDripSeconds, 0.5)), 1),
    seen,
    purged,
    taste: reportTaste(tasteOf(curves, cup, channelShare), barista.tasteSd, random),
  };
}
