import { smallestTurn } from '../../brew/collar';
import { roundTo } from '../../brew/snap';
import type { DayMove, ValidDayRequest } from './contract';
import { meanOf, moved, quantileOf, sdOf, shareBetween } from './filter';
import { slopeOf, type Followed } from './follow';
import { CRAFT } from './noise';

/** A coarser grind falls quicker: ln g/s for ln time, the other way [assumption: 2 % for a unit that moves time by 7 %]. */
const RATE_BY_TIME = 0.3;
/** The newest doses say what the seconds give now. */
const NEWEST_DOSES = 5;
/** A dose off by less than this is the hand's, g. */
const DOSE_TELLS_GRAMS = 0.15;

export type Why = 'no-step' | 'limit';

/** What a person allows, and what of it is left today, in units. */
export function limitsOf(request: ValidDayRequest, { turns, todayFrom }: Pick<Followed, 'turns' | 'todayFrom'>) {
  const { turn, ...usual } = usualLimits(request);
  const { unitsPerMove, unitsPerDay } = request.limits ?? usual;
  const used = turns.filter(({ index }) => index >= todayFrom).reduce((sum, { units }) => sum + Math.abs(units), 0);
  return { turn, unitsPerMove, left: Math.max(0, unitsPerDay - used) };
}

/** Nobody set limits: a hand moves by what the tolerance is worth, at least by a turn that tells. In units of the grinder. */
export function usualLimits(request: Pick<ValidDayRequest, 'grinder' | 'card' | 'toleranceSeconds'>) {
  const slope = slopeOf(request).mean;
  const turn = smallestTurn(request.grinder, slope);
  const worth = Math.log1p(request.toleranceSeconds / request.card.timeSeconds.mean) / slope;
  const unitsPerMove = Math.max(1, Math.round(worth / turn)) * turn;
  return { turn, unitsPerMove, unitsPerDay: CRAFT.usualMovesPerDay * unitsPerMove };
}

/**
 * The turn, on the grinder's steps and within the limits, that brings the middle nearest to its standard; why there is none where no
 * step comes nearer, or the limits are used up.
 */
export function moveFor(request: ValidDayRequest, followed: Followed): (DayMove & { gain: number }) | Why {
  const { grinder, card } = request;
  const slope = slopeOf(request);
  const { turn, unitsPerMove, left } = limitsOf(request, followed);
  const most = Math.min(unitsPerMove, left);
  const from = followed.shots.at(-1)?.grind ?? card.grind;
  const off = meanOf(followed.shift) - followed.standard;
  const wanted = -off / slope.mean;
  const turns = Math.min(Math.floor(most / turn + 1e-9), Math.round(Math.abs(wanted) / turn));
  if (Math.round(Math.abs(wanted) / turn) === 0) return 'no-step';
  if (turns === 0) return 'limit';
  const finer = grinder.finer === 'higher' ? 1 : -1;
  const to = roundTo(from + finer * Math.sign(wanted) * turns * turn, 6);
  if (to < grinder.min || to > grinder.max) return 'no-step';
  const units = Math.sign(wanted) * turns * turn;
  const turnedBy = (way: number): Followed['shift'] =>
    moved([followed.shift], slope.mean * way, slope.sd * Math.abs(way))[0]!;
  const after = turnedBy(units);
  // Where the limit lets it go only part of the way, it is worth what the whole way is.
  const whole = turnedBy(Math.sign(wanted) * Math.round(Math.abs(wanted) / turn) * turn);
  const seconds = (log: number): number => roundTo(card.timeSeconds.mean * Math.exp(log), 1);
  // A shot of its own: its puck strays besides.
  const spread = Math.hypot(followed.puckSd, sdOf(after));
  const middle = meanOf(after);
  return {
    gain: within(request, followed, whole) - within(request, followed, followed.shift),
    grind: { from, to },
    grindSeconds: grindSecondsFor(request, followed, slope.mean * units),
    purgeGrams: grinder.purgeGrams ?? null,
    expectSeconds: {
      mean: seconds(middle),
      p10: seconds(middle - 1.2816 * spread),
      p90: seconds(middle + 1.2816 * spread),
    },
  };
}

/** The share of shots within the tolerance that such a shift lets expect. */
function within(
  { card, toleranceSeconds }: ValidDayRequest,
  { standard, puckSd }: Followed,
  shift: Followed['shift'],
): number {
  const at = (by: number): number => standard + Math.log1p(by / card.timeSeconds.mean);
  return shareBetween(shift, at(-toleranceSeconds), at(toleranceSeconds), puckSd);
}

/** Seconds that give the card's dose after the turn: by what they gave lately, and by how much quicker a coarser grind falls. */
function grindSecondsFor({ grinder, card }: ValidDayRequest, { shots }: Followed, byTurn: number): number | null {
  if (grinder.dosing === 'weighed') return null;
  const seconds = shots.findLast(({ grindSeconds }) => grindSeconds !== null)?.grindSeconds;
  if (seconds == null) return null;
  const doses = shots
    .filter((shot) => shot.grindSeconds === seconds && shot.doseGrams !== null)
    .slice(-NEWEST_DOSES)
    .map(({ doseGrams }) => doseGrams!);
  const dose = doses.length >= 3 ? doses.reduce((sum, each) => sum + each, 0) / doses.length : card.doseGrams;
  const byDose = Math.abs(dose - card.doseGrams) >= DOSE_TELLS_GRAMS ? card.doseGrams / dose : 1;
  return roundTo(seconds * byDose * Math.exp(RATE_BY_TIME * byTurn), 1);
}

/** Where the next untouched shot would land, against the card's time, s. */
export function shiftSeconds({ card }: ValidDayRequest, { shift }: Pick<Followed, 'shift'>) {
  const at = (log: number): number => roundTo(card.timeSeconds.mean * Math.expm1(log), 2);
  return { mean: at(meanOf(shift)), p10: at(quantileOf(shift, 0.1)), p90: at(quantileOf(shift, 0.9)) };
}
