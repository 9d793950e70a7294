import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

@Table({ tableName: 'bags' })
export class Bag extends Owned {
  @Column(DataType.UUID)
  declare coffeeId: string;

  @Column(DataType.DATEONLY)
  declare roastedOn: string | null;

  @Column(DataType.DATEONLY)
  declare openedOn: string | null;

  @Column(DataType.DOUBLE)
  declare weightGrams: number;

  @Column(DataType.INTEGER)
  declare priceCents: number | null;

  @Column(DataType.DATE)
  declare finishedAt: Date | null;
}
