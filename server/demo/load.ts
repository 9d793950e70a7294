import type { ModelCtor, Sequelize } from 'sequelize-typescript';
import { v7 } from 'uuid';
import { migrate } from '../src/database/migrate';
import { MODELS } from '../src/database/models';
import { Shop } from '../src/shop/shop.entity';
import { makeHistory } from './history';
import { SHOP_NAME } from './lanternQuay';

/** Loads Lantern Quay into a database without any shop. Returns the number of shots, or null when there was one. */
export async function loadDemo(sequelize: Sequelize, now: Date): Promise<number | null> {
  await migrate(sequelize);
  return sequelize.transaction(async (transaction) => {
    if ((await Shop.count({ transaction })) > 0) return null;
    const shop = await Shop.create({ id: v7(), name: SHOP_NAME, isDemo: true }, { transaction });
    const rows = makeHistory(now);
    for (const [table, items] of Object.entries(rows)) {
      const model = MODELS.find((candidate) => candidate.getTableName() === table) as ModelCtor | undefined;
      if (!model) throw new TypeError(`demo: no table ${table}`);
      // Sequelize would stamp its own times over the history's.
      const owned = items.map((item) => ({ ...item, shopId: shop.id }));
      await model.bulkCreate(owned as never[], { transaction, silent: true } as object);
    }
    return rows.shots.length;
  });
}
