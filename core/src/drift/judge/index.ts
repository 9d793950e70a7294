export {
  DAY_ACTIONS,
  DAY_EVENTS,
  DAY_REASONS,
  DAY_STATES,
  SUSPECTS,
  USUAL_TOLERANCE_SECONDS,
  type DayAction,
  type DayAnswer,
  type DayEventKind,
  type DayMove,
  type DayReason,
  type DayReasonCode,
  type DayRequest,
  type DayState,
  type Suspect,
  type ValidDayRequest,
} from './contract';
export { judgeDay, parseDayRequest, type ParsedDayRequest } from './judge';
export { freedShots, type FreedShot } from './freed';
export { usualLimits } from './move';
export { dayLine } from './line';
