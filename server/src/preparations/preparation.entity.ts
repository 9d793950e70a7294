import type { Preparation as Ways } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** How a station makes its pucks from a moment on, until the next. */
@Table({ tableName: 'preparations' })
export class Preparation extends Owned {
  @Column(DataType.UUID)
  declare stationId: string;

  @Column(DataType.DATE)
  declare at: Date;

  @Column(DataType.TEXT)
  declare distribution: Ways['distribution'];

  @Column(DataType.TEXT)
  declare levelling: Ways['levelling'];

  @Column(DataType.TEXT)
  declare tamp: Ways['tamp'];

  @Column(DataType.TEXT)
  declare mist: Ways['mist'];

  @Column(DataType.TEXT)
  declare tap: Ways['tap'];

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare note: string;

  /** Said by mistake. */
  @Column(DataType.DATE)
  declare removedAt: Date | null;
}
