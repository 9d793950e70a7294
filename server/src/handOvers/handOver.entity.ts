import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** A turn at the bar that ended; who wrote it is in `changedBy`. What happened in it stands in the rows themselves. */
@Table({ tableName: 'hand_overs' })
export class HandOver extends Owned {
  /** When the turn began. */
  @Column(DataType.DATE)
  declare since: Date;

  @Column(DataType.DATE)
  declare at: Date;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare note: string;
}
