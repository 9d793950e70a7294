import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';

/** What somebody did at a station that may move its time. */
export const STATION_EVENTS = ['hopper-filled', 'cleaned'] as const;
export type StationEventKind = (typeof STATION_EVENTS)[number];

@Table({ tableName: 'station_events' })
export class StationEvent extends Owned {
  @Column(DataType.UUID)
  declare stationId: string;

  @Column(DataType.TEXT)
  declare kind: StationEventKind;

  @Column(DataType.DATE)
  declare at: Date;

  /** Said by mistake. */
  @Column(DataType.DATE)
  declare removedAt: Date | null;
}
