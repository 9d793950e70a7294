import type { KeeperFacts } from '@olvet/core';
import { Op } from 'sequelize';
import { Bag } from '../bags/bag.entity';
import type { BoardStationView } from '../board/board.dto';
import { CoffeeChange } from '../coffeeChanges/coffeeChange.entity';
import { StationEvent } from '../stationEvents/stationEvent.entity';

/** What happened at a station since somebody last looked that makes its times others. */
export async function unseenOf(
  shopId: string,
  { station }: Pick<BoardStationView, 'station'>,
  since: Date,
): Promise<KeeperFacts['unseen']> {
  const after = { [Op.gt]: since };
  const [changed, opened, filled] = await Promise.all([
    CoffeeChange.count({ where: { shopId, stationId: station.id, changedAt: after } }),
    Bag.count({ where: { shopId, coffeeId: station.coffeeId, openedAt: after } }),
    StationEvent.count({
      where: { shopId, stationId: station.id, kind: 'hopper-filled', removedAt: null, at: after },
    }),
  ]);
  if (changed) return 'coffee-changed';
  if (opened) return 'bag-opened';
  return filled ? 'hopper-filled' : null;
}
