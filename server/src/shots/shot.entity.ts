import type { Assumable, Cause, Look, SeenMark, Serving, ShotKind, TimerStart, Traced, Verdict } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Edit } from '../database/edit.model';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

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

  @Column({ type: DataType.TEXT, defaultValue: 'dial-in' })
  declare kind: ShotKind;

  /** The recipe it was pulled by, as it stood then. */
  @Column(DataType.UUID)
  declare cardVersionId: string | null;

  /** What was in the hopper: another coffee may stand at the station since. */
  @Column(DataType.UUID)
  declare coffeeId: string | null;

  @Column(DataType.DATE)
  declare pulledAt: Date;

  /** false where only the day is known. */
  @Column({ type: DataType.BOOLEAN, defaultValue: true })
  declare hourKnown: boolean;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare pulledBy: string;

  @Column(DataType.DOUBLE)
  declare grind: number | null;

  @Column(DataType.DOUBLE)
  declare doseGrams: number | null;

  /** How long a timed grinder ran for it. */
  @Column(DataType.DOUBLE)
  declare grindSeconds: number | null;

  @Column(DataType.DOUBLE)
  declare yieldGrams: number | null;

  /** What each cup of a double weighed; one alone where it stands for both. */
  @Column(DataType.JSONB)
  declare cupGrams: number[] | null;

  /** Read in a glass where nothing was weighed; `yieldGrams` is worked out from it. */
  @Column(DataType.DOUBLE)
  declare yieldMl: number | null;

  @Column(DataType.DOUBLE)
  declare temperatureC: number | null;

  /** Figures nobody measured, taken as planned. */
  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare assumed: Assumable[];

  @Column(DataType.JSONB)
  declare planned: PlannedSettings | null;

  @Column(DataType.DOUBLE)
  declare timeSeconds: number | null;

  @Column(DataType.TEXT)
  declare timer: TimerStart;

  @Column(DataType.DOUBLE)
  declare firstDripSeconds: number | null;

  /** Water let in before full pressure. */
  @Column(DataType.DOUBLE)
  declare soakSeconds: number | null;

  /** From the start until the filter below was wet all over. */
  @Column(DataType.DOUBLE)
  declare coverSeconds: number | null;

  @Column(DataType.DOUBLE)
  declare tenGramsSeconds: number | null;

  /** From the first water to the stop, whatever the timer counts. */
  @Column(DataType.DOUBLE)
  declare contactSeconds: number | null;

  /** What the pre-brew valve lets through in thirty seconds. */
  @Column(DataType.DOUBLE)
  declare valveGrams: number | null;

  /** The dose as it was weighed before it was levelled off. */
  @Column(DataType.DOUBLE)
  declare unlevelledGrams: number | null;

  /** Tail and crema, as they looked. */
  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare looks: Look[];

  /** What its trace says in figures; null where nothing was traced. */
  @ServerOwned
  @Column(DataType.JSONB)
  declare traced: Traced | null;

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
  declare verdict: Serving | null;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare note: string;

  @Column(DataType.DATE)
  declare removedAt: Date | null;
}

/** What a shot said before a correction. */
@Table({ tableName: 'shot_edits', timestamps: false })
export class ShotEdit extends Edit<Shot> {
  @Column({ type: DataType.UUID, primaryKey: true })
  declare shotId: string;
}
