import type { DeviceReport } from './messages';

/** Rows that pages show beside each other. */
export type RowKind =
  | 'Cards'
  | 'CareDone'
  | 'CareRules'
  | 'CoffeeChanges'
  | 'DayMoves'
  | 'HandOvers'
  | 'Keepers'
  | 'Openings'
  | 'RoomReadings'
  | 'Runs'
  | 'Shots'
  | 'StationEvents';

/** What the event stream tells every page of a shop. */
export type LiveEvent =
  /** What a device sent, in its order. `session` changes when its clock begins again. */
  | { kind: 'reports'; deviceId: string; session: string; reports: DeviceReport[] }
  /** A device came, went, or was changed. */
  | { kind: 'device'; deviceId: string }
  /** A shot that is being pulled was begun, changed, handed over or ended. */
  | { kind: 'pull'; pullId: string; stationId: string }
  /** A row was written, on this tablet or another. */
  | { kind: 'row'; type: RowKind; id: string }
  /** Nothing has happened; the line is alive. */
  | { kind: 'beat' };
