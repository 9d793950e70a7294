import type { CareTaskCode } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

abstract class CareRow extends Owned {
  @Column(DataType.TEXT)
  declare task: CareTaskCode;

  /** Neither this nor a grinder where it is done to the whole bar. */
  @Column(DataType.UUID)
  declare machineId: string | null;

  @Column(DataType.UUID)
  declare grinderId: string | null;
}

/** Somebody did it; who, stands in `changedBy`. */
@Table({ tableName: 'care_done' })
export class CareDone extends CareRow {
  @Column(DataType.DATE)
  declare at: Date;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare note: string;

  /** Said by mistake. */
  @Column(DataType.DATE)
  declare removedAt: Date | null;
}

/** How often this shop wants it, in place of the usual; nothing set: never due by itself. */
@Table({ tableName: 'care_rules' })
export class CareRule extends CareRow {
  @Column(DataType.INTEGER)
  declare everyDays: number | null;

  @Column(DataType.INTEGER)
  declare everyShots: number | null;

  @Column(DataType.DOUBLE)
  declare everyKg: number | null;
}
