import { Injectable } from '@nestjs/common';
import { judgeDay, parseDayRequest, usualLimits, type DayRequest, type FoundTime, type ShotKind } from '@olvet/core';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { RecipeDto } from '../cards/card.dto';
import { shown } from '../database/owned.model';
import type { Grinder } from '../grinders/grinder.entity';
import { Opening } from '../openings/opening.entity';
import { DayMove } from './dayMove.entity';
import { RoomReading } from '../room/roomReading.entity';
import { StationEvent } from '../stationEvents/stationEvent.entity';
import type { DayAirView, DayMarkView, JudgedDayView } from './judged.dto';

/** What is judged of a station: the card it pours by, and the grinder that pours it. */
export interface Judgeable {
  stationId: string;
  grind: number | null;
  card: { cardId: string; name: string; recipe: RecipeDto; found: FoundTime };
  grinder: Pick<Grinder, 'min' | 'max' | 'step' | 'finer' | 'dosing' | 'purgeGrams' | 'learnedSlope'>;
  /** What a timed grinder runs now, where somebody said so. */
  grindSeconds: number | null;
  toleranceSeconds: number;
  /** Set by a person; null: as usual. */
  limits: { unitsPerMove: number | null; unitsPerDay: number | null };
  /** Today's; what opened before is no news. */
  bagOpenedAt: Date | null;
}

interface ShotRow {
  id: string;
  stationId: string;
  pulledAt: Date;
  kind: ShotKind;
  grind: number | null;
  doseGrams: number | null;
  yieldGrams: number | null;
  timeSeconds: number;
  timer: string;
  grindSeconds: number | null;
  seen: { sign: string }[];
  purged: boolean;
  cause: string | null;
  assumed: string[];
  cardId: string | null;
  balance: number | null;
}

/** A station is judged by what it poured since the day before; more shots than this say no more. */
const LOOKS_BACK_MS = 30 * 3600_000;
const MOST_SHOTS = 300;
const MOST_READINGS = 500;

/** How stations stand against the times their cards were found at. */
@Injectable()
export class JudgeService {
  constructor(private readonly sequelize: Sequelize) {}

  /** By station; a station without a card that has a found time is not judged. */
  async judge(
    shopId: string,
    stations: readonly Judgeable[],
    { now, dayStart }: { now: Date; dayStart: Date },
  ): Promise<Map<string, JudgedDayView>> {
    if (stations.length === 0) return new Map();
    const since = new Date(now.getTime() - LOOKS_BACK_MS);
    const ids = stations.map(({ stationId }) => stationId);
    const [shots, moves, openings, readings, events] = await Promise.all([
      this.shots(shopId, ids, since),
      DayMove.findAll({
        where: { shopId, stationId: ids, at: { [Op.gte]: dayStart } },
        order: [['at', 'ASC']],
      }),
      Opening.findAll({
        where: { shopId, stationId: ids, createdAt: { [Op.gte]: since } },
        order: [['createdAt', 'ASC']],
      }),
      RoomReading.findAll({ where: { shopId, at: { [Op.gte]: since } }, order: [['at', 'ASC']], limit: MOST_READINGS }),
      StationEvent.findAll({
        where: { shopId, stationId: ids, removedAt: null, at: { [Op.gte]: since } },
        order: [['at', 'ASC']],
      }),
    ]);
    const of = <T extends { stationId: string }>(rows: T[], { stationId }: Judgeable): T[] =>
      rows.filter((row) => row.stationId === stationId);
    return new Map(
      stations.flatMap((station): [string, JudgedDayView][] => {
        const parts = {
          shots: of(shots, station),
          moves: of(moves, station),
          events: of(events, station),
          air: airOf(of(openings, station), readings),
        };
        const judged = judgeStation(station, parts, { now, dayStart });
        return judged ? [[station.stationId, judged]] : [];
      }),
    );
  }

  private shots(shopId: string, stationIds: string[], since: Date): Promise<ShotRow[]> {
    return this.sequelize.query<ShotRow>(
      `SELECT last.* FROM stations s
       CROSS JOIN LATERAL (
         SELECT x."id", x."stationId", x."pulledAt", x."kind", x."grind", x."doseGrams", x."yieldGrams", x."timeSeconds",
                x."timer", x."grindSeconds", x."seen", x."purged", x."cause", x."assumed", v."cardId", t."balance"
         FROM shots x
         LEFT JOIN card_versions v ON v."shopId" = x."shopId" AND v."id" = x."cardVersionId"
         LEFT JOIN LATERAL (SELECT "balance" FROM tastings WHERE "shopId" = x."shopId" AND "shotId" = x."id"
                            AND "balance" IS NOT NULL LIMIT 1) t ON true
         WHERE x."shopId" = s."shopId" AND x."stationId" = s."id" AND x."pulledAt" >= :since
           AND x."removedAt" IS NULL AND x."timeSeconds" IS NOT NULL AND x."hourKnown" AND x."coffeeId" IS NOT DISTINCT FROM s."coffeeId"
         ORDER BY x."pulledAt" DESC LIMIT ${MOST_SHOTS}) last
       WHERE s."shopId" = :shopId AND s."id" IN (:stationIds) ORDER BY last."pulledAt"`,
      { replacements: { shopId, stationIds, since }, type: QueryTypes.SELECT },
    );
  }
}

interface Parts {
  shots: ShotRow[];
  moves: DayMove[];
  events: StationEvent[];
  air: DayAirView[];
}

function judgeStation(
  { grind, grindSeconds, card, grinder, bagOpenedAt, toleranceSeconds, limits }: Judgeable,
  { shots, moves, events, air }: Parts,
  { now, dayStart }: { now: Date; dayStart: Date },
): JudgedDayView | null {
  const own = shots.filter(
    ({ timer, cardId }) => timer === card.recipe.timer && (cardId === null || cardId === card.cardId),
  );
  const marks = marksOf(own, { moves, events, bagOpenedAt, grind, now, dayStart });
  const { recipe, found } = card;
  const { learnedSlope, ...collar } = grinder;
  const asked: DayRequest = {
    schema: 'olvet.day-request/1',
    now: now.toISOString(),
    card: {
      ...{ grind: recipe.grind, doseGrams: recipe.doseGrams, yieldGrams: recipe.yieldGrams },
      timeSeconds: { mean: found.seconds, sd: found.sd, shots: found.shots },
    },
    toleranceSeconds,
    grinder: { ...collar, logTimePerUnit: learnedSlope && { mean: learnedSlope.mean, sd: learnedSlope.sd } },
    shots: own.map((shot, i) => ({
      at: shot.pulledAt.toISOString(),
      ...{ grind: shot.grind, doseGrams: shot.doseGrams, yieldGrams: shot.yieldGrams, timeSeconds: shot.timeSeconds },
      // What stands at the station counts where the newest shot did not say.
      grindSeconds: shot.grindSeconds ?? (i === own.length - 1 ? grindSeconds : null),
      purged: shot.purged,
      cause: shot.cause as never,
      assumed: shot.assumed as never,
      seen: shot.seen.map(({ sign }) => sign) as never,
      taste: shot.balance === null ? null : { balance: shot.balance },
    })),
    room: air,
    events: marks.map(({ at, kind }) => ({ at, kind })),
  };
  const parsed = parseDayRequest(asked);
  // A figure from before there was a rule against it: this station waits until it is corrected.
  if (!parsed.ok) return null;
  const usual = usualLimits(parsed.request);
  const { unitsPerMove, unitsPerDay } = {
    unitsPerMove: limits.unitsPerMove ?? usual.unitsPerMove,
    unitsPerDay: limits.unitsPerDay ?? usual.unitsPerDay,
  };
  const { state, action, shiftSeconds, move, suspects, why, checkAt } = judgeDay({
    ...parsed.request,
    limits: { unitsPerMove, unitsPerDay },
  });
  const lastMove = moves.findLast(({ undoneAt }) => undoneAt === null) ?? null;
  return {
    air: air.filter(({ at }) => new Date(at) >= dayStart),
    ...{ state, action, shiftSeconds, move, suspects, marks },
    judgedShots: own.length,
    ...{ cardName: card.name, foundSeconds: found.seconds, toleranceSeconds },
    why: why.map(({ text }) => text),
    codes: why.map(({ code }) => code),
    ...{ turnUnits: usual.turn, unitsPerDay, checkAt, unitsToday: unitsOf(own, dayStart) },
    shots: own
      .filter(({ pulledAt }) => pulledAt >= dayStart)
      .map(({ id, pulledAt, timeSeconds, kind, cause }) => ({
        ...{ id, timeSeconds, kind, pulledAt: pulledAt.toISOString(), isSpoilt: cause !== null },
      })),
    lastMove: lastMove && (shown(lastMove.toJSON()) as unknown as JudgedDayView['lastMove']),
    shotsSince: lastMove ? own.filter(({ pulledAt }) => pulledAt > lastMove.at).length : 0,
  };
}

/** What was noted in the morning, and since; in its order. */
function airOf(openings: readonly Opening[], readings: readonly RoomReading[]): DayAirView[] {
  const mornings = openings.map(({ createdAt: at, roomC: celsius, humidityPercent }) => ({
    at,
    celsius,
    humidityPercent,
  }));
  return [...mornings, ...readings]
    .filter(({ celsius, humidityPercent }) => celsius !== null || humidityPercent !== null)
    .map(({ at, celsius, humidityPercent }) => ({ at: at.toISOString(), celsius, humidityPercent }))
    .sort((one, other) => (one.at < other.at ? -1 : 1));
}

/** Bag, and every turn of the grind, in their order; a turn that no shot has shown yet among them. */
function marksOf(
  shots: readonly ShotRow[],
  rest: {
    moves: readonly DayMove[];
    events: readonly StationEvent[];
    bagOpenedAt: Date | null;
    grind: number | null;
    now: Date;
    dayStart: Date;
  },
): DayMarkView[] {
  const { moves, events, bagOpenedAt, grind, now, dayStart } = rest;
  const marks: (DayMarkView & { when: Date })[] = [];
  const add = (when: Date, kind: DayMarkView['kind'], to: number | null): void => {
    if (when >= dayStart) marks.push({ when, at: when.toISOString(), kind, grind: to });
  };
  if (bagOpenedAt) add(bagOpenedAt, 'bag-opened', null);
  for (const { at, kind } of events) add(at, kind, null);
  let stood: number | null = null;
  for (const { grind: of, pulledAt } of shots) {
    if (of === null) continue;
    if (stood !== null && of !== stood) add(turnedAt(moves, of, pulledAt), 'grind-changed', of);
    stood = of;
  }
  if (grind !== null && stood !== null && grind !== stood) add(turnedAt(moves, grind, now), 'grind-changed', grind);
  return marks.sort((one, other) => one.when.getTime() - other.when.getTime()).map(({ when: _when, ...mark }) => mark);
}

/** Turned between today's shots, there and back added up. */
function unitsOf(shots: readonly ShotRow[], dayStart: Date): number {
  const stood = shots
    .filter(({ grind, pulledAt }) => grind !== null && pulledAt >= dayStart)
    .map(({ grind }) => grind!);
  return stood.slice(1).reduce((sum, grind, i) => sum + Math.abs(grind - stood[i]!), 0);
}

/** When somebody said so, else just before the shot that shows it. */
function turnedAt(moves: readonly DayMove[], to: number, shownAt: Date): Date {
  return moves.findLast(({ toGrind, at, undoneAt }) => toGrind === to && at <= shownAt && !undoneAt)?.at ?? shownAt;
}
