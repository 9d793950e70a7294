import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** One dose of a timed grinder on the scale. */
@Table({ tableName: 'weighings' })
export class DoseWeighing extends Owned {
  @Column(DataType.UUID)
  declare grinderId: string;

  @Column(DataType.DOUBLE)
  declare grind: number;

  @Column(DataType.DOUBLE)
  declare seconds: number;

  @Column(DataType.DOUBLE)
  declare grams: number;

  @Column(DataType.DATE)
  declare weighedAt: Date;

  @Column(DataType.DATE)
  declare removedAt: Date | null;
}
