import type { Transaction } from 'sequelize';
import { Problem } from '../common/problem';
import { Grinder } from './grinder.entity';

/**
 * Refuses a setting that its grinder does not have. A grinder that is not there is named by the row's own foreign key.
 * @param path the field that holds the setting
 */
export async function checkOnScale(
  {
    shopId,
    grinderId,
    grind,
    path,
  }: { shopId: string; grinderId: string; grind: number | null | undefined; path: string },
  transaction: Transaction,
): Promise<void> {
  if (grind == null) return;
  const grinder = await Grinder.findOne({ where: { shopId, id: grinderId }, transaction });
  if (!grinder || (grind >= grinder.min && grind <= grinder.max)) return;
  throw new Problem('invalid', 'This grinder has no such setting.', [
    { path, message: `must be between ${grinder.min} and ${grinder.max}, the scale of ${grinder.name}` },
  ]);
}
