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

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
