import type { Scale } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

@Table({ tableName: 'machines' })
export class Machine extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  /** null where the brew temperature cannot be set. */
  @Column(DataType.JSONB)
  declare temperatureC: Scale | null;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
