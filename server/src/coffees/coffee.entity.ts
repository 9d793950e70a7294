import type { DrunkAs, LearnedCoffee, Roast } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

@Table({ tableName: 'coffees' })
export class Coffee extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare roaster: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare origin: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare process: string;

  @Column(DataType.INTEGER)
  declare altitudeM: number | null;

  @Column(DataType.TEXT)
  declare roast: Roast;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare notes: string;

  @Column(DataType.INTEGER)
  declare arabicaPercent: number | null;

  @Column(DataType.TEXT)
  declare flavourGoal: string | null;

  @Column(DataType.TEXT)
  declare bodyGoal: string | null;

  @Column({ type: DataType.TEXT, defaultValue: 'black' })
  declare drunkAs: DrunkAs;

  @Column({ type: DataType.BOOLEAN, defaultValue: false })
  declare decaf: boolean;

  /** How it was found to taste. */
  @ServerOwned
  @Column(DataType.JSONB)
  declare learnedTaste: LearnedCoffee | null;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
