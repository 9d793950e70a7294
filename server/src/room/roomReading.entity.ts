import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';

/** What the room was like at a moment. */
@Table({ tableName: 'room_readings' })
export class RoomReading extends Owned {
  @Column(DataType.DATE)
  declare at: Date;

  @Column(DataType.DOUBLE)
  declare celsius: number | null;

  @Column(DataType.DOUBLE)
  declare humidityPercent: number | null;

  /** The sensor that said so; null where a person typed it. */
  @ServerOwned
  @Column(DataType.UUID)
  declare deviceId: string | null;
}
