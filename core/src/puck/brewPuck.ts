import type { PuckWorld } from './world';

export interface BrewSettings {
  grind: number;
  doseGrams: number;
  yieldGrams: number;
  /** Displayed brew temperature, °C. */
  temperatureC: number;
}

export interface PuckCondition {
  /** Multiplies resistance: puck preparation (about 5 % from shot to shot), humidity. */
  resistanceFactor: number;
  /** Share of the flow that runs through a channel, 0–0.6. */
  channelShare: number;
  /** Grind of old grounds mixed in, and their share. */
  oldGrind: number | null;
  oldShare: number;
}

export const CLEAN_PUCK: PuckCondition = { resistanceFactor: 1, channelShare: 0, oldGrind: null, oldShare: 0 };

export interface FlowPoint {
  seconds: number;
  grams: number;
  bar: number;
  celsius: number;
}

export interface BrewedPuck {
  /** From first contact of water with the puck, pre-brew included. */
  totalContactSeconds: number;
  pumpOnSeconds: number;
  /** First contact → first drip. */
  firstDripSeconds: number;
  extractionPercent: number;
  tdsPercent: number;
  /** Share of the beverage that came through exhausted coffee: feels dry. */
  overExtractedShare: number;
  /** True when the pump gave up: less than the yield after `MAX_SECONDS`. */
  choked: boolean;
  trace: FlowPoint[];
}

const STEP_SECONDS = 0.1;
const MAX_SECONDS = 180;
/** Solubility limit of the liquid in the pores, g dissolved per ml; first drops of espresso reach 25–30 %. */
const SATURATION = 0.4;
const SURFACE_RATE = 0.5;
const CORE_RATE = 0.048;
/** Resistance of 18 g at 276 µm, bar·s/ml, before anything dissolves. */
const RESISTANCE = 7.8;
const REFERENCE_MICRONS = 276;

/** Grain size at a grind setting, µm; never below 60 (burrs touch). */
export function grainMicrons(grinder: PuckWorld['grinder'], grind: number): number {
  const units = grinder.coarserSign * grind;
  return Math.max(60, grinder.micronsAtZero + grinder.micronsPerUnit * units + grinder.bend * units * units);
}

/**
 * Brews one puck by explicit Euler steps of 0.1 s.
 *
 * Flow: water first fills the headspace and soaks the bed, then Darcy's law q = p / R with
 * R ∝ dose^a · size^−b (Kozeny–Carman with fines moving b off 2) · crowding in a full basket, falling by the bed's
 * relaxation as the coffee dissolves. The pump limits the flow.
 * Extraction: two pools — broken surfaces and fines dissolve fast, the core slowly with rate ∝ size^−1.3 — both
 * slowed as the pore liquid nears saturation, both about 9 % faster per °C (an effective figure: Arrhenius plus what heat does to taste). The pore liquid is a
 * stirred tank washed out by the flow, which is why more water extracts more.
 * Channel: its share of the flow meets little resistance and already exhausted coffee.
 */
export function brewPuck(world: PuckWorld, settings: BrewSettings, condition: PuckCondition): BrewedPuck {
  const { coffee, machine, basket } = world;
  const bed = describeBed(world, settings, condition);
  const heat = Math.exp(0.09 * (settings.temperatureC + machine.temperatureOffsetC - 93));
  const surfaceRate = SURFACE_RATE * heat;
  const coreRate = CORE_RATE * heat * coffee.diffusion * (bed.microns / REFERENCE_MICRONS) ** -1.3;
  const soluble = coffee.solubleShare * settings.doseGrams;
  let surface = soluble * bed.surfaceShare;
  let core = soluble - surface;
  let inPores = 0;
  const poreMl = 1.05 * settings.doseGrams;
  // A fuller basket leaves less room to fill above the puck.
  let toFillMl = Math.max(3, 12 - 1.5 * (settings.doseGrams - basket.nominalGrams)) + 0.85 * settings.doseGrams;

  let seconds = 0;
  let firstDripSeconds = 0;
  let cupGrams = 0;
  let cupDissolved = 0;
  const trace: FlowPoint[] = [];
  while (cupGrams < settings.yieldGrams && seconds < MAX_SECONDS) {
    const soaking = seconds < machine.preBrewSeconds;
    const gone = 1 - (surface + core) / soluble;
    const resistance = bed.resistance * (1 - world.bed.relaxation * Math.min(1, gone / 0.8));
    // Until the bed is wet through, water meets only part of it.
    const resisting = toFillMl > 0 ? 0.35 * resistance : resistance;
    const limit = soaking ? machine.preBrewMlPerSecond : machine.pumpMaxMlPerSecond;
    const flow = Math.min(limit, machine.pumpBar / resisting);
    const wet = Math.min(1, (seconds + STEP_SECONDS) / 3);
    const room = Math.max(0, 1 - inPores / poreMl / SATURATION);
    const fromSurface = surfaceRate * surface * room * wet * STEP_SECONDS;
    const fromCore = coreRate * core * room * wet * STEP_SECONDS;
    surface -= fromSurface;
    core -= fromCore;
    inPores += fromSurface + fromCore;
    seconds += STEP_SECONDS;
    if (toFillMl > 0) {
      toFillMl -= flow * STEP_SECONDS;
      firstDripSeconds = seconds;
    } else {
      // Water in the channel passes the bed by: it carries little and leaves the rest less washed.
      const through = flow * (1 - 0.75 * condition.channelShare);
      const carried = Math.min(inPores, (inPores / poreMl) * through * STEP_SECONDS);
      inPores -= carried;
      cupDissolved += carried;
      cupGrams += flow * STEP_SECONDS;
    }
    trace.push({
      seconds,
      grams: cupGrams,
      bar: Math.min(machine.pumpBar, flow * resisting),
      celsius: settings.temperatureC,
    });
  }
  const grams = Math.max(cupGrams, 0.1);
  const extractionPercent = (100 * cupDissolved) / settings.doseGrams;
  return {
    totalContactSeconds: seconds,
    pumpOnSeconds: seconds - machine.preBrewSeconds,
    firstDripSeconds,
    extractionPercent,
    tdsPercent: (100 * cupDissolved) / grams,
    overExtractedShare: condition.channelShare + Math.max(0, extractionPercent / (100 * coffee.solubleShare) - 0.8),
    choked: cupGrams < settings.yieldGrams,
    trace,
  };
}

function describeBed(
  world: PuckWorld,
  settings: BrewSettings,
  condition: PuckCondition,
): { microns: number; resistance: number; surfaceShare: number } {
  const { coffee, grinder, basket } = world;
  const own = grainMicrons(grinder, settings.grind);
  const old = condition.oldGrind === null ? own : grainMicrons(grinder, condition.oldGrind);
  const microns = own * (1 - condition.oldShare) + old * condition.oldShare;
  const crowding = 1 + 0.12 * Math.max(0, settings.doseGrams - basket.nominalGrams);
  const resistance =
    RESISTANCE *
    coffee.resistance *
    condition.resistanceFactor *
    (settings.doseGrams / 18) ** world.bed.doseExponent *
    (microns / REFERENCE_MICRONS) ** -world.bed.sizeExponent *
    (1 + 1.5 * (grinder.finesShare - 0.14)) *
    crowding *
    (1 - 0.75 * condition.channelShare);
  const surfaceShare = Math.min(0.85, grinder.finesShare + 0.36 * (REFERENCE_MICRONS / microns));
  return { microns, resistance, surfaceShare };
}
