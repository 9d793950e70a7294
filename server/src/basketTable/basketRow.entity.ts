import type { Length } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import type { SecondsWindowDto } from '../common/target.dto';
import { Owned } from '../database/owned.model';

/** A coffee in a basket as the shop wants it, in place of what Olvet works out. */
@Table({ tableName: 'basket_rows' })
export class BasketRow extends Owned {
  @Column(DataType.UUID)
  declare coffeeId: string;

  @Column(DataType.UUID)
  declare basketId: string;

  @Column(DataType.TEXT)
  declare length: Length;

  @Column(DataType.DOUBLE)
  declare doseGrams: number;

  @Column(DataType.DOUBLE)
  declare yieldGrams: number;

  @Column(DataType.JSONB)
  declare timeSeconds: SecondsWindowDto;

  /** Back to what Olvet works out. */
  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
