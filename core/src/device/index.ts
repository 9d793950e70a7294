export type { LiveEvent, RowKind } from './live';
export { Intake, MOST_PER_SECOND, type Taken } from './intake';
export {
  DEVICE_COMMANDS,
  DEVICE_EVENTS,
  DEVICE_FIGURES,
  DEVICE_KINDS,
  KINDS_OF_DEVICE,
  type DeviceCommand,
  type DeviceEvent,
  type DeviceFigure,
  type DeviceKind,
  type DeviceValues,
} from './kinds';
export {
  DEVICE_PROTOCOL,
  LONGEST_LINE,
  readDeviceLine,
  readOlvetLine,
  writeLine,
  type DeviceHello,
  type DeviceReport,
  type FromDevice,
  type ToDevice,
} from './messages';
