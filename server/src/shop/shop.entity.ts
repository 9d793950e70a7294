import { USUAL_CHECK_TIMES, USUAL_FIRST_HOUR, USUAL_TOLERANCE_SECONDS } from '@olvet/core';
import { Column, DataType, Model, PrimaryKey, Table } from 'sequelize-typescript';

@Table({ tableName: 'shops' })
export class Shop extends Model {
  @PrimaryKey
  @Column(DataType.UUID)
  declare id: string;

  @Column(DataType.TEXT)
  declare name: string;

  @Column({ type: DataType.TEXT, defaultValue: 'EUR' })
  declare currency: string;

  @Column({ type: DataType.TEXT, defaultValue: 'C' })
  declare temperatureUnit: 'C' | 'F';

  /** IANA name. */
  @Column({ type: DataType.TEXT, defaultValue: () => new Intl.DateTimeFormat().resolvedOptions().timeZone })
  declare timeZone: string;

  @Column({ type: DataType.INTEGER, defaultValue: USUAL_FIRST_HOUR })
  declare firstHour: number;

  /** When a station asks for a check shot. */
  @Column({ type: DataType.BOOLEAN, defaultValue: true })
  declare checkAtOpening: boolean;

  /** HH:MM by the shop's clock. */
  @Column({ type: DataType.JSONB, defaultValue: [...USUAL_CHECK_TIMES] })
  declare checkTimes: string[];

  @Column({ type: DataType.BOOLEAN, defaultValue: true })
  declare checkAtNewBag: boolean;

  /** How far from its found time a shot may run before a station drifts. */
  @Column({ type: DataType.DOUBLE, defaultValue: USUAL_TOLERANCE_SECONDS })
  declare toleranceSeconds: number;

  @Column({ type: DataType.BOOLEAN, defaultValue: false })
  declare isDemo: boolean;

  @Column({ type: DataType.INTEGER, defaultValue: 1 })
  declare revision: number;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare changedBy: string;

  declare createdAt: Date;
  declare updatedAt: Date;
}
