import type { DeviceCommand, DeviceKind } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

/** What speaks for itself at the bar. What it is comes from itself, where it belongs from a person. */
@Table({ tableName: 'devices' })
export class Device extends Owned {
  @ServerOwned
  @Column(DataType.TEXT)
  declare kind: DeviceKind;

  @Column(DataType.TEXT)
  declare name: string;

  @ServerOwned
  @Column(DataType.TEXT)
  declare unit: string;

  @ServerOwned
  @Column({ type: DataType.JSONB, defaultValue: [] })
  declare capabilities: DeviceCommand[];

  @ServerOwned
  @Column({ type: DataType.BOOLEAN, defaultValue: false })
  declare isSimulated: boolean;

  /** Of the key by which it is known again; the key itself stays with the device. */
  @ServerOwned
  @Column(DataType.TEXT)
  declare keyHash: string;

  /** To be compared with what the device shows; null once it was let in. */
  @ServerOwned
  @Column(DataType.TEXT)
  declare code: string | null;

  /** null: shared, and chosen when a shot is pulled. */
  @Column(DataType.UUID)
  declare stationId: string | null;

  @Column(DataType.DATE)
  declare letInAt: Date | null;

  /** When it was last heard; null where it has left. */
  @ServerOwned
  @Column(DataType.DATE)
  declare seenAt: Date | null;

  @Column(DataType.DATE)
  declare retiredAt: Date | null;
}
