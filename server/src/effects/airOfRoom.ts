import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';

interface Air {
  humidityPercent: number | null;
  celsius: number | null;
}
interface Reading extends Air {
  at: Date;
}

/** Air read so long before or after a shot is still that of the shot. */
const NEAR_MS = 2 * 3600_000;
/** A reading in ten minutes over the days that are looked at. */
const MOST = 20_000;

/** The air of the room over the days: read by a sensor, typed, or noted in the morning. */
export class AirOfRoom {
  private constructor(private readonly readings: readonly Reading[]) {}

  static async since(sequelize: Sequelize, shopId: string, since: Date): Promise<AirOfRoom> {
    const readings = await sequelize.query<Reading>(
      `SELECT * FROM (
         SELECT "at", "celsius", "humidityPercent" FROM room_readings WHERE "shopId" = :shopId AND "at" >= :since
         UNION ALL
         SELECT "createdAt", "roomC", "humidityPercent" FROM openings WHERE "shopId" = :shopId AND "createdAt" >= :since
           AND ("roomC" IS NOT NULL OR "humidityPercent" IS NOT NULL)) air
       ORDER BY "at" DESC LIMIT ${MOST}`,
      { replacements: { shopId, since }, type: QueryTypes.SELECT },
    );
    return new AirOfRoom(readings.reverse());
  }

  /** Of the reading nearest in time, where one is near enough. */
  at(moment: Date): Air {
    const after = this.firstAfter(moment);
    const near = [this.readings[after - 1], this.readings[after]]
      .filter((reading) => reading !== undefined)
      .map((reading) => ({ reading, away: Math.abs(reading.at.getTime() - moment.getTime()) }))
      .sort((one, other) => one.away - other.away)[0];
    if (!near || near.away > NEAR_MS) return { humidityPercent: null, celsius: null };
    const { humidityPercent, celsius } = near.reading;
    return { humidityPercent, celsius };
  }

  private firstAfter(moment: Date): number {
    let [low, high] = [0, this.readings.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.readings[middle]!.at <= moment) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
