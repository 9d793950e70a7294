import {
  drawBetween,
  drawNormal,
  PLAIN_WORLD,
  Puck,
  STEP_SECONDS,
  type DeviceCommand,
  type DeviceEvent,
  type DeviceKind,
  type DeviceValues,
  type PuckWorld,
  type Random,
} from '@olvet/core';

/** One tick of the bench, s: the scale reads as often. */
export const TICK_SECONDS = 0.05;
const TICKS_A_STEP = Math.round(STEP_SECONDS / TICK_SECONDS);

/** A hand's stray where nobody ground for it, g. */
const DOSE_SD = 0.1;
/** A timed dose: g/s at setting 12, how much less for each unit finer, the burrs' run-up, and its real spread. */
const GRINDING = { gramsPerSecond: 4, perUnit: 0.02, at: 12, lagSeconds: 0.3, sdGrams: 0.2 };
/** Turned finer by more than this with the burrs at rest, they lock, in units. */
const LOCKS_BEYOND = 1;
/** What hangs below the basket when the pump stops: some, and more at a quicker flow; it falls with this time constant, s. */
const HANGING = { grams: 0.8, secondsOfFlow: 0.7, sd: 0.25, fallSeconds: 0.6 };
const SCALE = { quietSd: 0.04, pumpSd: 0.12, driftPerSecond: 0.002, cupGrams: 182.4, basketGrams: 0 };
const LEVER_ON_BAR = 0.3;

export interface BenchEvent {
  kind: DeviceKind;
  event: DeviceEvent;
  values?: DeviceValues;
}

/** What stands on the scale. */
const ON_SCALE = ['nothing', 'cup', 'basket'] as const;

/**
 * One bar with all its devices, run by ticks: what one does the others feel. A finer setting slows the shot on the scale, a badly
 * prepared puck gives way in the middle. All that is random comes from `random`.
 */
export class Bench {
  seconds = 0;
  isLocked = false;
  isPoor = false;
  leverBar = 0;
  onScale: (typeof ON_SCALE)[number] = 'cup';
  batteryPercent = 81;
  shotSeconds = 0;
  lastTdsPercent: number | null = null;
  private grindingUntil = -Infinity;
  private basketGrams: number | null = null;
  private puck: Puck | null = null;
  private isPumping = false;
  private soakUntil = -Infinity;
  private opensAt = Infinity;
  private opens = 0;
  private inCup = 0;
  private hanging = 0;
  private fallRate = 0;
  private tare = SCALE.cupGrams;
  private ticks = 0;
  private readonly happened: BenchEvent[] = [];

  constructor(
    private readonly random: Random,
    private readonly world: PuckWorld = PLAIN_WORLD,
    /** Where its grinder stands at first. */
    public grind = 12,
  ) {}

  get isRunning(): boolean {
    return this.isPumping || this.leverBar > LEVER_ON_BAR;
  }

  /** What has happened since the last look. */
  takeEvents(): BenchEvent[] {
    return this.happened.splice(0);
  }

  tick(): void {
    this.ticks += 1;
    this.seconds += TICK_SECONDS;
    if (this.isRunning) this.shotSeconds += TICK_SECONDS;
    if (this.isPumping && this.soakUntil > 0 && this.seconds >= this.soakUntil) this.endSoak();
    if (this.ticks % TICKS_A_STEP === 0 && this.isRunning) this.push();
    const flow = this.isRunning && this.puck && this.puck.cupGrams > 0 ? this.puck.flow : 0;
    const fallen = Math.min(this.hanging, this.fallRate * this.hanging * TICK_SECONDS);
    this.hanging -= fallen;
    this.inCup += flow * TICK_SECONDS + fallen;
  }

  /** What a device shows now. */
  read(kind: DeviceKind): DeviceValues {
    switch (kind) {
      case 'scale':
        return { grams: this.weigh(), batteryPercent: Math.round(this.batteryPercent) };
      case 'machine': {
        const bar = this.isRunning ? (this.puck?.bar ?? 0) : 0;
        const cooling = this.isRunning ? Math.min(1.5, this.shotSeconds * 0.05) : 0;
        return {
          bar: rounded(Math.max(0, bar + drawNormal(this.random, 0, 0.05)), 2),
          celsius: rounded(93 - cooling + drawNormal(this.random, 0, 0.08), 1),
          mlPerSecond: rounded(this.isRunning ? (this.puck?.flow ?? 0) : 0, 2),
          shotSeconds: rounded(this.shotSeconds, 1),
        };
      }
      case 'grinder':
        return { grind: this.grind };
      case 'room':
        return {
          celsius: rounded(22.5 + 1.5 * Math.sin(this.seconds / 3000) + drawNormal(this.random, 0, 0.05), 1),
          humidityPercent: rounded(61 + 4 * Math.sin(this.seconds / 4000) + drawNormal(this.random, 0, 0.2), 1),
        };
      case 'refractometer':
        return this.lastTdsPercent === null
          ? {}
          : { tdsPercent: rounded(this.lastTdsPercent + drawNormal(this.random, 0, 0.06), 2) };
    }
  }

  /** A hand or Olvet acts; what is wrong with that, in words, or null. */
  act(command: DeviceCommand, value = 0): string | null {
    switch (command) {
      case 'tare':
        this.tare += this.weigh();
        this.happen('scale', 'tared');
        return null;
      case 'cup':
        return this.put(value);
      case 'battery':
        this.batteryPercent = Math.min(100, Math.max(0, value));
        if (value <= 5) this.happen('scale', 'battery-low', { batteryPercent: this.batteryPercent });
        return null;
      case 'start':
        return this.start(value);
      case 'stop':
        this.stop();
        return null;
      case 'end-soak':
        this.endSoak();
        return null;
      case 'lever':
        return this.pull(value);
      case 'preparation':
        this.isPoor = value > 0;
        return null;
      case 'set-grind':
        return this.turn(value);
      case 'grind':
        return this.grindFor(value);
      case 'measure':
        return this.lastTdsPercent === null ? 'there is no cup to measure yet' : null;
    }
  }

  private weigh(): number {
    const shake = this.isRunning ? SCALE.pumpSd : SCALE.quietSd;
    const stands = {
      nothing: 0,
      cup: SCALE.cupGrams + this.inCup,
      basket: SCALE.cupGrams + (this.basketGrams ?? 0),
    }[this.onScale];
    const drift = SCALE.driftPerSecond * this.shotSeconds;
    return rounded(stands - this.tare + drift + drawNormal(this.random, 0, shake), 1);
  }

  private put(what: number): string | null {
    const stands = ON_SCALE[what];
    if (!stands) return 'put 0 nothing, 1 a cup or 2 the basket on the scale';
    // A cup that was away comes back empty.
    if (stands === 'cup' && this.onScale !== 'cup' && !this.isRunning) this.inCup = 0;
    this.onScale = stands;
    return null;
  }

  private start(soakSeconds: number): string | null {
    if (this.isRunning) return 'the pump runs already';
    this.load();
    this.isPumping = true;
    this.shotSeconds = 0;
    this.soakUntil = soakSeconds > 0 ? this.seconds + soakSeconds : -Infinity;
    this.happen('machine', 'pump-on');
    return null;
  }

  private stop(): void {
    if (!this.isRunning) return;
    this.isPumping = false;
    this.leverBar = 0;
    this.letHang();
    this.happen('machine', 'pump-off', { shotSeconds: rounded(this.shotSeconds, 1) });
  }

  private pull(bar: number): string | null {
    if (this.isPumping) return 'the pump runs: stop it first';
    if (bar < 0 || bar > 12) return 'a lever gives 0 to 12 bar';
    const wasPulled = this.isRunning;
    if (wasPulled && bar <= LEVER_ON_BAR) {
      this.stop();
      return null;
    }
    this.leverBar = bar;
    if (!wasPulled && this.isRunning) {
      this.load();
      this.shotSeconds = 0;
      this.happen('machine', 'pump-on');
    }
    return null;
  }

  private endSoak(): void {
    if (this.soakUntil <= 0) return;
    this.soakUntil = -Infinity;
    this.happen('machine', 'soak-ended', { shotSeconds: rounded(this.shotSeconds, 1) });
  }

  private turn(setting: number): string | null {
    const isStill = this.seconds >= this.grindingUntil;
    const finerBy = this.world.grinder.coarserSign * (this.grind - setting);
    if (isStill && finerBy > LOCKS_BEYOND) {
      this.isLocked = true;
      this.happen('grinder', 'burrs-locked');
      return 'the burrs lock: finer only while they turn. Switch off and unplug before you reach in, then go coarser';
    }
    if (finerBy < 0) this.isLocked = false;
    this.grind = setting;
    return null;
  }

  private grindFor(seconds: number): string | null {
    if (this.isLocked) return 'the burrs are locked: switch off and unplug, then go coarser';
    if (seconds <= GRINDING.lagSeconds || seconds > 60) return 'grinds for 0.4 to 60 s';
    const rate = GRINDING.gramsPerSecond * Math.exp(GRINDING.perUnit * (this.grind - GRINDING.at));
    const dose = rate * (seconds - GRINDING.lagSeconds) + drawNormal(this.random, 0, GRINDING.sdGrams);
    this.basketGrams = rounded(Math.max(0.5, dose), 2);
    this.grindingUntil = this.seconds + seconds;
    this.happen('grinder', 'ground', { shotSeconds: seconds });
    return null;
  }

  /** A basket goes in, and an empty cup stands below. */
  private load(): void {
    const doseGrams = this.basketGrams ?? drawNormal(this.random, this.world.basket.nominalGrams, DOSE_SD);
    const resistanceFactor = Math.exp(drawNormal(this.random, 0, 0.05));
    const condition = { resistanceFactor, channelShare: 0, oldGrind: null, oldShare: 0 };
    this.puck = new Puck(this.world, { grind: this.grind, doseGrams, temperatureC: 93 }, condition);
    this.basketGrams = null;
    this.opensAt = this.isPoor ? drawBetween(this.random, 9, 15) : Infinity;
    this.opens = drawBetween(this.random, 0.4, 0.7);
    if (this.onScale === 'basket') this.onScale = 'cup';
    // Whoever pulls puts an empty cup there, and it is zero.
    this.inCup = 0;
    if (this.onScale === 'cup') this.tare = SCALE.cupGrams;
    this.hanging = 0;
  }

  private push(): void {
    const { pumpBar, pumpMaxMlPerSecond, preBrewMlPerSecond } = this.world.machine;
    const isSoaking = this.isPumping && this.soakUntil > this.seconds;
    const bar = this.isPumping ? pumpBar : this.leverBar;
    const opened = this.puck!.seconds > this.opensAt ? this.opens : 0;
    this.puck!.step({ bar, mostMlPerSecond: isSoaking ? preBrewMlPerSecond : pumpMaxMlPerSecond }, opened);
  }

  private letHang(): void {
    const flow = this.puck && this.puck.cupGrams > 0 ? this.puck.flow : 0;
    this.hanging = Math.max(0.1, drawNormal(this.random, HANGING.grams + HANGING.secondsOfFlow * flow, HANGING.sd));
    this.fallRate = 1 / HANGING.fallSeconds;
    if (this.puck && this.inCup > 0)
      this.lastTdsPercent = (100 * this.puck.cupDissolved) / Math.max(1, this.puck.cupGrams);
  }

  private happen(kind: DeviceKind, event: DeviceEvent, values?: DeviceValues): void {
    this.happened.push({ kind, event, ...(values ? { values } : {}) });
  }
}

function rounded(value: number, decimals: number): number {
  return Number(value.toFixed(decimals));
}
