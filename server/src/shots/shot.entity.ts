import type { Cause, SeenMark, TimerStart, Verdict } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Edit } from '../database/edit.model';
import { Owned } from '../database/owned.model';

export interface PlannedSettings {
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
}

/** A fact: what was poured. Corrected by a visible edit, never overwritten without a trace. */
@Table({ tableName: 'shots' })
export class Shot extends Owned {
  @Column(DataType.UUID)
  declare runId: string | null;

  @Column(DataType.UUID)
  declare stationId: string;

  @Column(DataType.DATE)
  declare pulledAt: Date;

  @Column(DataType.DOUBLE)
  declare grind: number | null;

  @Column(DataType.DOUBLE)
  declare doseGrams: number | null;

  /** How long a timed grinder ran for it. */
  @Column(DataType.DOUBLE)
  declare grindSeconds: number | null;

  @Column(DataType.DOUBLE)
  declare yieldGrams: number | null;

  @Column(DataType.DOUBLE)
  declare temperatureC: number | null;

  @Column(DataType.JSONB)
  declare planned: PlannedSettings | null;

  @Column(DataType.DOUBLE)
  declare timeSeconds: number | null;

  @Column(DataType.TEXT)
  declare timer: TimerStart;

  @Column(DataType.DOUBLE)
  declare firstDripSeconds: number | null;

  @Column(DataType.DOUBLE)
  declare tdsPercent: number | null;

  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare seen: SeenMark[];

  @Column({ type: DataType.BOOLEAN, defaultValue: true })
  declare purged: boolean;

  /** What the barista found to have gone wrong with it. */
  @Column(DataType.TEXT)
  declare cause: Cause | null;

  @Column(DataType.TEXT)
  declare versusLast: Verdict | null;

  @Column(DataType.TEXT)
  declare verdict: 'sink' | 'serve' | null;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare note: string;

  @Column(DataType.DATE)
  declare discardedAt: Date | null;
}

/** What a shot said before a correction. */
@Table({ tableName: 'shot_edits', timestamps: false })
export class ShotEdit extends Edit<Shot> {
  @Column({ type: DataType.UUID, primaryKey: true })
  declare shotId: string;
}
