import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

@Table({ tableName: 'baskets' })
export class Basket extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  @Column(DataType.DOUBLE)
  declare nominalGrams: number;

  @Column(DataType.DOUBLE)
  declare minGrams: number;

  @Column(DataType.DOUBLE)
  declare maxGrams: number;

  @Column({ type: DataType.DOUBLE, defaultValue: 58 })
  declare diameterMm: number;

  @Column({ type: DataType.TEXT, defaultValue: 'straight' })
  declare shape: 'straight' | 'tapered';

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
