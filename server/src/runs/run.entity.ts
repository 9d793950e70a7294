import type { HandCheck, Lesson, StartSuggestion } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import type { TargetDto } from '../common/target.dto';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

export const RUN_STATUSES = ['open', 'kept', 'given-up'] as const;
export type RunStatus = (typeof RUN_STATUSES)[number];

/** One dial-in: a coffee on a station, from first shot to card. Equipment is noted, so that stations may change later. */
@Table({ tableName: 'runs' })
export class Run extends Owned {
  @Column(DataType.UUID)
  declare stationId: string;

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

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare goal: string;

  @Column(DataType.DOUBLE)
  declare startGrind: number | null;

  /** Where the last shots gave `startGrind`, and nobody named it: its spread in units of the grinder. */
  @Column(DataType.DOUBLE)
  declare startSd: number | null;

  @Column(DataType.TEXT)
  declare handCheck: HandCheck | null;

  @Column(DataType.INTEGER)
  declare budgetShots: number | null;

  @Column(DataType.DOUBLE)
  declare budgetGrams: number | null;

  @Column({ type: DataType.TEXT, defaultValue: 'open' })
  declare status: RunStatus;

  @Column(DataType.DATE)
  declare startedAt: Date;

  @Column(DataType.DATE)
  declare endedAt: Date | null;

  /** Where it began, if nobody named a setting: from the recipes its grinder had kept by then. */
  @ServerOwned
  @Column(DataType.JSONB)
  declare suggestedStart: StartSuggestion | null;

  /** What it taught, once it has ended. */
  @ServerOwned
  @Column(DataType.JSONB)
  declare lesson: Lesson | null;
}
