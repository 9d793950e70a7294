import type { Message } from './gaussian';

/** One shot in service, as far as it tells of the grinder. */
export interface ServedShot {
  stationId: string;
  coffeeId: string | null;
  pulledAt: Date;
  grind: number;
  timeSeconds: number;
  /** null where nobody measured it: taken for the same from shot to shot. */
  yieldGrams: number | null;
}

/** What the turns of one coffee in service said of a grinder. */
export interface ServiceLesson {
  /** ln of the change of ln time for one unit finer. */
  slope: Message;
  shots: number;
}

/** So many shots on either side of a turn are set against each other. */
const SHOTS_A_SIDE = 3;
/** Further apart than this the air, the bag and the hopper have had their say. */
const WITHIN_MS = 4 * 3600_000;
/** Spread of one shot's ln time: the puck's. */
const SHOT_SD = 0.06;
/** What drifts between the two sides of a turn besides, ln. */
const DRIFT_SD = 0.03;
/** A slope that is not this many spreads above zero says nothing yet. */
const CLEAR = 2;

interface Turn {
  units: number;
  logTime: number;
  variance: number;
  shots: number;
}

/**
 * What turns of the grind during service say of how the grinder answers: the shots just after one against those just before, by
 * coffee. Least squares through zero, the turns weighed by their variances.
 * @param shots oldest first
 * @param finerSign +1 where a higher number is finer, −1 where a lower one is
 */
export function serviceLessons(shots: readonly ServedShot[], finerSign: 1 | -1): ServiceLesson[] {
  const places = new Map<string, ServedShot[]>();
  for (const shot of shots) {
    const place = `${shot.stationId}/${shot.coffeeId}`;
    const own = places.get(place);
    if (own) own.push(shot);
    else places.set(place, [shot]);
  }
  const byCoffee = new Map<string | null, Turn[]>();
  for (const own of places.values()) {
    const { coffeeId } = own[0]!;
    byCoffee.set(coffeeId, [...(byCoffee.get(coffeeId) ?? []), ...turnsOf(own, finerSign)]);
  }
  return [...byCoffee.values()].flatMap((turns) => lessonOfTurns(turns) ?? []);
}

function turnsOf(shots: readonly ServedShot[], finerSign: 1 | -1): Turn[] {
  return shots.flatMap((shot, i): Turn[] => {
    const before = shots[i - 1];
    if (!before || before.grind === shot.grind) return [];
    const isNear = ({ pulledAt }: ServedShot): boolean =>
      Math.abs(pulledAt.getTime() - shot.pulledAt.getTime()) <= WITHIN_MS;
    const earlier = runBack(shots.slice(0, i), before.grind).filter(isNear);
    const later = runBack([...shots.slice(i)].reverse(), shot.grind).filter(isNear);
    if (earlier.length === 0 || later.length === 0) return [];
    return [
      {
        units: finerSign * (shot.grind - before.grind),
        logTime: meanLog(later) - meanLog(earlier),
        variance: SHOT_SD ** 2 * (1 / earlier.length + 1 / later.length) + DRIFT_SD ** 2,
        shots: earlier.length + later.length,
      },
    ];
  });
}

/** The last shots of a list that stood at a setting, three at most. */
function runBack(shots: readonly ServedShot[], grind: number): ServedShot[] {
  const end = shots.findLastIndex((shot) => shot.grind !== grind);
  return shots.slice(Math.max(end + 1, shots.length - SHOTS_A_SIDE));
}

/** By Darcy the time goes with the yield. */
function meanLog(shots: readonly ServedShot[]): number {
  const allWeighed = shots.every(({ yieldGrams }) => yieldGrams !== null);
  const logs = shots.map(({ timeSeconds, yieldGrams }) => Math.log(timeSeconds / (allWeighed ? yieldGrams! : 1)));
  return logs.reduce((sum, log) => sum + log, 0) / logs.length;
}

function lessonOfTurns(turns: readonly Turn[]): ServiceLesson | null {
  const precision = turns.reduce((sum, { units, variance }) => sum + units ** 2 / variance, 0);
  if (precision === 0) return null;
  const slope = turns.reduce((sum, { units, logTime, variance }) => sum + (units * logTime) / variance, 0) / precision;
  if (slope * Math.sqrt(precision) < CLEAR) return null;
  // From the slope to its logarithm by the delta method, which its clearness above zero allows.
  const shots = turns.reduce((sum, turn) => sum + turn.shots, 0);
  return { slope: { mean: Math.log(slope), precision: precision * slope ** 2 }, shots };
}
