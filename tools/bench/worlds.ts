import {
  drawBetween,
  findMethod,
  roundTo,
  snap,
  STEADY_BARISTA,
  type Barista,
  type BrewSettings,
  type LearnedSlope,
  type LearnedTaster,
  type Method,
  type Random,
  type Roast,
  type Scale,
  type Settings,
  type TimerStart,
} from '../../core/src/index';
import { drawCurveWorld } from './curveWorlds';
import type { Clocked, HiddenWorld } from './hiddenWorld';
import { drawPuckWorld, light, puckWorld, soaking } from './puckWorlds';

/** Worlds for choosing constants; the mechanistic ones drawn from wider ranges; and another physics altogether. */
export const PHYSICS = ['tuning', 'held-out', 'curves'] as const;
export type Physics = (typeof PHYSICS)[number];

/** A hidden world and what its barista knows of it. */
export interface Game {
  world: HiddenWorld;
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
  /** How this barista marks, where earlier dial-ins told. */
  taster: LearnedTaster | null;
  /** Points of ten by which this barista marks lower than the world's people do. */
  strictness: number;
  /** Log standard deviation of the bed's drift from one shot to the next. */
  humiditySd: number;
  /** Share of a temperature change that has arrived by the next shot. */
  heatArrives: number;
}

export interface Scenario {
  name: string;
  draw(random: Random): Game | null;
}

const pick = <T>(random: Random, items: readonly T[]): T => items[Math.floor(random() * items.length)]!;

/** Tolerances of a right setting: as judged, so far outside that a tongue might tell, and comfortably inside, as a kept card is. */
const JUDGED = { seconds: -0.5, share: 1 };
export const FAR = { seconds: -1.5, share: 4 / 3 };
export const COMFORTABLE = { seconds: 1, share: 0.6 };

/** True when the noise-free shot is what was wanted: window ±0.5 s, |balance| ≤ 0.6, |body| ≤ 0.9. */
export function isRight(game: Game, settings: Settings, drift = 1, margin = JUDGED): boolean {
  const shot = game.world.ideal(brewSettings(settings), drift);
  const { taste } = shot;
  const time = timeOf(game, shot);
  const { min, max } = game.target;
  return (
    time >= min + margin.seconds &&
    time <= max - margin.seconds &&
    Math.abs(taste.balance) <= margin.share * game.method.tolerance.balance &&
    Math.abs(taste.body) <= margin.share * game.method.tolerance.body
  );
}

export function brewSettings(settings: Settings): BrewSettings {
  return { ...settings, temperatureC: settings.temperatureC ?? 93 };
}

export function timeOf(game: Game, shot: Clocked): number {
  switch (game.target.timer) {
    case 'pump-on':
      return shot.pumpOnSeconds;
    case 'total-contact':
      return shot.totalContactSeconds;
    case 'first-drip':
      return shot.pumpOnSeconds - shot.firstDripSeconds;
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
  coffee?: 'light' | 'soaked';
}

/** The world's own part of a game; a soak and a light roast are matters of physics. */
function drawWorld(random: Random, { coffee }: Recipe, method: Method, physics: Physics): HiddenWorld {
  if (physics === 'curves') {
    return drawCurveWorld(random, method, coffee === 'light' ? 'light' : 'medium', coffee === 'soaked' ? 20 : 0);
  }
  const drawn = drawPuckWorld(random, physics === 'held-out', method.start.doseGrams);
  if (coffee === undefined) return puckWorld(drawn);
  return puckWorld(coffee === 'light' ? light(drawn) : soaking(drawn));
}

function drawGame(random: Random, recipe: Recipe, physics: Physics, usual: Method): Game | null {
  const method = recipe.method ? findMethod(recipe.method)! : usual;
  const world = drawWorld(random, recipe, method, physics);
  const roast = recipe.roast ?? pick(random, ['medium-light', 'medium', 'medium-dark'] as const);
  const timer = recipe.timer ?? method.timer;
  const clockShift = timer === 'first-drip' && method.timer === 'pump-on' ? -6 : 0;
  const temperatureScale = random() < 0.75 ? { min: 88, max: 97, step: 0.5 } : null;
  const doseGrams = method.start.doseGrams;
  const game: Game = {
    world,
    barista: { ...STEADY_BARISTA, ...recipe.barista },
    method,
    roast,
    grindScale: { min: 0, max: 40, step: recipe.step ?? pick(random, [0, 0.25, 0.5, 1] as const) },
    finer: world.coarserSign === 1 ? 'lower' : 'higher',
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
    taster: null,
    strictness: 0,
    humiditySd: drawBetween(random, 0, 0.012),
    heatArrives: random() < 0.3 ? 0.6 : 1,
  };
  // A world where only the very edge is right would test luck, not judgement.
  const right = findRight(game, COMFORTABLE);
  if (!right) return null;
  const unit = -Math.sign(game.world.coarserSign) || -1;
  const slope = slopeAt(game, right);
  if (!(slope > 0.01)) return null;
  if (recipe.known)
    game.learned = { mean: slope * Math.exp(drawBetween(random, -0.1, 0.1)), sd: 0.12 * slope, shots: 40 };
  if (recipe.limitUnits !== undefined) {
    // The finest the grinder goes is coarser than what the target dose asks for.
    const finest = right.grind - unit * recipe.limitUnits * (game.grindScale.step || 0.5);
    game.grindScale = unit === -1 ? { ...game.grindScale, min: finest } : { ...game.grindScale, max: finest };
  }
  if (recipe.sinceRight === undefined) {
    // Somebody's guess: up to a third of log time off, more often too coarse.
    game.startGrind = snap(right.grind - unit * (drawBetween(random, -0.18, 0.35) / slope), game.grindScale);
  } else {
    game.startGrind = right.grind;
    game.target = {
      ...game.target,
      yieldGrams: right.yieldGrams,
      doseGrams: right.doseGrams,
      temperatureC: right.temperatureC ?? 93,
    };
    game.world = withDrift(game.world, Math.exp(recipe.sinceRight * (random() < 0.5 ? -1 : 1)));
  }
  return findRight(game) ? game : null;
}

/** The same world on another day. */
function withDrift(world: HiddenWorld, factor: number): HiddenWorld {
  return {
    ...world,
    ideal: (settings, drift) => world.ideal(settings, drift * factor),
    pull: (input) => world.pull({ ...input, drift: input.drift * factor }),
  };
}

/** Change of ln time for one unit finer around these settings, from the world itself. */
export function slopeAt(game: Game, settings: Settings): number {
  const coarser = game.world.coarserSign;
  const at = (shift: number): number =>
    Math.log(timeOf(game, game.world.ideal(brewSettings({ ...settings, grind: settings.grind + shift * coarser }), 1)));
  return at(-0.5) - at(0.5);
}

/** The scenarios of a benchmark; the usual method is played where a scenario does not ask for its own. */
export function scenarios(physics: Physics, usual = findMethod('balance-walk')!): Scenario[] {
  const make = (name: string, recipe: Recipe): Scenario => ({
    name,
    draw: (random) => drawGame(random, recipe, physics, usual),
  });
  return [
    make('unknown grinder', {}),
    make('known grinder', { known: true }),
    make('light, open light', { method: 'open-light', roast: 'light', coffee: 'light' }),
    make('coarse steps', { step: 2 }),
    make('messy barista', {
      barista: { puckSd: 0.08, channelChance: 0.15, unpurgedChance: 0.2, doseSdGrams: 0.2, yieldSdGrams: 1.2 },
    }),
    make('morning after drift', { known: true, sinceRight: 0.16 }),
    make('grinder at its limit', { limitUnits: 2 }),
    make('first-drip timer', { timer: 'first-drip' }),
    make('total contact, slow soak', { method: 'slow-soak', coffee: 'soaked' }),
    make('already right', { known: true, sinceRight: 0 }),
  ];
}
