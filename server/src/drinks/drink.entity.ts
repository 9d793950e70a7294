import type { ButtonKind, Foam, Milk, Pouring } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** What hangs on a card and must change with it. */
abstract class OnCard extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  @Column(DataType.UUID)
  declare cardId: string;

  /** The version of the card somebody last brought it in line with. */
  @Column(DataType.INTEGER)
  declare cardVersion: number;

  /** Of the card's yield: half of a double, all of it, two. */
  @Column(DataType.DOUBLE)
  declare share: number;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}

@Table({ tableName: 'drinks' })
export class Drink extends OnCard {
  @Column(DataType.DOUBLE)
  declare cupMl: number;

  @Column({ type: DataType.DOUBLE, defaultValue: 0 })
  declare milkMl: number;

  @Column({ type: DataType.TEXT, defaultValue: 'none' })
  declare milk: Milk;

  @Column({ type: DataType.TEXT, defaultValue: 'none' })
  declare foam: Foam;

  @Column({ type: DataType.DOUBLE, defaultValue: 0 })
  declare waterMl: number;

  @Column({ type: DataType.TEXT, defaultValue: 'coffee-first' })
  declare pouring: Pouring;
}

/** A button of a machine that makes the card's shot by itself. */
@Table({ tableName: 'buttons' })
export class MachineButton extends OnCard {
  @Column(DataType.UUID)
  declare machineId: string;

  @Column(DataType.TEXT)
  declare kind: ButtonKind;
}
