import type { Palate } from '@olvet/core';
import { Column, DataType, Model, PrimaryKey, Table } from 'sequelize-typescript';

/** Where one person of the shop likes a cup best, learned from their own marks. */
@Table({ tableName: 'palates', createdAt: false })
export class PersonPalate extends Model {
  @PrimaryKey
  @Column(DataType.UUID)
  declare shopId: string;

  @PrimaryKey
  @Column(DataType.TEXT)
  declare person: string;

  /** null while too little is known. */
  @Column(DataType.JSONB)
  declare palate: Palate | null;

  /** Tastings before this no longer count: the person asked to start over. */
  @Column(DataType.DATE)
  declare forgetBefore: Date | null;
}
