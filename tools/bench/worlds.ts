import {
  findMethod,
  idealShot,
  roundTo,
  snap,
  STEADY_BARISTA,
  type Barista,
  type BrewSettings,
  type LearnedSlope,
  type Method,
  type PuckWorld,
  type Random,
  type Roast,
  type Scale,
  type Settings,
  type TimerStart,
} from '../../core/src/index';

/** A hidden world and what its barista knows of it. */
export interface Game {
  world: PuckWorld;
  barista: Barista;
  method: Method;
  roast: Roast;
  grindScale: Scale;
  finer: 'lower' | 'higher';
  temperatureScale: Scale | null;
  basket: { nominalGrams: number; minGrams: number; maxGrams: number };
  target: { doseGrams: number; yieldGrams: number; min: number; max: number; timer: TimerStart; temperatureC: number };
  startGrind: number;
  learned: LearnedSlope | null;
  /** Log standard deviation of the bed's drift from one shot to the next. */
  humiditySd: number;
  /** Share of a temperature change that has arrived by the next shot. */
  heatArrives: number;
}

export interface Scenario {
  name: string;
  draw(random: Random): Game | null;
}

const between = (random: Random, low: number, high: number): number => low + random() * (high - low);
const pick = <T>(random: Random, items: readonly T[]): T => items[Math.floor(random() * items.length)]!;

/** Three kinds of physics beside the plain one; `held-out` worlds are drawn from wider ranges than the others. */
export function drawWorld(random: Random, heldOut: boolean): PuckWorld {
  const wide = heldOut ? 1.5 : 1;
  const spread = (middle: number, by: number): number => between(random, middle - by * wide, middle + by * wide);
  const micronsPerUnit = Math.exp(spread(Math.log(9), 0.5));
  const finerIsHigher = random() < 0.3;
  return {
    coffee: {
      solubleShare: spread(0.29, 0.012),
      sweetSpotPercent: spread(19, 0.9),
      bodyTdsPercent: spread(9.4, 0.6),
      resistance: Math.exp(spread(0, 0.15)),
      diffusion: Math.exp(spread(0, 0.08)),
    },
    grinder: {
      micronsPerUnit,
      // Espresso lies somewhere on a scale of forty units.
      micronsAtZero: finerIsHigher
        ? 276 + micronsPerUnit * between(random, 18, 28)
        : 276 - micronsPerUnit * between(random, 8, 16),
      bend: random() < 0.4 ? spread(0, 0.12) : 0,
      coarserSign: finerIsHigher ? -1 : 1,
      finesShare: spread(0.14, 0.04),
      retainedShare: between(random, 0.2, 0.45),
    },
    machine: {
      pumpBar: spread(9, 0.7),
      pumpMaxMlPerSecond: spread(6, 1.2),
      temperatureOffsetC: spread(0, 1),
      preBrewSeconds: 0,
      preBrewMlPerSecond: 1.6,
    },
    basket: { nominalGrams: 18 },
    bed: { sizeExponent: spread(2.4, 0.5), doseExponent: spread(1.5, 0.4), relaxation: spread(0.4, 0.12) },
    tongue: {
      percentPerPoint: Math.exp(spread(Math.log(1.5), 0.2)),
      bodyPoints: Math.exp(spread(Math.log(6), 0.2)),
      // People use a scale of ten differently: some never give a nine, some give little else.
      overallBest: Math.min(9.8, spread(8.3, 0.9)),
      overallLoss: Math.exp(spread(Math.log(1.5), 0.35)),
      sweetBest: Math.min(9.8, spread(7.5, 1)),
      sweetLoss: Math.exp(spread(Math.log(1.5), 0.35)),
    },
  };
}

/** Tolerances of a right setting: as judged, and comfortably inside, as a kept card is. */
const JUDGED = { seconds: -0.5, share: 1 };
export const COMFORTABLE = { seconds: 1, share: 0.6 };

/** True when the noise-free shot is what was wanted: window ±0.5 s, |balance| ≤ 0.6, |body| ≤ 0.9. */
export function isRight(game: Game, settings: Settings, drift = 1, margin = JUDGED): boolean {
  const { puck, taste } = idealShot(drifted(game.world, drift), brewSettings(settings));
  const time = timeOf(game, puck);
  const { min, max } = game.target;
  return (
    time >= min + margin.seconds &&
    time <= max - margin.seconds &&
    Math.abs(taste.balance) <= margin.share * game.method.tolerance.balance &&
    Math.abs(taste.body) <= margin.share * game.method.tolerance.body
  );
}

export function drifted(world: PuckWorld, drift: number): PuckWorld {
  return { ...world, coffee: { ...world.coffee, resistance: world.coffee.resistance * drift } };
}

export function brewSettings(settings: Settings): BrewSettings {
  return { ...settings, temperatureC: settings.temperatureC ?? 93 };
}

export function timeOf(
  game: Game,
  puck: { pumpOnSeconds: number; totalContactSeconds: number; firstDripSeconds: number },
): number {
  switch (game.target.timer) {
    case 'pump-on':
      return puck.pumpOnSeconds;
    case 'total-contact':
      return puck.totalContactSeconds;
    case 'first-drip':
      return puck.pumpOnSeconds - puck.firstDripSeconds;
  }
}

/** A right setting closest to the start, found by looking at the world itself; null when there is none. */
export function findRight(game: Game, margin = JUDGED): Settings | null {
  const { target, grindScale, temperatureScale } = game;
  const heats = temperatureScale
    ? [0, 1, -1, 2, -2, 3].map((d) => snap(target.temperatureC + d, temperatureScale))
    : [null];
  const locked = game.method.locks;
  const yields = locked.includes('yield') ? [0] : [0, 2, -2, 4, -4, 6, -6, 9];
  const step = grindScale.step > 0 ? grindScale.step : 0.25;
  for (const doseShift of [0, 0.5, -0.5, 1]) {
    const doseGrams = target.doseGrams + doseShift;
    if (doseGrams > game.basket.maxGrams || doseGrams < game.basket.minGrams) continue;
    for (const temperatureC of locked.includes('temperature') ? heats.slice(0, 1) : heats) {
      for (const dy of yields) {
        const yieldGrams = roundTo((target.yieldGrams * doseGrams) / target.doseGrams + dy, 1);
        for (let i = 0; i <= 40; i += 1) {
          for (const way of i === 0 ? [0] : [1, -1]) {
            const grind = snap(game.startGrind + way * i * step, grindScale);
            const settings = { grind, doseGrams, yieldGrams, temperatureC };
            if (isRight(game, settings, 1, margin)) return settings;
          }
        }
      }
    }
  }
  return null;
}

interface Recipe {
  method?: string;
  roast?: Roast;
  timer?: TimerStart;
  step?: number;
  barista?: Partial<Barista>;
  known?: boolean;
  /** Log drift of the bed since the start setting was right; undefined = start anywhere near. */
  sinceRight?: number;
  /** Limits the scale so that the plain target would need so many units finer than it goes. */
  limitUnits?: number;
  change?: (world: PuckWorld) => PuckWorld;
}

function scenario(name: string, recipe: Recipe, heldOut: boolean): Scenario {
  return { name, draw: (random) => drawGame(random, recipe, heldOut) };
}

function drawGame(random: Random, recipe: Recipe, heldOut: boolean): Game | null {
  const method = findMethod(recipe.method ?? 'balance-walk')!;
  const drawn = drawWorld(random, heldOut);
  const world = recipe.change?.(drawn) ?? drawn;
  const roast = recipe.roast ?? pick(random, ['medium-light', 'medium', 'medium-dark'] as const);
  const timer = recipe.timer ?? method.timer;
  const clockShift = timer === 'first-drip' && method.timer === 'pump-on' ? -6 : 0;
  const temperatureScale = random() < 0.75 ? { min: 88, max: 97, step: 0.5 } : null;
  const doseGrams = method.start.doseGrams;
  const game: Game = {
    world: { ...world, basket: { nominalGrams: doseGrams } },
    barista: { ...STEADY_BARISTA, ...recipe.barista },
    method,
    roast,
    grindScale: { min: 0, max: 40, step: recipe.step ?? pick(random, [0, 0.25, 0.5, 1] as const) },
    finer: world.grinder.coarserSign === 1 ? 'lower' : 'higher',
    temperatureScale,
    basket: { nominalGrams: doseGrams, minGrams: doseGrams - 2, maxGrams: doseGrams + 2 },
    target: {
      doseGrams,
      yieldGrams: Math.round(doseGrams * method.start.ratio),
      min: method.windowSeconds.min + clockShift,
      max: method.windowSeconds.max + clockShift,
      timer,
      temperatureC: temperatureScale ? snap(method.temperatureC[roast], temperatureScale) : 93,
    },
    startGrind: 20,
    learned: null,
    humiditySd: between(random, 0, 0.012),
    heatArrives: random() < 0.3 ? 0.6 : 1,
  };
  // A world where only the very edge is right would test luck, not judgement.
  const right = findRight(game, COMFORTABLE);
  if (!right) return null;
  const unit = -Math.sign(game.world.grinder.coarserSign) || -1;
  const slope = slopeAt(game, right);
  if (!(slope > 0.01)) return null;
  if (recipe.known) game.learned = { mean: slope * Math.exp(between(random, -0.1, 0.1)), sd: 0.12 * slope, shots: 40 };
  if (recipe.limitUnits !== undefined) {
    // The finest the grinder goes is coarser than what the target dose asks for.
    const finest = right.grind - unit * recipe.limitUnits * (game.grindScale.step || 0.5);
    game.grindScale = unit === -1 ? { ...game.grindScale, min: finest } : { ...game.grindScale, max: finest };
  }
  if (recipe.sinceRight === undefined) {
    // Somebody's guess: up to a third of log time off, more often too coarse.
    game.startGrind = snap(right.grind - unit * (between(random, -0.18, 0.35) / slope), game.grindScale);
  } else {
    game.startGrind = right.grind;
    game.target = {
      ...game.target,
      yieldGrams: right.yieldGrams,
      doseGrams: right.doseGrams,
      temperatureC: right.temperatureC ?? 93,
    };
    game.world = drifted(game.world, Math.exp(recipe.sinceRight * (random() < 0.5 ? -1 : 1)));
  }
  return findRight(game) ? game : null;
}

/** Change of ln time for one unit finer around these settings, from the world itself. */
function slopeAt(game: Game, settings: Settings): number {
  const coarser = game.world.grinder.coarserSign;
  const at = (shift: number): number =>
    Math.log(
      timeOf(game, idealShot(game.world, brewSettings({ ...settings, grind: settings.grind + shift * coarser })).puck),
    );
  return at(-0.5) - at(0.5);
}

export function scenarios(heldOut: boolean): Scenario[] {
  const make = (name: string, recipe: Recipe): Scenario => scenario(name, recipe, heldOut);
  // A long soak extracts more; coffees are served this way that want it.
  const soaking = (world: PuckWorld): PuckWorld => ({
    ...world,
    machine: { ...world.machine, preBrewSeconds: 20 },
    coffee: {
      ...world.coffee,
      sweetSpotPercent: world.coffee.sweetSpotPercent + 1.6,
      bodyTdsPercent: 1.06 * world.coffee.bodyTdsPercent,
    },
  });
  // Light roasts give less and slower, and taste right at a higher extraction.
  const light = (world: PuckWorld): PuckWorld => ({
    ...world,
    coffee: {
      ...world.coffee,
      diffusion: 0.92 * world.coffee.diffusion,
      sweetSpotPercent: world.coffee.sweetSpotPercent + 1,
      bodyTdsPercent: 0.88 * world.coffee.bodyTdsPercent,
    },
  });
  return [
    make('unknown grinder', {}),
    make('known grinder', { known: true }),
    make('light, open light', { method: 'open-light', roast: 'light', change: light }),
    make('coarse steps', { step: 2 }),
    make('messy barista', {
      barista: { puckSd: 0.08, channelChance: 0.15, unpurgedChance: 0.2, doseSdGrams: 0.2, yieldSdGrams: 1.2 },
    }),
    make('morning after drift', { known: true, sinceRight: 0.16 }),
    make('grinder at its limit', { limitUnits: 2 }),
    make('first-drip timer', { timer: 'first-drip' }),
    make('total contact, slow soak', { method: 'slow-soak', change: soaking }),
    make('already right', { known: true, sinceRight: 0 }),
  ];
}
