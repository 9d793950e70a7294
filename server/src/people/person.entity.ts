import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** Somebody who works at the bar. What they did carries their first name, so it reads the same once they have left. */
@Table({ tableName: 'people' })
export class Person extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  /** Leads: says what the shop's recipes are. */
  @Column({ type: DataType.BOOLEAN, defaultValue: false })
  declare isLead: boolean;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
