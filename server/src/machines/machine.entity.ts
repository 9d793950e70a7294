import { firstDripDelay, temperatureOffset, type Calibrated, type Scale } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

@Table({ tableName: 'machines' })
export class Machine extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  /** null where the brew temperature cannot be set. */
  @Column(DataType.JSONB)
  declare temperatureC: Scale | null;

  @Column({ type: DataType.INTEGER, defaultValue: 1 })
  declare groups: number;

  @Column(DataType.INTEGER)
  declare warmUpMinutes: number | null;

  @Column({ type: DataType.TEXT, defaultValue: 'none' })
  declare preBrew: 'none' | 'pre-infusion' | 'valve' | 'lever';

  @Column(DataType.DOUBLE)
  declare pumpBar: number | null;

  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare temperatureReadings: { shownC: number; measuredC: number }[];

  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare firstDripReadings: number[];

  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare valveReadings: { turns: number; grams: number }[];

  /** What the readings say; null before the first. Never stored: the readings are the truth. */
  @ServerOwned
  @Column(DataType.VIRTUAL)
  get temperatureOffset(): Calibrated | null {
    const readings = this.getDataValue('temperatureReadings') as Machine['temperatureReadings'];
    return readings?.length ? temperatureOffset(readings) : null;
  }

  @ServerOwned
  @Column(DataType.VIRTUAL)
  get firstDrip(): Calibrated | null {
    const readings = this.getDataValue('firstDripReadings') as number[];
    return readings?.length ? firstDripDelay(readings) : null;
  }

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
