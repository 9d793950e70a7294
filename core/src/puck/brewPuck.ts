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

/** One step of a puck, s. */
export const STEP_SECONDS = 0.1;
const MAX_SECONDS = 180;
/** Solubility limit of the liquid in the pores, g dissolved per ml; first drops of espresso reach 25–30 %. */
const SATURATION = 0.4;
const SURFACE_RATE = 0.5;
const CORE_RATE = 0.048;
/** Resistance of 18 g at 276 µm, bar·s/ml, before anything dissolves. */
const RESISTANCE = 7.8;
const REFERENCE_MICRONS = 276;
/** Share of the water still to come when the filter below is wet all over [assumption]. */
const COVERED_LEFT = 0.12;

/** Grain size at a grind setting, µm; never below 60 (burrs touch). */
export function grainMicrons(grinder: PuckWorld['grinder'], grind: number): number {
  const units = grinder.coarserSign * grind;
  return Math.max(60, grinder.micronsAtZero + grinder.micronsPerUnit * units + grinder.bend * units * units);
}

/** What the machine does to the puck during one step. */
export interface Drive {
  /** What pushes, bar; 0 while nothing runs. */
  bar: number;
  /** It gives no more than this, ml/s. */
  mostMlPerSecond: number;
}

/**
 * One puck, brewed by explicit Euler steps of 0.1 s.
 *
 * Flow: water first fills the headspace and soaks the bed, then Darcy's law q = p / R with
 * R ∝ dose^a · size^−b (Kozeny–Carman with fines moving b off 2) · crowding in a full basket, falling by the bed's
 * relaxation as the coffee dissolves. The pump limits the flow.
 * Extraction: two pools — broken surfaces and fines dissolve fast, the core slowly with rate ∝ size^−1.3 — both
 * slowed as the pore liquid nears saturation, both about 9 % faster per °C (an effective figure: Arrhenius plus what heat does to taste). The pore liquid is a
 * stirred tank washed out by the flow, which is why more water extracts more.
 * Channel: its share of the flow meets little resistance and already exhausted coffee.
 */
export class Puck {
  seconds = 0;
  firstDripSeconds = 0;
  cupGrams = 0;
  cupDissolved = 0;
  /** Water through the puck in the last step, ml/s, and what it was pushed with, bar. */
  flow = 0;
  bar = 0;
  private readonly bed: Bed;
  private readonly soluble: number;
  private readonly poreMl: number;
  private readonly toFillAtFirst: number;
  private readonly surfaceRate: number;
  private readonly coreRate: number;
  private surface: number;
  private core: number;
  private inPores = 0;
  private toFillMl: number;

  constructor(
    private readonly world: PuckWorld,
    settings: Omit<BrewSettings, 'yieldGrams'>,
    private readonly condition: PuckCondition,
  ) {
    const { coffee, machine, basket } = world;
    this.bed = describeBed(world, settings, condition);
    const heat = Math.exp(0.09 * (settings.temperatureC + machine.temperatureOffsetC - 93));
    this.surfaceRate = SURFACE_RATE * heat;
    this.coreRate = CORE_RATE * heat * coffee.diffusion * (this.bed.microns / REFERENCE_MICRONS) ** -1.3;
    this.soluble = coffee.solubleShare * settings.doseGrams;
    this.surface = this.soluble * this.bed.surfaceShare;
    this.core = this.soluble - this.surface;
    this.poreMl = 1.05 * settings.doseGrams;
    // A fuller basket leaves less room to fill above the puck.
    this.toFillMl = Math.max(3, 12 - 1.5 * (settings.doseGrams - basket.nominalGrams)) + 0.85 * settings.doseGrams;
    this.toFillAtFirst = this.toFillMl;
  }

  /** Wet from edge to edge, from below: a little before the first drops fall. */
  get isCovered(): boolean {
    return this.toFillMl <= COVERED_LEFT * this.toFillAtFirst;
  }

  /** `opened`: a channel that came about during the shot, as a share of the flow. */
  step(drive: Drive, opened = 0): void {
    const channelShare = Math.max(this.condition.channelShare, opened);
    const gone = 1 - (this.surface + this.core) / this.soluble;
    const relaxed = 1 - this.world.bed.relaxation * Math.min(1, gone / 0.8);
    const through = (1 - 0.75 * channelShare) / (1 - 0.75 * this.condition.channelShare);
    const resistance = this.bed.resistance * relaxed * through;
    // Until the bed is wet through, water meets only part of it.
    const resisting = this.toFillMl > 0 ? 0.35 * resistance : resistance;
    const flow = Math.min(drive.mostMlPerSecond, drive.bar / resisting);
    const wet = Math.min(1, (this.seconds + STEP_SECONDS) / 3);
    const room = Math.max(0, 1 - this.inPores / this.poreMl / SATURATION);
    const fromSurface = this.surfaceRate * this.surface * room * wet * STEP_SECONDS;
    const fromCore = this.coreRate * this.core * room * wet * STEP_SECONDS;
    this.surface -= fromSurface;
    this.core -= fromCore;
    this.inPores += fromSurface + fromCore;
    this.seconds += STEP_SECONDS;
    this.flow = flow;
    this.bar = Math.min(drive.bar, flow * resisting);
    if (this.toFillMl > 0) {
      this.toFillMl -= flow * STEP_SECONDS;
      this.firstDripSeconds = this.seconds;
      return;
    }
    // Water in the channel passes the bed by: it carries little and leaves the rest less washed.
    const washing = flow * (1 - 0.75 * channelShare);
    const carried = Math.min(this.inPores, (this.inPores / this.poreMl) * washing * STEP_SECONDS);
    this.inPores -= carried;
    this.cupDissolved += carried;
    this.cupGrams += flow * STEP_SECONDS;
  }
}

/** Brews one puck to its yield. */
export function brewPuck(world: PuckWorld, settings: BrewSettings, condition: PuckCondition): BrewedPuck {
  const { machine, coffee } = world;
  const puck = new Puck(world, settings, condition);
  const trace: FlowPoint[] = [];
  while (puck.cupGrams < settings.yieldGrams && puck.seconds < MAX_SECONDS) {
    const isSoaking = puck.seconds < machine.preBrewSeconds;
    const mostMlPerSecond = isSoaking ? machine.preBrewMlPerSecond : machine.pumpMaxMlPerSecond;
    puck.step({ bar: machine.pumpBar, mostMlPerSecond });
    trace.push({ seconds: puck.seconds, grams: puck.cupGrams, bar: puck.bar, celsius: settings.temperatureC });
  }
  const grams = Math.max(puck.cupGrams, 0.1);
  const extractionPercent = (100 * puck.cupDissolved) / settings.doseGrams;
  return {
    totalContactSeconds: puck.seconds,
    pumpOnSeconds: puck.seconds - machine.preBrewSeconds,
    firstDripSeconds: puck.firstDripSeconds,
    extractionPercent,
    tdsPercent: (100 * puck.cupDissolved) / grams,
    overExtractedShare: condition.channelShare + Math.max(0, extractionPercent / (100 * coffee.solubleShare) - 0.8),
    choked: puck.cupGrams < settings.yieldGrams,
    trace,
  };
}

interface Bed {
  microns: number;
  resistance: number;
  surfaceShare: number;
}

function describeBed(world: PuckWorld, settings: Omit<BrewSettings, 'yieldGrams'>, condition: PuckCondition): Bed {
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
