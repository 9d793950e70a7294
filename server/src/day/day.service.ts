import { Injectable } from '@nestjs/common';
import { dayAfter, shopDay, startOfDay } from '@olvet/core';
import { Op } from 'sequelize';
import { Clock } from '../clock/clock';
import { notFound } from '../common/problem';
import { shown } from '../database/owned.model';
import { ShopService } from '../shop/shop.service';
import { Shot } from '../shots/shot.entity';
import { Station } from '../stations/station.entity';
import { Tasting } from '../tastings/tasting.entity';
import { MOST_SHOTS_A_DAY, type DayView } from './day.dto';

/** What one station poured on one of the shop's days. */
@Injectable()
export class DayService {
  constructor(
    private readonly shops: ShopService,
    private readonly clock: Clock,
  ) {}

  async read(shopId: string, stationId: string, wanted?: string): Promise<DayView> {
    if (!(await Station.findOne({ where: { shopId, id: stationId } }))) throw notFound('station');
    const hours = await this.shops.hours(shopId);
    const day = wanted ?? shopDay(this.clock.now(), hours);
    const shots = await Shot.findAll({
      where: {
        ...{ shopId, stationId, removedAt: null },
        pulledAt: { [Op.gte]: startOfDay(day, hours), [Op.lt]: startOfDay(dayAfter(day, 1), hours) },
      },
      order: [
        ['pulledAt', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: MOST_SHOTS_A_DAY,
      raw: true,
    });
    const ids = shots.map(({ id }) => id);
    const tastings = await Tasting.findAll({
      where: { shopId, shotId: ids },
      order: [['createdAt', 'ASC']],
      raw: true,
    });
    const notes = new Map<string, Tasting[]>(ids.map((id) => [id, []]));
    for (const tasting of tastings) notes.get(tasting.shotId)?.push(tasting);
    // Rows as they are: models of a busy day take longer to make than to read.
    return shown({ day, shots: shots.map((shot) => ({ ...shot, tastings: notes.get(shot.id)! })) }) as DayView;
  }
}
