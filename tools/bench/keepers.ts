import { judgeDay, type ValidDayRequest } from '../../core/src/index';
import { CARD, GRINDER, LIMITS_OF_DAY, TOLERANCE_SECONDS, type DayWorld } from './dayWorlds';

/** One shot as whoever keeps the station sees it. */
export interface KeptShot {
  minute: number;
  grind: number;
  timeSeconds: number;
  doseGrams: number | null;
  yieldGrams: number | null;
  isSeen: boolean;
  purged: boolean;
  /** The hidden middle at this setting, ln: for the oracle and the count. */
  hidden: number;
}

/** Says after each shot by how many units finer the grind is to be turned; 0: let it be. */
export type Keeper = (world: DayWorld, shots: readonly KeptShot[]) => number;

const WORLD_BEGAN = Date.parse('2026-03-02T07:00:00Z');
const at = (minute: number): string => new Date(WORLD_BEGAN + 60_000 * minute).toISOString();

export const untouched: Keeper = () => 0;

export const olvet: Keeper = (world, shots) => {
  const answer = judgeDay(requestOf(world, shots));
  return answer.action === 'move' && answer.move ? answer.move.grind.from - answer.move.grind.to : 0;
};

export function requestOf(world: DayWorld, shots: readonly KeptShot[]): ValidDayRequest {
  const { minute } = shots.at(-1)!;
  return {
    schema: 'olvet.day-request/1',
    now: at(minute + 0.5),
    card: { ...CARD, timeSeconds: { mean: world.cardSeconds, sd: world.puckSd * world.cardSeconds, shots: 8 } },
    toleranceSeconds: TOLERANCE_SECONDS,
    grinder: { ...GRINDER, logTimePerUnit: world.learnedSlope },
    limits: LIMITS_OF_DAY,
    shots: shots.map((shot) => ({
      at: at(shot.minute),
      grind: shot.grind,
      doseGrams: shot.doseGrams,
      yieldGrams: shot.yieldGrams,
      timeSeconds: shot.timeSeconds,
      purged: shot.purged,
      seen: shot.isSeen ? ['spurts'] : [],
    })),
    room: world.room
      .filter((reading) => reading.minute <= minute)
      .map(({ minute: of, ...air }) => ({ at: at(of), ...air })),
    events: world.events
      .filter((event) => event.minute <= minute)
      .map(({ minute: of, kind }) => ({ at: at(of), kind })),
  };
}

/** ln time over the card’s, freed from dose and yield as far as they were weighed. */
function freed(world: DayWorld, { timeSeconds, doseGrams, yieldGrams }: KeptShot): number {
  return (
    Math.log(timeSeconds / world.cardSeconds) -
    2 * Math.log((doseGrams ?? 18) / 18) -
    0.92 * Math.log((yieldGrams ?? 36) / 36)
  );
}

function sinceTurn(shots: readonly KeptShot[]): KeptShot[] {
  const { grind } = shots.at(-1)!;
  return shots.slice(shots.findLastIndex((shot) => shot.grind !== grind) + 1);
}

/** Units that undo a shift seen, as the grinder was learned. */
const against = (world: DayWorld, shift: number): number => -shift / world.learnedSlope.mean;

/** Tabular CUSUM, k = 0.5 σ and h = 5 σ; turns by the mean since the sum left zero and begins again. */
export const cusum: Keeper = (world, shots) => {
  const [sums, since] = [
    [0, 0],
    [0, 0],
  ];
  const own = sinceTurn(shots);
  for (const [i, shot] of own.entries()) {
    const z = freed(world, shot) / world.puckSd;
    for (const side of [0, 1] as const) {
      sums[side] = Math.max(0, sums[side]! + (side === 0 ? z : -z) - 0.5);
      if (sums[side] === 0) since[side] = i + 1;
    }
  }
  const side = sums[0]! > 5 ? 0 : sums[1]! > 5 ? 1 : null;
  if (side === null) return 0;
  const run = own.slice(since[side]).map((shot) => freed(world, shot));
  return against(world, run.reduce((sum, each) => sum + each, 0) / run.length);
};

const EWMA = { lambda: 0.2, limit: 3 };

export const ewma: Keeper = (world, shots) => {
  const own = sinceTurn(shots);
  let mean = 0;
  for (const shot of own) mean += EWMA.lambda * (freed(world, shot) - mean);
  const { lambda, limit } = EWMA;
  const sd = world.puckSd * Math.sqrt((lambda / (2 - lambda)) * (1 - (1 - lambda) ** (2 * own.length)));
  return Math.abs(mean) > limit * sd ? against(world, mean) : 0;
};

/** Knows the hidden middle. */
export const oracle: Keeper = (world, shots) => -shots.at(-1)!.hidden / world.slope;

export const KEEPERS: Record<string, Keeper> = { untouched, CUSUM: cusum, EWMA: ewma, oracle, Olvet: olvet };

export interface PlayedDay {
  shots: KeptShot[];
  moves: { shot: number; units: number; hidden: number; isFalse: boolean; isWrongWay: boolean }[];
  within: number;
}

/** A day kept by one keeper: its turns are snapped to steps and held within the limits. */
export function playDay(world: DayWorld, keeper: Keeper): PlayedDay {
  const shots: KeptShot[] = [];
  const moves: PlayedDay['moves'] = [];
  let { grind } = CARD;
  let used = 0;
  let within = 0;
  const tolerance = Math.log1p(TOLERANCE_SECONDS / world.cardSeconds);
  for (const [i, shot] of world.shots.entries()) {
    const turned = world.slope * (CARD.grind - grind);
    const hidden = shot.hidden + turned;
    const timeSeconds = world.cardSeconds * Math.exp(hidden + shot.stray);
    if (Math.abs(timeSeconds - world.cardSeconds) <= TOLERANCE_SECONDS) within += 1;
    const weighed = shot.isWeighed
      ? { doseGrams: shot.doseGrams, yieldGrams: shot.yieldGrams }
      : { doseGrams: null, yieldGrams: null };
    shots.push({ minute: shot.minute, grind, timeSeconds, ...weighed, isSeen: shot.isSeen, purged: true, hidden });
    const asked = keeper(world, shots);
    const most = Math.min(LIMITS_OF_DAY.unitsPerMove, LIMITS_OF_DAY.unitsPerDay - used);
    const steps = Math.min(Math.floor(most / GRINDER.step + 1e-9), Math.round(Math.abs(asked) / GRINDER.step));
    if (steps === 0) continue;
    const units = Math.sign(asked) * steps * GRINDER.step;
    grind -= units;
    used += Math.abs(units);
    const isWrongWay = units * hidden > 0;
    moves.push({ shot: i, units, hidden, isWrongWay, isFalse: isWrongWay || Math.abs(hidden) <= tolerance });
  }
  return { shots, moves, within: within / world.shots.length };
}
