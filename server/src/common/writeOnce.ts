import { DatabaseError, UniqueConstraintError, type Transaction } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';

const DEADLOCK = '40P01';

/**
 * A write as one transaction. Where another one made the same row in the same moment, it is done a second time, on what
 * the other made: sent twice at once, a write finds itself done. A name that is really taken fails both times.
 */
export async function writeOnce<T>(sequelize: Sequelize, work: (transaction: Transaction) => Promise<T>): Promise<T> {
  try {
    return await sequelize.transaction(work);
  } catch (error) {
    if (!isRace(error)) throw error;
    return sequelize.transaction(work);
  }
}

function isRace(error: unknown): boolean {
  if (error instanceof UniqueConstraintError) return true;
  return error instanceof DatabaseError && (error.parent as { code?: string }).code === DEADLOCK;
}
