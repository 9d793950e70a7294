import type { FrozenSpell } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

@Table({ tableName: 'bags' })
export class Bag extends Owned {
  @Column(DataType.UUID)
  declare coffeeId: string;

  @Column(DataType.DATEONLY)
  declare roastedOn: string | null;

  @Column(DataType.DATEONLY)
  declare openedOn: string | null;

  /** The moment it was said to have been opened, where that was on the day itself: a check shot is due then. */
  @ServerOwned
  @Column(DataType.DATE)
  declare openedAt: Date | null;

  @Column(DataType.DOUBLE)
  declare weightGrams: number;

  @Column(DataType.INTEGER)
  declare priceCents: number | null;

  /** Stretches in the freezer, in order. */
  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare frozen: FrozenSpell[];

  /** What was left when somebody last put it on the scale: counting goes on from there. */
  @Column(DataType.DOUBLE)
  declare weighedGrams: number | null;

  @Column(DataType.DATE)
  declare weighedAt: Date | null;

  @Column(DataType.DATE)
  declare finishedAt: Date | null;
}
