import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** The dose that fills a basket with a coffee, as somebody found it. The newest counts. */
@Table({ tableName: 'found_doses' })
export class FoundDose extends Owned {
  @Column(DataType.UUID)
  declare basketId: string;

  @Column(DataType.UUID)
  declare coffeeId: string;

  @Column(DataType.DOUBLE)
  declare grams: number;

  @Column(DataType.DOUBLE)
  declare toleranceGrams: number;

  @Column(DataType.TEXT)
  declare how: 'coin' | 'strike';

  @Column(DataType.DATE)
  declare foundAt: Date;
}
