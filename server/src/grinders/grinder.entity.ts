import type { LearnedSlope } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

@Table({ tableName: 'grinders' })
export class Grinder extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  @Column(DataType.DOUBLE)
  declare min: number;

  @Column(DataType.DOUBLE)
  declare max: number;

  @Column(DataType.DOUBLE)
  declare step: number;

  @Column(DataType.TEXT)
  declare finer: 'lower' | 'higher';

  @Column(DataType.TEXT)
  declare dosing: 'timed' | 'weighed';

  @Column(DataType.DOUBLE)
  declare purgeGrams: number;

  @Column({ type: DataType.TEXT, defaultValue: 'numbered' })
  declare collar: 'numbered' | 'marked';

  @Column(DataType.DOUBLE)
  declare retentionGrams: number | null;

  /** Ground with these burrs before Olvet counted, kg. */
  @Column({ type: DataType.DOUBLE, defaultValue: 0 })
  declare groundKg: number;

  @Column(DataType.DOUBLE)
  declare burrLifeKg: number | null;

  /** What past runs taught of this grinder. */
  @ServerOwned
  @Column(DataType.JSONB)
  declare learnedSlope: LearnedSlope | null;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
