import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

/** What somebody answered to a drift. */
export const DAY_ANSWERS = ['turned', 'left'] as const;
export type DayAnswered = (typeof DAY_ANSWERS)[number];

/** A small move of the day, or that it was let be. */
@Table({ tableName: 'day_moves' })
export class DayMove extends Owned {
  @Column(DataType.UUID)
  declare stationId: string;

  @Column(DataType.DATE)
  declare at: Date;

  @Column(DataType.TEXT)
  declare answer: DayAnswered;

  /** Where the grinder stood; null where it was let be. */
  @ServerOwned
  @Column(DataType.DOUBLE)
  declare fromGrind: number | null;

  @Column(DataType.DOUBLE)
  declare toGrind: number | null;

  /** What a timed grinder is to run for the dose from then on. */
  @Column(DataType.DOUBLE)
  declare grindSeconds: number | null;

  @ServerOwned
  @Column(DataType.DOUBLE)
  declare fromGrindSeconds: number | null;

  /** Turned by the closed loop. */
  @ServerOwned
  @Column({ type: DataType.BOOLEAN, defaultValue: false })
  declare isKeeper: boolean;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare why: string;

  /** The grinder stands again where it stood. */
  @Column(DataType.DATE)
  declare undoneAt: Date | null;
}
