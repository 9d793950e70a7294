import { Column, DataType, Table } from 'sequelize-typescript';
import type { TargetDto } from '../common/target.dto';
import { Owned } from '../database/owned.model';

@Table({ tableName: 'stations' })
export class Station extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  @Column({ type: DataType.INTEGER, defaultValue: 0 })
  declare position: number;

  @Column(DataType.UUID)
  declare grinderId: string;

  @Column(DataType.UUID)
  declare machineId: string;

  @Column(DataType.UUID)
  declare basketId: string;

  @Column(DataType.UUID)
  declare coffeeId: string;

  @Column(DataType.TEXT)
  declare methodId: string;

  @Column(DataType.JSONB)
  declare target: TargetDto;

  /** Where the grinder stands now. */
  @Column(DataType.DOUBLE)
  declare grind: number | null;

  /** What a timed grinder runs for the dose now. */
  @Column(DataType.DOUBLE)
  declare grindSeconds: number | null;

  /** The most that may be turned at once, and in a day, where a person has set it. */
  @Column(DataType.DOUBLE)
  declare unitsPerMove: number | null;

  @Column(DataType.DOUBLE)
  declare unitsPerDay: number | null;

  @Column(DataType.UUID)
  declare scaleId: string | null;

  @Column({ type: DataType.BOOLEAN, defaultValue: true })
  declare weighs: boolean;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
