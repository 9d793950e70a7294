import type { PullMark, ShotKind } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';
import type { PullPlanDto } from './pull.dto';

/** A shot while it is pulled: who holds it, when it began and what was marked, so that others can watch it or take it over. */
@Table({ tableName: 'pulls' })
export class Pull extends Owned {
  @Column(DataType.UUID)
  declare stationId: string;

  @Column(DataType.UUID)
  declare runId: string | null;

  @Column(DataType.TEXT)
  declare kind: ShotKind;

  /** The tablet that may mark and stop it. */
  @Column(DataType.UUID)
  declare ownerId: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare ownerName: string;

  @Column(DataType.JSONB)
  declare plan: PullPlanDto;

  @Column(DataType.DATE)
  declare startedAt: Date | null;

  @Column(DataType.DATE)
  declare endedAt: Date | null;

  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare marks: PullMark[];

  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare deviceIds: string[];

  @ServerOwned
  @Column(DataType.UUID)
  declare askedById: string | null;

  @ServerOwned
  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare askedByName: string;

  @ServerOwned
  @Column(DataType.DATE)
  declare askedAt: Date | null;
}
