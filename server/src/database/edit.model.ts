import { Column, DataType, Model } from 'sequelize-typescript';
import type { Shown } from './owned.model';

/** What a row said before a correction; which row, its subclass says. */
export abstract class Edit<M extends Model = Model> extends Model {
  @Column({ type: DataType.UUID, primaryKey: true })
  declare shopId: string;

  /** The revision `before` was. */
  @Column({ type: DataType.INTEGER, primaryKey: true })
  declare revision: number;

  @Column(DataType.JSONB)
  declare before: Shown<M>;

  @Column({ type: DataType.DATE, defaultValue: DataType.NOW })
  declare editedAt: Date;
}
