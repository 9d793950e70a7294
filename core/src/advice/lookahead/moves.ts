import { smallestTurn } from '../../brew/collar';
import { clamp, roundTo, snap, type Scale } from '../../brew/snap';
import type { Lever } from '../../method/Method';
import { SETTING_OF, type Settings } from '../../contract/answer';
import { slopeOf, type Posterior } from '../../belief/infer';
import { slopeKnown } from '../../belief/prior';
import type { Problem } from '../../belief/problem';
import { changesBetween } from '../../contract/changes';

export interface Move {
  settings: Settings;
  lever: Lever | null;
  /** Set when dose and yield moved together, in ratio. */
  coupled: boolean;
}

const GRIND_CANDIDATES = 18;
/** No single move may ask for more than this in log time: beyond it the near-log law is a guess. */
const LARGEST_LOG_MOVE = 0.7;
/** A step of the grind may be so many times the largest before it. */
const STRIDES_GROW = 2.5;
/** Half of the largest move, in log time: so far it may always go. */
const FREE_LOG_MOVE = LARGEST_LOG_MOVE / 2;
/** Less than 2 g of 36 is lost in the drip that still falls. */
const YIELD_SHARES = [0.055, 0.08, 0.11, 0.14, 0.17, 0.2, 0.25];
/** A grind move that changes the time by less than this is lost in the puck's own stray. */
const SMALLEST_LOG_MOVE = 0.02;
/** A lungo, 1:3: nobody who dials in goes longer, unless the recipe is near it already. */
const LONGEST_RATIO = 3.001;
const HEAT_STEPS_C = [1, 2];
/** ±0.5 g is a lot: never more at once. */
const DOSE_STEP_GRAMS = 0.5;

/** Every legal single move from these settings with this lever, on the equipment's own steps. */
export function movesOf(problem: Problem, posterior: Posterior, from: Settings, lever: Lever): Move[] {
  switch (lever) {
    case 'grind':
      return grindMoves(problem, posterior, from);
    case 'yield':
      return yieldSteps(problem, from)
        .map((grams) => move(lever, { ...from, yieldGrams: roundTo(from.yieldGrams + grams, 1) }))
        .filter(({ settings }) => plausibleRatio(problem, settings));
    case 'temperature':
      return heatMoves(problem, from);
    case 'dose':
      return both([DOSE_STEP_GRAMS]).flatMap((grams) => doseMoves(problem, from, grams));
  }
}

/** The same settings once more, put inside the limits if a hand had strayed out of them. */
export function standStill(problem: Problem, from: Settings): Move {
  const { basket } = problem.request;
  return {
    lever: null,
    coupled: false,
    settings: {
      ...from,
      grind: legalGrind(problem, from.grind),
      doseGrams: clamp(from.doseGrams, basket.minGrams, basket.maxGrams),
      temperatureC: legalHeat(problem, from.temperatureC),
    },
  };
}

/** Grams more or less: those that can be told, and half the way to what was tried, or all of it where that is a gram. */
function yieldSteps({ pours }: Problem, from: Settings): number[] {
  const told = both(YIELD_SHARES.map((share) => Math.max(1, Math.round(share * from.yieldGrams))));
  const halves = pours.flatMap(({ planned }) => {
    const [change, ...others] = changesBetween(from, planned);
    if (change?.variable !== SETTING_OF.yield || others.length > 0) return [];
    const way = roundTo(change.to - change.from, 1);
    return Math.trunc(way / 2) || way;
  });
  return [...new Set([...told, ...halves])];
}

function grindMoves(problem: Problem, posterior: Posterior, from: Settings): Move[] {
  const slope = slopeOf(posterior).mean;
  const step = smallestTurn(problem.grindScale, slope);
  const reach = Math.min(LARGEST_LOG_MOVE / slope, furthestStride(problem));
  // The last digits of a division must not decide about a whole step.
  const furthest = Math.max(1, Math.floor(reach / step + 1e-9));
  // Near the setting every step that can be told, further away ever larger strides.
  const strides = new Set<number>();
  const nearest = Math.min(furthest, Math.max(1, Math.round(SMALLEST_LOG_MOVE / (slope * step))));
  for (let i = nearest; strides.size < GRIND_CANDIDATES && i <= furthest; i = Math.max(i + 1, Math.round(i * 1.25))) {
    strides.add(i);
  }
  strides.add(furthest);
  const settings = both([...strides]).map((n) => legalGrind(problem, from.grind + n * step));
  return [...new Set(settings)]
    .filter((grind) => Math.abs(grind - from.grind) > 1e-9)
    .map((grind) => move('grind', { ...from, grind }));
}

/**
 * Units of the grind, once it was turned: where it hardly answered, a step much larger than those before is a wild swing. What would be no
 * large move by what is known of the grinder stays open, and so does all before the first step.
 */
function furthestStride(problem: Problem): number {
  const { pours } = problem;
  const strides = pours.slice(1).map(({ planned }, i) => Math.abs(planned.grind - pours[i]!.planned.grind));
  const largest = Math.max(0, ...strides);
  if (largest === 0) return Infinity;
  return Math.max(STRIDES_GROW * largest, FREE_LOG_MOVE / slopeKnown(problem));
}

function heatMoves(problem: Problem, from: Settings): Move[] {
  const scale = problem.temperatureScale;
  if (scale === null || from.temperatureC === null) return [];
  const here = from.temperatureC;
  const settings = both(problem.method.balanceOrder[0] === 'temperature' ? [1, 2, 3] : HEAT_STEPS_C).map((degrees) =>
    snap(here + degrees, scale),
  );
  return [...new Set(settings)]
    .filter((temperatureC) => Math.abs(temperatureC - here) > 1e-9 && Math.abs(temperatureC - here) <= 3.5)
    .map((temperatureC) => move('temperature', { ...from, temperatureC }));
}

function doseMoves(problem: Problem, from: Settings, grams: number): Move[] {
  const { basket } = problem.request;
  const doseGrams = roundTo(from.doseGrams + grams, 1);
  if (doseGrams < basket.minGrams || doseGrams > basket.maxGrams) return [];
  const yieldGrams = roundTo((from.yieldGrams * doseGrams) / from.doseGrams, 1);
  const inRatio: Move = { lever: 'dose', coupled: true, settings: { ...from, doseGrams, yieldGrams } };
  const alone = move('dose', { ...from, doseGrams });
  return plausibleRatio(problem, alone.settings) ? [inRatio, alone] : [inRatio];
}

function move(lever: Lever, settings: Settings): Move {
  return { lever, coupled: false, settings };
}

function both(sizes: readonly number[]): number[] {
  return sizes.flatMap((size) => [-size, size]);
}

/** Not too far from the recipe that was asked for, nor beyond a lungo unless that was asked for. */
function plausibleRatio(problem: Problem, settings: Settings): boolean {
  const { target } = problem.request;
  const wanted = target.yieldGrams / target.doseGrams;
  const ratio = settings.yieldGrams / settings.doseGrams;
  if (settings.yieldGrams < 1 || settings.yieldGrams > 500) return false;
  return ratio > 0.6 * wanted && ratio < Math.min(1.6 * wanted, Math.max(LONGEST_RATIO, 1.1 * wanted));
}

function legalGrind(problem: Problem, grind: number): number {
  return snap(grind, problem.grindScale);
}

function legalHeat(problem: Problem, temperatureC: number | null): number | null {
  const scale: Scale | null = problem.temperatureScale;
  return scale === null || temperatureC === null ? temperatureC : snap(temperatureC, scale);
}

export function isCoarser(problem: Problem, from: Settings, to: Settings): boolean {
  return problem.finerSign * (to.grind - from.grind) < 0;
}

/** The end of its scale that the grinder stands at, if any. */
export function endOfScale({ grindScale, finerSign }: Problem, grind: number): 'finest' | 'coarsest' | null {
  const { min, max, step } = grindScale;
  const nearEnd = Math.max(step / 2, 1e-9);
  if (grind - min >= nearEnd && max - grind >= nearEnd) return null;
  const isAtLowEnd = grind - min < max - grind;
  return isAtLowEnd === (finerSign === -1) ? 'finest' : 'coarsest';
}
