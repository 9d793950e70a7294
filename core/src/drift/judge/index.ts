export {
  DAY_ACTIONS,
  DAY_EVENTS,
  DAY_STATES,
  SUSPECTS,
  USUAL_TOLERANCE_SECONDS,
  type DayAction,
  type DayAnswer,
  type DayEventKind,
  type DayMove,
  type DayReason,
  type DayRequest,
  type DayState,
  type Suspect,
  type ValidDayRequest,
} from './contract';
export { judgeDay, parseDayRequest, type ParsedDayRequest } from './judge';
export { dayLine } from './line';
