import { FIRST_KEEPER, type HoldReason } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

/** The closed loop of one station, by the station's id: what a lead allows it, and whether it holds. */
@Table({ tableName: 'keepers' })
export class Keeper extends Owned {
  @Column({ type: DataType.BOOLEAN, defaultValue: false })
  declare isOn: boolean;

  @Column(DataType.DOUBLE)
  declare unitsPerMove: number;

  @Column(DataType.DOUBLE)
  declare unitsPerDay: number;

  @Column({ type: DataType.INTEGER, defaultValue: FIRST_KEEPER.shots })
  declare shotsBetween: number;

  @Column({ type: DataType.INTEGER, defaultValue: FIRST_KEEPER.shots })
  declare fewestShots: number;

  /** HH:MM by the shop's clock. */
  @Column(DataType.TEXT)
  declare quietFrom: string | null;

  @Column(DataType.TEXT)
  declare quietUntil: string | null;

  /** It does nothing until a person lets it go on. */
  @ServerOwned
  @Column(DataType.DATE)
  declare heldAt: Date | null;

  @ServerOwned
  @Column(DataType.TEXT)
  declare heldWhy: HoldReason | null;

  /** What happened at the station before this a person has looked at. */
  @ServerOwned
  @Column(DataType.DATE)
  declare lookedAt: Date | null;

  /** A server process is turning the grinder; a crash in the middle is over by then. */
  @ServerOwned
  @Column(DataType.DATE)
  declare actingUntil: Date | null;
}
