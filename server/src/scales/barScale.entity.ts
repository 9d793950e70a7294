import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

@Table({ tableName: 'scales' })
export class BarScale extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  @Column(DataType.DOUBLE)
  declare resolutionGrams: number;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
