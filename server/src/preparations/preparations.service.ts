import { Injectable } from '@nestjs/common';
import { changedParts, comparePucks, puckRecord, shopDay, type PuckShot, type Sign } from '@olvet/core';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { notFound } from '../common/problem';
import { createStore, type Store } from '../common/store';
import { shown } from '../database/owned.model';
import { hoursOf, ShopService } from '../shop/shop.service';
import { Station } from '../stations/station.entity';
import type { PreparationDto, PreparedView } from './preparation.dto';
import { Preparation } from './preparation.entity';

/** Older ways than these are history, and so are more shots of one. */
const WAYS_SHOWN = 6;
const MOST_SHOTS = 2000;
const UNEVEN: ReadonlySet<Sign> = new Set(['spurts', 'dead-spots', 'late-rush', 'puck-crater', 'uneven-spouts']);

interface ShotRow {
  pulledAt: Date;
  grind: number | null;
  timeSeconds: number | null;
  place: string;
  seen: { sign: Sign }[];
  cause: string | null;
}

/** How a station makes its pucks, since when, and how each way poured. */
@Injectable()
export class PreparationsService {
  readonly store: Store<Preparation, PreparationDto>;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly shops: ShopService,
  ) {
    this.store = createStore<Preparation, PreparationDto>({
      ...{ sequelize, model: Preparation, what: 'preparation', order: [['at', 'DESC']], filters: ['stationId'] },
      listed: { removedAt: null },
      check: async ({ shopId, dto, transaction }) => {
        if (!(await Station.count({ where: { shopId, id: dto.stationId }, transaction }))) throw notFound('station');
      },
    });
  }

  /** Newest first, each against the one before it. */
  async compare(shopId: string, stationId: string): Promise<PreparedView[]> {
    if (!(await Station.count({ where: { shopId, id: stationId } }))) throw notFound('station');
    const hours = hoursOf(await this.shops.get(shopId));
    const ways = await Preparation.findAll({
      where: { shopId, stationId, removedAt: null },
      order: [['at', 'DESC']],
      limit: WAYS_SHOWN,
    });
    const oldest = ways.at(-1);
    const shots = oldest ? await this.shots(shopId, stationId, oldest.at) : [];
    const records = ways.map(({ at }, i) => {
      const until = ways[i - 1]?.at;
      const own = shots.filter(({ pulledAt }) => pulledAt >= at && (until === undefined || pulledAt < until));
      return puckRecord(own.map((row) => puckOf(row, shopDay(row.pulledAt, hours))));
    });
    return ways.map((way, i): PreparedView => {
      const { freedom: _freedom, ...record } = records[i]!;
      const before = ways[i + 1];
      return {
        preparation: shown(way),
        changed: before ? changedParts(way, before) : [],
        ...record,
        comparison: before ? comparePucks(records[i]!, records[i + 1]!) : 'unknown',
      };
    });
  }

  private shots(shopId: string, stationId: string, since: Date): Promise<ShotRow[]> {
    return this.sequelize.query<ShotRow>(
      `SELECT "pulledAt", "grind", "timeSeconds", "seen", "cause",
              coalesce("runId"::text, "cardVersionId"::text, '') || "timer" || coalesce(round("yieldGrams"), 0) AS "place"
       FROM shots WHERE "shopId" = :shopId AND "stationId" = :stationId AND "pulledAt" >= :since AND "removedAt" IS NULL
       ORDER BY "pulledAt" DESC LIMIT ${MOST_SHOTS}`,
      { replacements: { shopId, stationId, since }, type: QueryTypes.SELECT },
    );
  }
}

/** Alike are shots of one recipe and grind on one day; one with a known fault of another kind tells nothing of the puck. */
function puckOf({ grind, timeSeconds, place, seen, cause }: ShotRow, day: string): PuckShot {
  return {
    likeKey: `${day} ${place} ${grind}`,
    timeSeconds: cause === null || cause === 'channelled' ? timeSeconds : null,
    isLooked: seen.length > 0,
    isUneven: cause === 'channelled' || seen.some(({ sign }) => UNEVEN.has(sign)),
  };
}
