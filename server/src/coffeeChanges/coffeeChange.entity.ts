import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

/** Another coffee in the hopper of a station. */
@Table({ tableName: 'coffee_changes' })
export class CoffeeChange extends Owned {
  @Column(DataType.UUID)
  declare stationId: string;

  /** What stood there until then. */
  @ServerOwned
  @Column(DataType.UUID)
  declare fromCoffeeId: string;

  @Column(DataType.UUID)
  declare toCoffeeId: string;

  @Column(DataType.UUID)
  declare bagId: string | null;

  /** What of the coffee before was left in hopper and grinder, and discarded. */
  @Column({ type: DataType.DOUBLE, defaultValue: 0 })
  declare thrownGrams: number;

  @Column(DataType.DATE)
  declare changedAt: Date;
}
