import type { Method } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** A method of the shop's own: a shipped one with changes. */
@Table({ tableName: 'methods' })
export class OwnMethod extends Owned {
  @Column(DataType.TEXT)
  declare basedOn: string;

  @Column(DataType.JSONB)
  declare method: Method;

  /** Kept beside the method so that the database can see to it that no two bear one name. */
  @Column(DataType.TEXT)
  declare name: string;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
