import type { OpeningStep } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import type { OpeningForecastDto } from './opening.dto';
import { Owned } from '../database/owned.model';

/** One morning at one station: when it was switched on, what is done, what the air was like. */
@Table({ tableName: 'openings' })
export class Opening extends Owned {
  @Column(DataType.UUID)
  declare stationId: string;

  @Column(DataType.DATEONLY)
  declare day: string;

  @Column(DataType.DATE)
  declare switchedOnAt: Date | null;

  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare done: OpeningStep[];

  @Column(DataType.DOUBLE)
  declare roomC: number | null;

  @Column(DataType.DOUBLE)
  declare humidityPercent: number | null;

  /** As it was shown before the first shot. */
  @Column(DataType.JSONB)
  declare forecast: OpeningForecastDto | null;
}
